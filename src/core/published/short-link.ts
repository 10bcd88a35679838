/** How long a word of a short link may be: small letters, digits, and hyphens between them. */
export const WORD_LENGTH = { least: 3, most: 40 };

/** A word made of what somebody typed: accents off, small letters, everything else a hyphen. "" where nothing is left. */
export function toWord(typed: string): string {
  return typed
    .normalize("NFKD")
    .replaceAll(/\p{M}/gu, "")
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, "-")
    .slice(0, WORD_LENGTH.most)
    .replaceAll(/^-+|-+$/g, "");
}
