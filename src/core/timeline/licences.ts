/** What a licence lets others do with a picture, video or sound, and what it asks for. */
export interface Licence {
  name: string;
  /** It may not be altered: neither cut nor turned. */
  unaltered?: true;
  /** It may not be shown without asking whoever holds the rights. */
  forbids?: true;
}

/**
 * The licences that are offered; what they ask for stands in `core/words/licences`.
 */
export const LICENCES: readonly Licence[] = [
  { name: "CC0" },
  { name: "Public domain" },
  { name: "CC BY 4.0" },
  { name: "CC BY-SA 4.0" },
  { name: "CC BY-NC 4.0" },
  { name: "CC BY-NC-SA 4.0" },
  { name: "CC BY-ND 4.0", unaltered: true },
  { name: "CC BY-NC-ND 4.0", unaltered: true },
  { name: "My own work" },
  { name: "Used with permission" },
  { name: "All rights reserved", forbids: true },
];

const BY_NAME = new Map(LICENCES.map((l) => [l.name.toLowerCase(), l]));
/** As other languages write them: what somebody chose in one is the same to everybody. */
const ALSO: Readonly<Record<string, string>> = {
  gemeinfrei: "public domain",
  "dominio público": "public domain",
  "meine eigene arbeit": "my own work",
  "obra propia": "my own work",
  "mit erlaubnis verwendet": "used with permission",
  "usado con permiso": "used with permission",
  "alle rechte vorbehalten": "all rights reserved",
  "todos los derechos reservados": "all rights reserved",
};

/** What is known of a licence as somebody has written it; null: nothing. Versions of before (3.0, 2.0) ask for the same. */
export function licenceOf(written: string): Licence | null {
  const text = written.trim().toLowerCase().replaceAll(/\s+/g, " ");
  if (
    /^(©|\(c\)|copyright\b)/.test(text) ||
    /all rights reserved|alle rechte vorbehalten|todos los derechos reservados/.test(text)
  )
    return BY_NAME.get("all rights reserved")!;
  const cc = /^cc[- ]by((?:[- ](?:nc|nd|sa))*)(?: \d(?:\.\d)?)?$/.exec(text);
  if (cc) return BY_NAME.get(`cc by${cc[1]!.replaceAll(" ", "-")} 4.0`) ?? null;
  return BY_NAME.get(ALSO[text] ?? text) ?? null;
}
