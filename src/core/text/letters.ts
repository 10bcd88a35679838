/**
 * A file's letters: UTF-16 where its first two bytes say so (Unicode 15, 23.8), else UTF-8, or where it is none, Windows-1252 (of
 * which Latin-1 is a part); `latin`: it was that.
 */
export function lettersOf(bytes: Uint8Array): { text: string; latin: boolean } {
  const mark = bytes.length > 1 ? bytes[0]! * 256 + bytes[1]! : 0;
  if (mark === 0xfffe || mark === 0xfeff)
    return { text: new TextDecoder(mark === 0xfffe ? "utf-16le" : "utf-16be").decode(bytes), latin: false };
  try {
    return { text: new TextDecoder("utf-8", { fatal: true }).decode(bytes), latin: false };
  } catch {
    const decoder = new TextDecoder("windows-1252");
    // In one piece this decoder takes 0x80 to 0x9F wrongly on some systems.
    return { text: decoder.decode(bytes, { stream: true }) + decoder.decode(), latin: true };
  }
}
