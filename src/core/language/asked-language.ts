import { isLanguage, type Language } from "./spoken";

/** Holds the language somebody chose, in their browser. */
export const LANGUAGE_COOKIE = "fastigo_language";

/** The first of the languages a browser asks for that Fastigo speaks (RFC 9110, 12.5.4); null: none of them. */
function accepted(header: string): Language | null {
  let best: { language: Language; quality: number } | null = null;
  for (const part of header.slice(0, 1_000).split(",")) {
    const [tag = "", ...more] = part
      .trim()
      .toLowerCase()
      .split(/\s*;\s*/);
    const language = tag.split("-")[0];
    const said = more.find((m) => m.startsWith("q="));
    const quality = said === undefined ? 1 : Number(said.slice(2));
    if (isLanguage(language) && quality > 0 && quality <= 1 && quality > (best?.quality ?? 0))
      best = { language, quality };
  }
  return best?.language ?? null;
}

/** In which language somebody is spoken to: the one chosen in this browser, else one it asks for, else English. */
export function askedLanguage(cookies: string, acceptLanguage: string): Language {
  for (const one of cookies.split(/;\s*/)) {
    const [name, value] = one.split("=");
    if (name === LANGUAGE_COOKIE && isLanguage(value)) return value;
  }
  return accepted(acceptLanguage) ?? "en";
}

/** The language of Fastigo that a timeline's language (BCP 47) is spoken in; English where it speaks none like it. */
export function languageLike(tag: string | undefined): Language {
  const language = tag?.split("-")[0];
  return isLanguage(language) ? language : "en";
}
