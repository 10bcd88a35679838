import { AsyncLocalStorage } from "node:async_hooks";
import { type Language, learn } from "../language/spoken";
import { DE } from "../words/de/all";
import { ES } from "../words/es/all";

/** Every language, as the server knows them: what is done by `speakIn` is said in one, all else in English. */
export function knowLanguages(): readonly Language[] {
  learn("de", DE);
  learn("es", ES);
  (globalThis as { fastigoSpeaks?: unknown }).fastigoSpeaks ??= new AsyncLocalStorage<Language>();
  return ["en", "de", "es"];
}
