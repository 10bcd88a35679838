import { WORDS } from "@/core/words/controls";
import { cleanValue } from "@/core/text/clean";

/** What a route answered: its value, a failure with a sentence to show, or no answer at all. */
export type Answer<T> = { ok: true; value: T } | { ok: false; failed: string; sentence: string; status: number };

/** A connection may hang without ever ending; no answer for so long counts as none, ms. */
const PATIENCE_MS = 120_000;

/** Asks one of Fastigo's own routes with JSON. Never throws. */
export async function askServer<T>(
  method: "GET" | "POST" | "PUT" | "DELETE" | "PATCH",
  path: string,
  body?: unknown,
  patienceMs = PATIENCE_MS,
): Promise<Answer<T>> {
  try {
    const response = await fetch(path, {
      method,
      ...(body === undefined
        ? {}
        : body instanceof Blob
          ? { body }
          : { body: JSON.stringify(cleanValue(body)), headers: { "Content-Type": "application/json" } }),
      cache: "no-store",
      // Files take as long as they take.
      ...(body instanceof Blob ? {} : { signal: AbortSignal.timeout(patienceMs) }),
    });
    const value = (await response.json().catch(() => null)) as (T & { failed?: string; sentence?: string }) | null;
    if (response.ok && value) return { ok: true, value };
    if (value?.failed && value.sentence)
      return { ok: false, failed: value.failed, sentence: value.sentence, status: response.status };
    return {
      ok: false,
      failed: "no_answer",
      sentence: WORDS.theServerDoesNotAnswer,
      status: response.status === 404 ? 503 : response.status,
    };
  } catch {
    return { ok: false, failed: "no_answer", sentence: WORDS.theServerDoesNotAnswer, status: 0 };
  }
}

/** Asks for a JSON value that comes packed with gzip. Never throws. */
export async function askPacked<T>(path: string): Promise<Answer<T>> {
  try {
    const response = await fetch(path, { cache: "no-store", signal: AbortSignal.timeout(PATIENCE_MS) });
    if (response.ok && response.body) {
      const unpacked = response.body.pipeThrough(new DecompressionStream("gzip"));
      return { ok: true, value: (await new Response(unpacked).json()) as T };
    }
    const value = (await response.json().catch(() => null)) as { failed?: string; sentence?: string } | null;
    return {
      ok: false,
      failed: value?.failed ?? "no_answer",
      sentence: value?.sentence ?? WORDS.theServerDoesNotAnswer,
      status: response.status,
    };
  } catch {
    return { ok: false, failed: "no_answer", sentence: WORDS.theServerDoesNotAnswer, status: 0 };
  }
}
