/** A picture of the shelf. */
export interface ShelfPicture {
  id: string;
  /** The school subject it stands under. */
  subject: string;
  title: string;
  /** What it shows, for those who cannot see it. */
  says: string;
  /** Words it is found by beside those of title and subject, separated by spaces. */
  words: string;
}

/** The same with the shapes it is drawn of. */
export interface Drawn extends ShelfPicture {
  draw: () => string;
}

/** What another language says of the pictures: of each, by its id, title, what it shows and words it is found by; and the subjects. */
export interface Said {
  subjects: Readonly<Record<string, string>>;
  pictures: Readonly<Record<string, readonly [title: string, says: string, words: string]>>;
}
