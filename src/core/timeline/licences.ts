/** What a licence lets others do with a picture, video or sound, and what it asks for. */
export interface Licence {
  name: string;
  /** What it asks for, in words. */
  asks: string;
  /** It may not be altered: neither cut nor turned. */
  unaltered?: true;
  /** It may not be shown without asking whoever holds the rights. */
  forbids?: true;
}

/**
 * The licences that are offered. What they ask for follows their own short texts: creativecommons.org/licenses (version 4.0) and
 * creativecommons.org/publicdomain.
 */
export const LICENCES: readonly Licence[] = [
  { name: "CC0", asks: "asks for nothing; naming who made it is good manners" },
  { name: "Public domain", asks: "nobody holds rights any more; say where it is from" },
  { name: "CC BY 4.0", asks: "name who made it, link the licence, and say what you changed" },
  { name: "CC BY-SA 4.0", asks: "name who made it; what you make of it goes under the same licence" },
  { name: "CC BY-NC 4.0", asks: "name who made it; nothing that is sold" },
  { name: "CC BY-NC-SA 4.0", asks: "name who made it; nothing that is sold; the same licence" },
  { name: "CC BY-ND 4.0", asks: "name who made it; it is shown as it is, not cut or turned", unaltered: true },
  { name: "CC BY-NC-ND 4.0", asks: "name who made it; nothing that is sold; not cut or turned", unaltered: true },
  { name: "My own work", asks: "you decide; name yourself as you want to be named" },
  { name: "Used with permission", asks: "keep the permission, and name who gave it" },
  { name: "All rights reserved", asks: "may not be shown without permission: ask, or take another", forbids: true },
];

const BY_NAME = new Map(LICENCES.map((l) => [l.name.toLowerCase(), l]));

/** What is known of a licence as somebody has written it; null: nothing. Versions of before (3.0, 2.0) ask for the same. */
export function licenceOf(written: string): Licence | null {
  const text = written.trim().toLowerCase().replaceAll(/\s+/g, " ");
  if (/^(©|\(c\)|copyright\b)/.test(text) || text.includes("all rights reserved"))
    return BY_NAME.get("all rights reserved")!;
  const cc = /^cc[- ]by((?:[- ](?:nc|nd|sa))*)(?: \d(?:\.\d)?)?$/.exec(text);
  if (cc) return BY_NAME.get(`cc by${cc[1]!.replaceAll(" ", "-")} 4.0`) ?? null;
  return BY_NAME.get(text) ?? null;
}
