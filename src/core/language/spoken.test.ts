import { afterAll, describe, expect, it } from "vitest";
import { knowLanguages } from "../testing/languages";
import { askedLanguage, languageLike } from "./asked-language";
import { mirrored } from "./mirrored";
import {
  directionOf,
  hasWords,
  inAlphabet,
  isLanguage,
  type Language,
  language,
  learn,
  speakIn,
  spoken,
} from "./spoken";

knowLanguages();

describe("the language somebody is spoken to in", () => {
  it.each<[string, string, Language]>([
    ["", "", "en"],
    ["", "de-AT,de;q=0.9,en;q=0.8", "de"],
    ["", "en;q=0.2, es-MX;q=0.7, de;q=0.4", "es"],
    ["", "fr-FR, it;q=0.9", "en"],
    ["", "fr, es;q=0.1", "es"],
    ["", "de;q=0, es;q=0.3", "es"],
    ["", "de;q=2, es;q=nothing", "en"],
    ["", "DE", "de"],
    ["", "*", "en"],
    ["", ";;;,,,q=1,=", "en"],
    ["fastigo_language=es", "de", "es"],
    ["a=b; fastigo_language=de; c=d", "es", "de"],
    ["fastigo_language=tlh", "de", "de"],
    ["fastigo_language=constructor", "", "en"],
    ["not_fastigo_language=es", "", "en"],
    ["fastigo_language", "", "en"],
  ])("with the cookies %j and the wish %j is %s", (cookies, wish, one) =>
    expect(askedLanguage(cookies, wish)).toBe(one),
  );

  it("reads no more of a wish than a browser would send", () =>
    expect(askedLanguage("", `${"fr,".repeat(400)}de`)).toBe("en"));

  it.each<[string | undefined, Language]>([
    ["de", "de"],
    ["de-CH", "de"],
    ["es-419", "es"],
    ["cy", "en"],
    ["", "en"],
    [undefined, "en"],
  ])("a timeline in %s speaks %s", (tag, one) => expect(languageLike(tag)).toBe(one));

  it("nobody is spoken to in a mirror where none hangs", () => {
    expect([isLanguage("zz"), isLanguage("toString"), isLanguage(7), isLanguage("de")]).toEqual([
      false,
      false,
      false,
      true,
    ]);
    expect([hasWords("en"), hasWords("de"), hasWords("zz" as Language)]).toEqual([true, true, false]);
    expect([directionOf("de"), directionOf("ar"), directionOf("zz")]).toEqual(["ltr", "rtl", "rtl"]);
  });
});

describe("words in the language of the moment", () => {
  const english = {
    WORDS: { good: "Good", only: "Only here", kinds: { map: "Map" }, many: (n: number) => `${n} good` },
    ROWS: [["a", "b"], ["c"]],
    said: (name: string) => `Hello, ${name}`,
  };
  learn("de", {
    greeting: {
      WORDS: { good: "Gut", kinds: { map: "Karte" }, many: (n: number) => `${n} gute` },
      ROWS: [["d"]],
      said: (name: string) => `Hallo, ${name}`,
    },
  });
  afterAll(() => void knowLanguages());
  const { WORDS, ROWS, said } = spoken("greeting", english);
  const all = () => [
    WORDS.good,
    WORDS.only,
    WORDS.kinds.map,
    WORDS.many(2),
    ROWS.map((r) => r.join("")).join(),
    ROWS.length,
    said("Nia"),
  ];

  it("are asked for where they are said, with English for what a language does not say", async () => {
    const inEnglish = ["Good", "Only here", "Map", "2 good", "ab,c", 2, "Hello, Nia"];
    expect([language(), all()]).toEqual(["en", inEnglish]);
    const german = ["Gut", "Only here", "Karte", "2 gute", "d", 1, "Hallo, Nia"];
    expect(speakIn("de", () => [language(), all()])).toEqual(["de", german]);
    // A room that a language does not have, and two who are spoken to at once.
    expect(speakIn("es", all)).toEqual(inEnglish);
    const later = (one: Language) => speakIn(one, () => new Promise((done) => setImmediate(() => done(WORDS.good))));
    expect(await Promise.all([later("de"), later("en"), later("de")])).toEqual(["Gut", "Good", "Gut"]);
  });

  it("stand in the order of their alphabet", () => {
    const words = ["zwei", "apfel", "Birne 10", "Birne 2", "Ähre"];
    expect(speakIn("de", () => words.toSorted(inAlphabet))).toEqual(["Ähre", "apfel", "Birne 2", "Birne 10", "zwei"]);
    expect(speakIn("es", () => ["ocaso", "ñandú", "nube"].toSorted(inAlphabet))).toEqual(["nube", "ñandú", "ocaso"]);
  });

  it("stand in brackets in a mirror, all but what things are known by", () =>
    expect(
      mirrored({
        a: "abc",
        id: "begin",
        list: ["de", { to: "/x", text: "fgh" }],
        say: (n: number) => `${n} ab`,
        no: "",
      }),
    ).toMatchObject({ a: "⟦abc·⟧", id: "begin", list: ["⟦de·⟧", { to: "/x", text: "⟦fgh·⟧" }], no: "" }));
});
