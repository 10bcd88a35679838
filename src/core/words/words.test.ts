import { describe, expect, it } from "vitest";
import { speakIn } from "../language/spoken";
import { knowLanguages } from "../testing/languages";
import { readLine } from "../timeline/read-line";
import { lengthText } from "../time/gap";
import { readWhen } from "../time/read/read-when";
import { DE } from "./de/all";
import { LINE_GRAMMAR } from "./editor-ledger";
import { EN } from "./en/all";
import { FAILURES } from "./en/failures";
import { LIMIT_SENTENCES, tooLongText } from "./en/limits";
import { ES } from "./es/all";
import { GUIDE } from "./guide";

const LANGUAGES = knowLanguages();
const CATALOGUES = { en: EN, de: DE, es: ES } as const;

describe("the sentences for what is not done", () => {
  it.each([...Object.entries(FAILURES), ...Object.entries(LIMIT_SENTENCES)])(
    "%s says it in whole sentences, without shouting or blame",
    (_, sentence) => {
      expect(sentence).toMatch(/^[A-Z0-9].*\.$/s);
      expect(sentence).not.toMatch(/!|\b(error|invalid|illegal|please|oops)\b/i);
    },
  );

  it.each(LANGUAGES)("are whole sentences, each its own, in %s", (language) => {
    const { FAILURES: said } = CATALOGUES[language].failures;
    const bad = Object.entries(said).filter(
      ([, text]) =>
        !/^[\p{Lu}¿„«0-9].*\.$/su.test(text) || /\b(ungültig|fehlerhaft|por favor|inválid|usted)/i.test(text),
    );
    expect(bad).toEqual([]);
    const texts = Object.values(said);
    const twice = texts.filter((text, i) => texts.indexOf(text) !== i);
    expect([twice, texts.length]).toEqual([[], Object.keys(FAILURES).length]);
  });

  it("a text that does not fit says how long it is, what fits, and that it is still there", () =>
    expect(tooLongText({ field: "shortTitle", length: 1_200, most: 120 })).toBe(
      "This short title has 1,200 characters; 120 fit. It was not saved and is still in the field: shorten it, or put the rest into the description.",
    ));
});

/** Every text of a catalogue with its place; a sentence that is told something is asked with small numbers. */
function texts(said: unknown, at = ""): [string, string][] {
  if (typeof said === "string") return [[at, said]];
  if (typeof said !== "object" || said === null) return [];
  return Object.entries(said).flatMap(([name, words]) => texts(words, `${at}/${name}`));
}

describe.each(["de", "es"] as const)("the catalogue in %s", (language) => {
  const own = new Map(texts(CATALOGUES[language]));
  // What only those who work on Fastigo see is in English.
  const english = texts(EN).filter(([at]) => !/^\/(catalogue|command)\//.test(at));

  it("says something wherever English does, and begins and ends as English does, so that pieces join", () => {
    const odd = english.filter(([at, text]) => {
      const said = own.get(at);
      // Lists (examples, steps) may be longer or shorter.
      if (said === undefined) return !/\/\d+(\/|$)/.test(at);
      const ends = (of: string) => [/^\s/.test(of), /\s$/.test(of)].join();
      return (text === "") !== (said === "") || ends(text) !== ends(said);
    });
    expect(odd).toEqual([]);
  });

  it("leaves no sentence of English as it is", () => {
    const sentences = english.filter(
      ([at, text]) => text.split(/\s+/).length > 5 && /[a-z]/.test(text) && own.get(at) === text,
    );
    expect(sentences).toEqual([]);
  });

  it("uses the marks of its own language", () => {
    const odd = [...own].filter(([, text]) =>
      language === "de"
        ? /\bdaß\b|[a-zäöüß] [?!:;](\s|$)/.test(text.replace(" !", ""))
        : /(^|[\s"(])[^¿?]*[^¿?\s][a-z]\?\s*$/.test(text) && !text.includes("¿"),
    );
    expect(odd).toEqual([]);
  });

  it("has the same tasks in its guide, which lead to the same places", () => {
    const shape = () => GUIDE.map((t) => [t.id, t.picture?.file ?? null, t.links.map((l) => l.to), t.steps.length > 0]);
    expect(speakIn(language, shape)).toEqual(shape());
  });
});

describe.each(LANGUAGES)("what is shown as an example in %s", (language) => {
  it("is understood on the line of the next event", () => {
    const lines = speakIn(language, () => LINE_GRAMMAR.map(([line]) => readLine(line)));
    const same = LINE_GRAMMAR.map(([line]) => readLine(line));
    const what = (l: ReturnType<typeof readLine>) => [
      l.when.edtf,
      l.category !== null,
      l.place !== "",
      l.tags.length,
      l.emphasis,
    ];
    expect(lines.map(what)).toEqual(same.map(what));
    expect(lines.every((l) => l.title.length > 3)).toBe(true);
  });

  it("is understood in the table to fill in", () => {
    const dates = (of: typeof language) => CATALOGUES[of].template.WORDS.rows.map((r) => readWhen(r[0]!).edtf);
    expect(dates(language)).toEqual(dates("en"));
  });
});

it.each([
  ["en", "2 years", "39 years"],
  ["de", "2 Jahre", "39 Jahre"],
  ["es", "2 años", "39 años"],
] as const)("how long something went on is said in %s", (language, some, many) =>
  expect(speakIn(language, () => [lengthText(readWhen("1872 - 1874")), lengthText(readWhen("1744 - 1783"))])).toEqual([
    some,
    many,
  ]),
);

/** What a catalogue says when it is told of one thing of each kind. */
function ofOne(said: unknown, at = ""): [string, string][] {
  if (typeof said === "function") {
    try {
      return [[at, String((said as (...told: number[]) => unknown)(1, 1, 1, 1, 1, 1))]];
    } catch {
      // It is told of lists and names only.
      return [];
    }
  }
  if (typeof said !== "object" || said === null) return [];
  return Object.entries(said).flatMap(([name, words]) => ofOne(words, `${at}/${name}`));
}

const MANY = {
  en: /(?<!of )\b1 (events|points|words|rows|cells|labels|pictures|steps|times|letters|tags|groups|changes were)\b/,
  de: /(?<!von )\b1 (Ereignisse|Punkten?|Wörter|Zeilen|Zellen|Beschriftungen|Bilder|Schritte|Tagen|Gruppen)\b/,
  es: /(?<!de )\b1 (eventos|puntos|palabras|filas|celdas|etiquetas|imágenes|pasos|veces|grupos|añadidos|cambiados|devueltos)\b/,
};
/** What is never said of one: a limit, a length of keeping, or there is a sentence of its own for one. */
const NEVER_ONE =
  /restAsDescription|rowsBeyond|linesEnterAddsAsMany|wordsAlike|look-over\/WORDS\/words|places\/WORDS\/tied|changesWere|INCOMPLETE|shelfPage|openedLast|DIFFERENT|atOnceLine|openedDays/;

it.each(LANGUAGES)("one is not said as many in %s", (language) => {
  const said = ofOne(CATALOGUES[language]).filter(([at, text]) => MANY[language].test(text) && !NEVER_ONE.test(at));
  expect(said).toEqual([]);
});
