import { EARLY } from "./draw/early";
import { MIDDLE } from "./draw/middle";
import { MODERN } from "./draw/modern";
import { svg } from "./draw/shapes";
import type { Language } from "../language/spoken";
import { DE } from "./said/de";
import { ES } from "./said/es";
import type { Drawn, Said, ShelfPicture } from "./shelf-picture";

/** Who made the pictures of the shelf, and how they may be used. */
export const SHELF_CREDIT = "Drawing: the Fastigo shelf";
export const SHELF_LICENCE = "CC0";

const ALL: readonly Drawn[] = [...EARLY, ...MIDDLE, ...MODERN];
const BY_ID = new Map(ALL.map((p) => [p.id, p]));

/** The pictures that ship with Fastigo, the early ones first. */
export const SHELF: readonly ShelfPicture[] = ALL.map(({ id, subject, title, says, words }) => ({
  id,
  subject,
  title,
  says,
  words,
}));

export const findOnShelf = (id: string): ShelfPicture | null => BY_ID.get(id) ?? null;

const SAID: Partial<Record<Language, Said>> = { de: DE, es: ES };

/** A picture as a language says it; in English where that does not know it. */
export function pictureIn(language: Language, picture: ShelfPicture): ShelfPicture {
  const said = SAID[language];
  const own = said?.pictures[picture.id];
  if (!said || !own) return picture;
  const [title, says, words] = own;
  return { id: picture.id, subject: said.subjects[picture.subject] ?? picture.subject, title, says, words };
}

/** A picture of the shelf as an SVG drawing of 1200 x 800 px; null: there is none of that name. */
export function drawShelfPicture(id: string): string | null {
  const found = BY_ID.get(id);
  return found ? svg(found.draw()) : null;
}
