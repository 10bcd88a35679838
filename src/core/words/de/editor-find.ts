import type * as En from "../en/editor-find";
import type { Like } from "../like";

const many = (n: number) => n.toLocaleString("de");

export const WORDS: Like<typeof En.WORDS> = {
  findAndReplace: "Suchen und ersetzen",
  find: "Suchen",
  matchCase: "Großbuchstaben zählen",
  wholeWords: "Nur ganze Wörter",
  replace: "Ersetzen",
  replaceWith: "Ersetzen durch",
  replacePlaces: (n) => (n === 1 ? "1 Stelle ersetzen" : `${many(n)} Stellen ersetzen`),
  replaceThis: (where) => `Diese ersetzen, in ${where}`,
  everyTextIsLookedThrough: "Durchsucht werden Titel, Daten, Beschreibungen, Quellen, Nachweise, Orte und Notizen.",
  nowhere: (text) => `„${text}“ steht nirgends in dieser Zeitleiste.`,
  moreThan: (n) => `Mehr als ${many(n)} Stellen; das sind die ersten.`,
  inPlaces: (n) => (n === 1 ? "1 Stelle" : `${many(n)} Stellen`),
  replaced: (n) =>
    n === 1
      ? "1 Stelle wurde ersetzt. Rückgängig holt sie zurück."
      : `${many(n)} Stellen wurden ersetzt. Rückgängig holt sie zurück.`,
  titlesStay: (n) =>
    n === 1
      ? "1 Titel oder Name wäre leer geworden und bleibt, wie er ist."
      : `${many(n)} Titel oder Namen wären leer geworden und bleiben, wie sie sind.`,
  nothingReplaced: (why) => `Nichts wurde ersetzt. ${why}`,
  theTimeline: "Die Zeitleiste",
  untitled: "Ohne Titel",
  givenStays: "(von deiner Lehrkraft vorgegeben: es bleibt)",
  where: {
    title: "Titel",
    subject: "Thema",
    byline: "Autorenzeile",
    shortTitle: "Kurztitel",
    when: "Datum",
    place: "Ort",
    note: "eigene Notiz",
    category: "Kategorie",
    introduction: "Einleitung",
    closing: "Schlussseite",
    description: "Beschreibung",
    media: "Bild, Video oder Ton",
    source: "Quelle",
    link: "Link",
  },
};
