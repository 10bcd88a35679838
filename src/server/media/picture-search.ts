import "server-only";
import { language } from "@/core/language/spoken";
import { searchShelf } from "@/core/shelf/search";
import { drawShelfPicture, findOnShelf, pictureIn, SHELF_CREDIT, SHELF_LICENCE } from "@/core/shelf/shelf";
import type { ShelfPicture } from "@/core/shelf/shelf-picture";

/** A picture that was found, with all that has to be said of it where it is shown. */
export interface FoundPicture {
  id: string;
  title: string;
  /** What it shows, for those who cannot see it. */
  says: string;
  subject: string;
  credit: string;
  licence: string;
  /** Where it was found: a path of this site's, or a web address. */
  address: string;
}

/** A collection of pictures one may use: searched by words, its pictures fetched by their ids. */
export interface PictureSearch {
  /** So many that fit the words, best first, from the `page`th page on (from 0); with no words, what is worth looking at. */
  search(words: string, page: number): Promise<{ found: FoundPicture[]; more: boolean }>;
  /** What is known of one; null: it is not there. */
  find(id: string): Promise<FoundPicture | null>;
  /** The picture itself, as a file any upload may be. */
  fetch(id: string): Promise<Uint8Array | null>;
}

export const PAGE = 24;

const asFound = (p: ShelfPicture): FoundPicture => ({
  id: p.id,
  title: p.title,
  says: p.says,
  subject: p.subject,
  credit: SHELF_CREDIT,
  licence: SHELF_LICENCE,
  address: `/shelf#${p.id}`,
});

const shelf: PictureSearch = {
  search: async (words, page) => {
    const all = searchShelf(words, language());
    return { found: all.slice(page * PAGE, (page + 1) * PAGE).map(asFound), more: all.length > (page + 1) * PAGE };
  },
  find: async (id) => {
    const found = findOnShelf(id);
    return found && asFound(pictureIn(language(), found));
  },
  fetch: async (id) => {
    const drawn = drawShelfPicture(id);
    return drawn === null ? null : new TextEncoder().encode(drawn);
  },
};

/** The collections there are, by the name the configuration calls them: another one is a module of these three functions. */
const COLLECTIONS: Record<string, PictureSearch> = { shelf };

/** The collection pictures are looked for in: `PICTURE_SEARCH`, or the shelf that ships with Fastigo. */
export function pictureSearch(): PictureSearch {
  const name = process.env.PICTURE_SEARCH ?? "shelf";
  const found = COLLECTIONS[name];
  if (!found) throw new Error(`PICTURE_SEARCH is "${name}"; there is: ${Object.keys(COLLECTIONS).join(", ")}.`);
  return found;
}
