import type { Language } from "@/core/language/spoken";

/** Where the scripts of a reader's page lie that speak a language. */
export const readerScripts = (language: Language): string => (language === "en" ? "/reader" : `/reader/${language}`);
