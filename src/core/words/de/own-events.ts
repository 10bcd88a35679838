import type * as En from "../en/own-events";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  yourEvents: "Deine Ereignisse",
  addAnEvent: "Ein Ereignis hinzufügen",
  alterIt: "Dein Ereignis",
  when: "Wann",
  whenHelp: "Wie du es schreiben würdest: 1846, um 1702, 3. Mai 1890, 1631-1702.",
  title: "Was geschah",
  text: "Mehr dazu",
  category: "Kategorie",
  none: "keine",
  add: "Hinzufügen",
  save: "Speichern",
  cancel: "Abbrechen",
  added: "Hinzugefügt.",
  saved: "Gespeichert.",
  misread: (typed) => `„${typed}“ ließ sich nicht als Datum verstehen; es bleibt, wie du es geschrieben hast.`,
  noDate: "ohne Datum",
  alter: (title) => `${title} ändern`,
  alterShort: "Ändern",
  remove: (title) => `${title} löschen`,
  removeShort: "Löschen",
};
