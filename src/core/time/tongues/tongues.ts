import type { Language } from "../../language/spoken";
import { DE } from "./de";
import { EN } from "./en";
import { ES } from "./es";
import type { Tongue } from "./tongue";

const TONGUES: Readonly<Partial<Record<Language, Tongue>>> = { en: EN, de: DE, es: ES };

/** How a language writes dates; English where none is said. */
export const tongueOf = (language: Language | undefined): Tongue => TONGUES[language ?? "en"] ?? EN;
