/**
 * Characters that no text of Fastigo holds: control characters but tab and line ends, and halves of surrogate pairs
 * (Unicode 15, 23.1 and 23.6). PostgreSQL cannot store some of them, and nobody can see any.
 */
const BAD = /(?![\t\n\r])\p{Cc}|\p{Cs}/u;
const ALL_BAD = new RegExp(BAD.source, "gu");

/** Without the flag for Unicode this is several times as quick; it finds whole pairs too, which are looked at again. */
// biome-ignore lint/suspicious/noControlCharactersInRegex: these are what is looked for
const MAYBE_BAD = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\ud800-\udfff]/;
const hasBad = (text: string) => MAYBE_BAD.test(text) && BAD.test(text);

export function isClean(text: string): boolean {
  return !hasBad(text);
}

/** The text without such characters; the same string when it has none. */
export function cleanText(text: string): string {
  return hasBad(text) ? text.replace(ALL_BAD, "") : text;
}

/** How deep a value sent from elsewhere may be nested. */
const DEEPEST = 64;

/** Whether all texts within a value, keys too, are clean and it is not nested beyond measure. */
export function isCleanValue(value: unknown, depth = 0): boolean {
  if (typeof value === "string") return isClean(value);
  if (value === null || typeof value !== "object") return true;
  if (depth > DEEPEST) return false;
  if (Array.isArray(value)) return value.every((v) => isCleanValue(v, depth + 1));
  return Object.entries(value).every(([k, v]) => isClean(k) && isCleanValue(v, depth + 1));
}

/** The value with all its texts clean; the same object when nothing had to be taken out, and then nothing is copied. */
export function cleanValue<T>(value: T): T {
  if (typeof value === "string") return cleanText(value) as T;
  if (value === null || typeof value !== "object" || value instanceof Uint8Array) return value;
  if (Array.isArray(value)) {
    let copy: unknown[] | null = null;
    for (let i = 0; i < value.length; i++) {
      const clean = cleanValue(value[i] as unknown);
      if (clean !== value[i]) {
        copy ??= [...value];
        copy[i] = clean;
      }
    }
    return (copy ?? value) as T;
  }
  let copy: Record<string, unknown> | null = null;
  const record = value as Record<string, unknown>;
  for (const k of Object.keys(record)) {
    const clean = cleanValue(record[k]);
    if (clean !== record[k]) {
      copy ??= { ...record };
      copy[k] = clean;
    }
  }
  return (copy ?? value) as T;
}
