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

/** The same for a value, as JSON. */
export function saveJson(name: string, value: unknown): void {
  saveFile(new Blob([JSON.stringify(value, null, 2)], { type: "application/json" }), name, ".json");
}

/** What is in a JSON file; null where it is none. */
export async function readJson(file: File): Promise<unknown> {
  try {
    return JSON.parse(await file.text()) as unknown;
  } catch {
    return null;
  }
}
