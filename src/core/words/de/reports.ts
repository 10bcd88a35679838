import type * as En from "../en/reports";
import type { Like } from "../like";

const REASONS: Like<typeof En.WORDS.reasons> = {
  harmful: "Es verletzt oder bedroht jemanden",
  private: "Es zeigt jemandes Privatleben",
  copied: "Es benutzt jemandes Arbeit ohne Einverständnis",
  advertising: "Es ist Werbung",
  other: "Etwas anderes",
};

export const WORDS: Like<typeof En.WORDS> = {
  report: "Melden",
  reportOf: (by) => `Melden, was ${by} gesagt hat`,
  title: (by) => `Melden, was ${by} gesagt hat`,
  reason: "Grund",
  reasons: REASONS,
  words: "Was daran nicht stimmt, in ein paar Worten",
  send: "Melden",
  cancel: "Lassen",
  told: {
    teachers: "Danke. Die Lehrkräfte deiner Klasse haben es erfahren.",
    site: "Danke. Wer diese Seite betreut, sieht es an.",
  },
  waiting: "Gemeldete Worte",
  none: "Keine gemeldeten Worte warten auf dich.",
  saidIn: (by, title) => `${by} in „${title || "Ohne Titel"}“`,
  gone: "Es ist nicht mehr da.",
  remove: "Wegnehmen",
  leave: "Stehen lassen",
  toTeacher: (by, who, title, text, reason, words) =>
    `${by} meldet, was ${who} in „${title || "Ohne Titel"}“ gesagt hat: „${text}“. ${reason}: ${words} Du kannst es dort wegnehmen, wo es steht, bei den Kommentaren zu dieser Arbeit.`,
};
