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
