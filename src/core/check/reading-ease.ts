/** How each language is measured: what is taken from a constant for words a sentence, and for syllables a word. */
const FORMULAS: Record<string, { from: number; sentence: number; syllables: number }> = {
  // R. Flesch, "A new readability yardstick", Journal of Applied Psychology 32 (1948).
  en: { from: 206.835, sentence: 1.015, syllables: 84.6 },
  // T. Amstad, Wie verständlich sind unsere Zeitungen? (1978).
  de: { from: 180, sentence: 1, syllables: 58.5 },
  // J. Fernández Huerta, "Medidas sencillas de lecturabilidad", Consigna 214 (1959).
  es: { from: 206.84, sentence: 1.02, syllables: 60 },
};

const WORD = /[\p{L}\p{M}'’]+/gu;
const VOWELS = /[aeiouyäöüáéíóúàèùâêîôûïë]+/gu;

/** Syllables of a word, by its groups of vowels; at least one. In English an e at the end is silent, but for -le. */
export function syllablesOf(word: string, language: string): number {
  const plain = word.toLowerCase();
  const groups = plain.match(VOWELS)?.length ?? 0;
  const silent = language === "en" && groups > 1 && /[^aeiouy]e$/.test(plain) && !/[^aeiouy]le$/.test(plain);
  return Math.max(1, silent ? groups - 1 : groups);
}

/**
 * How easy a text is to read: about 0 (very hard) to 100 (very easy), by the formula of its language. `language`: BCP 47. Null for a
 * language without one, or a text without words.
 */
export function readingEase(text: string, language: string): number | null {
  const main = language.split("-")[0]!;
  const formula = FORMULAS[main];
  const words = text.match(WORD) ?? [];
  if (!formula || words.length === 0) return null;
  const sentences = Math.max(1, text.split(/[.!?…]+(?:\s|$)|\n+/).filter((s) => /\p{L}/u.test(s)).length);
  const syllables = words.reduce((n, w) => n + syllablesOf(w, main), 0);
  const ease =
    formula.from - formula.sentence * (words.length / sentences) - formula.syllables * (syllables / words.length);
  return Math.round(Math.min(100, Math.max(0, ease)));
}
