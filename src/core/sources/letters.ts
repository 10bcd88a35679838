/** A file's letters: UTF-8, or where it is none, Windows-1252 (of which Latin-1 is a part); which one it was. */
export function lettersOf(bytes: Uint8Array): { text: string; latin: boolean } {
  try {
    return { text: new TextDecoder("utf-8", { fatal: true }).decode(bytes), latin: false };
  } catch {
    const decoder = new TextDecoder("windows-1252");
    // In one piece this decoder takes 0x80 to 0x9F wrongly on some systems.
    return { text: decoder.decode(bytes, { stream: true }) + decoder.decode(), latin: true };
  }
}
