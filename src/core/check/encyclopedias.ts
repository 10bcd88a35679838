import type { SourceValues } from "../sources/cited";

/** Works and sites that say something of everything, by their names in several languages and by those of well-known ones. */
const NAMES =
  /encyclop|enzyklop|enciclop|enciklop|wikipedia|britannica|brockhaus|larousse|treccani|conversations-?lexi[ck]on/i;

/** Whether a source is an encyclopedia, as far as its name, what it is a part of, or its address tells. */
export function isEncyclopedia(s: Pick<SourceValues, "title" | "within" | "publisher" | "address">): boolean {
  return [s.title, s.within, s.publisher, s.address].some((text) => NAMES.test(text));
}
