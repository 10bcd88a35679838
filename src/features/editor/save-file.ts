const LATER_MS = 10_000;

/** Hands a file to the browser to be saved, under a name that fits every system. */
export function saveFile(content: Blob, name: string, ending: string): void {
  const url = URL.createObjectURL(content);
  const link = document.createElement("a");
  link.href = url;
  link.download = `${name.replaceAll(/[^\p{L}\p{N} _-]/gu, "").trim() || "timeline"}${ending}`;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), LATER_MS);
}
