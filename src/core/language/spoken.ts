/** The languages the interface is spoken in, each named in itself, by its tag as RFC 5646 writes it. */
export const LANGUAGES = { en: "English", de: "Deutsch", es: "Español" } as const;
export type Language = keyof typeof LANGUAGES;

/** What one language says, by room; a room holds what its file of English exports, or less. */
type Catalogue = Readonly<Record<string, object>>;

interface Store {
  getStore: () => Language | undefined;
  run: <T>(language: Language, what: () => T) => T;
}

interface Speaking {
  /** Set by whoever loads another language than English: the server all of them, a browser its one. */
  fastigoWords?: Partial<Record<Language, Catalogue>>;
  /** The language of what is done now: one for a browser, one for each request on the server. */
  fastigoSpeaks?: Language | Store;
}
const speaking = globalThis as Speaking;

/** Only where tests are done: English in a mirror (`mirrored.ts`). Nobody is offered it. */
export const MIRROR = "zz";

/** Which way a language is written. */
export const directionOf = (language: string): "ltr" | "rtl" =>
  [MIRROR, "ar", "fa", "he", "ur"].includes(language) ? "rtl" : "ltr";

export const isLanguage = (said: unknown): said is Language =>
  typeof said === "string" &&
  (Object.hasOwn(LANGUAGES, said) || (said === MIRROR && speaking.fastigoWords?.[said as Language] !== undefined));

/** The language in which people are spoken to now. */
export function language(): Language {
  const now = speaking.fastigoSpeaks;
  return (typeof now === "object" ? now.getStore() : now) ?? "en";
}

/** Does something in a language, with all that follows from it; in a browser, which speaks one, as it speaks. */
export function speakIn<T>(one: Language, what: () => T): T {
  const now = speaking.fastigoSpeaks;
  return typeof now === "object" ? now.run(one, what) : what();
}

/** Whether what is said in a language is known here. */
export const hasWords = (one: Language): boolean => one === "en" || speaking.fastigoWords?.[one] !== undefined;

/** Makes a language known. Shared by all bundles of a process, for each holds its own copy of this file. */
export function learn(one: Language, words: Catalogue): void {
  (speaking.fastigoWords ??= {})[one] = words;
}

/**
 * The words of a room in the language of the moment they are asked for, and in English what it does not say. They are therefore asked
 * for where they are said, never while a module is loaded.
 */
export function spoken<T extends object>(room: string, english: T): T {
  const inThis = (): object | undefined => {
    const now = language();
    return now === "en" ? undefined : speaking.fastigoWords?.[now]?.[room];
  };
  const said: Record<string, unknown> = {};
  for (const [name, words] of Object.entries(english)) {
    const now = (): unknown => (inThis() as Record<string, unknown> | undefined)?.[name] ?? words;
    said[name] =
      typeof words === "function"
        ? (...told: unknown[]) => (now() as (...told: unknown[]) => unknown)(...told)
        : new Proxy(words as object, {
            get: (own, key) => {
              const found = Reflect.get(now() as object, key) as unknown;
              return found === undefined ? (Reflect.get(own, key) as unknown) : found;
            },
          });
  }
  return said as T;
}

const collators = new Map<string, Intl.Collator>();
/** The order of the alphabet as people look things up in it: without regard to capitals, numbers by their size. */
export function inAlphabet(a: string, b: string): number {
  const of = locale();
  let known = collators.get(of);
  if (!known) collators.set(of, (known = new Intl.Collator(of, { sensitivity: "base", numeric: true })));
  return known.compare(a, b);
}

/** The language of the moment as dates, numbers and the alphabet are written in it. */
export function locale(): string {
  const now = language();
  return Object.hasOwn(LANGUAGES, now) && now !== "en" ? now : "en-GB";
}
