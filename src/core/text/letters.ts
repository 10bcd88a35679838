import { detect } from "chardet";

/** So many bytes tell in which letters a file is written. */
const LOOKED_AT = 65_536;

/**
 * A file's letters. UTF-8 where it is that; UTF-16 where its first bytes say so (Unicode 15, 23.8) or every other byte is nothing;
 * else what its letters look like, of those this can read (`known`), or Windows-1252, of which Latin-1 is a part. Never throws.
 */
export function textIn(bytes: Uint8Array, known: readonly string[]): { encoding: string; text: string } {
  const inLetters = (encoding: string) => ({ encoding, text: decode(bytes, encoding) });
  const mark = bytes.length > 1 ? bytes[0]! * 256 + bytes[1]! : 0;
  if (mark === 0xfffe) return inLetters("utf-16le");
  if (mark === 0xfeff) return inLetters("utf-16be");
  const begin = bytes.subarray(0, LOOKED_AT);
  const empty = [0, 0];
  for (let i = 0; i < begin.length; i++) if (begin[i] === 0) empty[i % 2]!++;
  const half = begin.length / 2;
  if (half > 0 && empty[1]! > half * 0.3 && empty[0]! < half * 0.1) return inLetters("utf-16le");
  if (half > 0 && empty[0]! > half * 0.3 && empty[1]! < half * 0.1) return inLetters("utf-16be");
  try {
    return { encoding: "utf-8", text: new TextDecoder("utf-8", { fatal: true }).decode(bytes) };
  } catch {
    const found = detect(begin)?.toLowerCase() ?? "";
    const name = found === "iso-8859-1" ? "windows-1252" : found;
    return inLetters(name !== "utf-8" && !name.startsWith("utf-16") && known.includes(name) ? name : "windows-1252");
  }
}

/** The text of bytes in some letters; what is none in them becomes U+FFFD. */
export function decode(bytes: Uint8Array, encoding: string): string {
  const decoder = new TextDecoder(encoding);
  // In one piece this decoder takes 0x80 to 0x9F of Windows-1252 wrongly on some systems.
  return decoder.decode(bytes, { stream: true }) + decoder.decode();
}

/** A file's text in the letters it is written in; `latin`: it was neither UTF-8 nor UTF-16. */
export function lettersOf(bytes: Uint8Array): { text: string; latin: boolean } {
  const { encoding, text } = textIn(bytes, ["windows-1252"]);
  return { text, latin: encoding === "windows-1252" };
}
