import { beforeAll, describe, expect, it } from "vitest";
import { type Language, speakIn } from "@/core/language/spoken";
import { WORDS as NOTICES } from "@/core/words/notices";
import { noticesOf, sendDigests, tellPeople } from "../accounts/notices";
import { openSession } from "../accounts/sessions";
import { db } from "../db/pool";
import { lettersOf } from "../mail/outgoing";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { chooseLanguage, languagesOf } from "./of-account";
import { learnLanguages } from "./speaking";

withTestDatabase("languages");
beforeAll(learnLanguages);

async function person(language: Language | null) {
  const { id } = await makePerson("Nia");
  await db()`update account set email_proven_at = now(), language = ${language} where id = ${id}`;
  return id;
}

describe("the language of an account", () => {
  it("is that of the browser in which it is first signed in to, until another is chosen", async () => {
    const nia = await person(null);
    const entered = async (language: Language) =>
      (await speakIn(language, () => openSession(db(), nia))).cookies.find((c) => c.startsWith("fastigo_language="));
    expect(await entered("es")).toMatch(/^fastigo_language=es;/);
    // A browser that asks for another is spoken to as its owner wishes.
    expect(await entered("de")).toMatch(/^fastigo_language=es;/);
    await chooseLanguage(nia, "de");
    expect(await entered("en")).toMatch(/^fastigo_language=de;/);
  });

  it("is one that is spoken", async () => {
    const nia = await person(null);
    await expect(chooseLanguage(nia, "tlh" as Language)).rejects.toThrow();
    expect(await languagesOf([nia])).toEqual(new Map([[nia, "en"]]));
  });
});

describe("what people are told", () => {
  it("is in the language of each of them, whoever does it in another; so is the letter that brings it", async () => {
    const all = [await person("de"), await person("es"), await person("en"), await person(null)];
    await speakIn("es", () => tellPeople(db(), "named", all, () => NOTICES.named("Obi", "How the Ambrel was crossed")));
    const texts = await Promise.all(all.map(async (id) => (await noticesOf(id)).map((n) => n.text).join()));
    expect(texts).toEqual([
      "Obi hat dich in einem Kommentar zu „How the Ambrel was crossed“ erwähnt.",
      "Obi te ha nombrado en un comentario sobre «How the Ambrel was crossed».",
      "Obi has named you in a comment on “How the Ambrel was crossed”.",
      "Obi has named you in a comment on “How the Ambrel was crossed”.",
    ]);
    await sendDigests(new Date(Date.now() + 2 * 3_600_000));
    const letters = await Promise.all(all.map(async (id) => (await lettersOf(id)).map((l) => l.subject).join()));
    expect(letters).toEqual(["1 Hinweis für dich", "1 aviso para ti", "1 notice for you", "1 notice for you"]);
  });
});
