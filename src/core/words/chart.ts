import type { Language } from "../language/spoken";
import * as de from "./de/chart";
import * as en from "./en/chart";
import * as es from "./es/chart";
import type { Like } from "./like";

const DRAWN: Readonly<Partial<Record<Language, Like<typeof en.WORDS>>>> = { en: en.WORDS, de: de.WORDS, es: es.WORDS };

/** What a drawing says in its timeline's language: whoever looks at it, and wherever it is drawn, sees the same. */
export const drawnIn = (language: Language | undefined): Like<typeof en.WORDS> => DRAWN[language ?? "en"] ?? en.WORDS;
