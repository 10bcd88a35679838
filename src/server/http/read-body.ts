import "server-only";
import { isCleanValue } from "@/core/text/clean";
import { type Failure, fail } from "./failure";

/** The bytes of a body, counted while they arrive: what is longer is cut off there and never held. */
export async function readBytes(request: Request, most: number): Promise<Failure | { bytes: Uint8Array }> {
  if (Number(request.headers.get("content-length") ?? 0) > most) {
    await request.body?.cancel().catch(() => {});
    return fail("too_large");
  }
  if (!request.body) return { bytes: new Uint8Array(0) };
  const parts: Uint8Array[] = [];
  let size = 0;
  const reader = request.body.getReader();
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.length;
    if (size > most) {
      await reader.cancel().catch(() => {});
      return fail("too_large");
    }
    parts.push(value);
  }
  return { bytes: parts.length === 1 ? parts[0]! : Buffer.concat(parts, size) };
}

/** A JSON body without control characters in any of its texts. */
export async function readJson(request: Request, most: number): Promise<Failure | { value: unknown }> {
  try {
    const read = await readBytes(request, most);
    if ("failed" in read) return read;
    const value: unknown = JSON.parse(new TextDecoder("utf-8", { fatal: true }).decode(read.bytes));
    return isCleanValue(value) ? { value } : fail("bad_characters");
  } catch {
    return fail("bad_json");
  }
}

/** A whole number from an address within bounds; null when it is none. */
export function wholeNumber(text: string | null, least: number, most: number, usual: number): number | null {
  if (text === null || text === "") return usual;
  if (!/^\d{1,15}$/.test(text)) return null;
  const n = Number(text);
  return n >= least && n <= most ? n : null;
}

/** The largest number of a change that the database can hold. */
export const MOST_SEQ = 2_147_483_647;
