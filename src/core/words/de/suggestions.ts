import type * as En from "../en/suggestions";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  suggestions: "Vorschläge",
  suggest: "Eine Änderung vorschlagen",
  asSuggested: "Wie du es hättest",
  about: "Zu welchem Ereignis",
  aNewOne: "Ein neues Ereignis",
  why: "Warum (wer entscheidet, liest es)",
  send: "Vorschlagen",
  sent: "Vorgeschlagen. Es wartet, bis jemand entscheidet, der bearbeitet.",
  fields: { when: "Wann", title: "Titel", text: "Text", category: "Kategorie" },
  by: (name) => `${name} schlägt vor`,
  you: "Du schlägst vor",
  newEvent: (title) => `ein neues Ereignis: „${title}“`,
  forEvent: (title) => `für „${title}“`,
  nothing: "nichts",
  becomes: "wird",
  accept: "Übernehmen",
  acceptOf: (title) => `Übernehmen, was für ${title} vorgeschlagen ist`,
  refuse: "Weglassen",
  refuseOf: (title) => `Weglassen, was für ${title} vorgeschlagen ist`,
  acceptAll: (n) => `Alle ${n} übernehmen`,
  takeBack: "Zurücknehmen",
  takeBackOf: (title) => `Zurücknehmen, was du für ${title} vorschlägst`,
  gone: "Das Ereignis wurde seither gelöscht.",
};
