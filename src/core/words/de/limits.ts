import type { MostOf } from "../../change/limits";
import { MOST_DEEP } from "../../timeline/parts";

const KEPT = "Nichts von diesem Schritt wurde gespeichert; alles davor ist es.";

export const LIMIT_SENTENCES: Record<MostOf, string> = {
  events: `Eine Zeitleiste fasst 20.000 Ereignisse. ${KEPT} Beginne für den Rest eine zweite.`,
  drawn: "100.000 Ereignisse lassen sich auf einmal zeichnen; diese Datei hat mehr.",
  tableRows: "Eine Tabelle darf 20.000 Zeilen haben. Teile sie und bring die Teile einzeln herein.",
  steps: `Eine Änderung fasst 50.000 Schritte. ${KEPT} Mach sie in mehreren Teilen.`,
  deep: `Ereignisse liegen höchstens ${MOST_DEEP} tief ineinander. ${KEPT} Mach es zum Teil von etwas weiter außen.`,
  categories: `Eine Zeitleiste hat höchstens 200 Kategorien. ${KEPT} Lösche eine, die nicht benutzt wird.`,
  items: `Ein Ereignis hat höchstens 100 Bilder und Dateien, 100 Quellen und 100 Links. ${KEPT} Lösche eins, oder mach ein zweites Ereignis.`,
  sources: `Eine Zeitleiste hat höchstens 5.000 Quellen. ${KEPT} Lösche die, die kein Ereignis nennt.`,
  description:
    "Eine Beschreibung fasst 100.000 Zeichen, höchstens 12 tief verschachtelt. Sie steht noch, wo du sie geschrieben hast: Kürze sie, oder verteile sie auf mehrere Ereignisse.",
  nested:
    "Listen und Zitate liegen in einer Beschreibung höchstens 12 tief ineinander. Sie steht noch, wo du sie geschrieben hast: Nimm eine Stufe heraus.",
  logBytes:
    "Der Verlauf dieser Zeitleiste ist voll: 200 MB Änderungen. Was vorher gespeichert wurde, ist aufgehoben und lässt sich lesen, veröffentlichen und einfrieren. Mach in einer neuen Zeitleiste weiter.",
  timelineFiles: "Die Dateien einer Zeitleiste dürfen zusammen 1 GB haben. Lösche welche, oder nimm eine kleinere.",
  personFiles: "Die Dateien einer Person dürfen zusammen 3 GB haben. Lösche welche, oder nimm eine kleinere.",
  timelines: "Du hast 2.000 Zeitleisten, und mehr passen nicht. Lösche welche, die du nicht brauchst.",
};

const FIELD_WORDS: Record<string, string> = {
  title: "Titel",
  shortTitle: "Kurztitel",
  address: "Adresse",
  place: "Ort",
  note: "Notiz",
  name: "Name",
  subject: "Thema",
  byline: "Autorenzeile",
};

export function tooLongText(p: { field: string; length: number; most: number }): string {
  return `Das Feld „${FIELD_WORDS[p.field] ?? p.field}“ hat ${p.length.toLocaleString("de")} Zeichen; ${p.most.toLocaleString("de")} passen. Es wurde nicht gespeichert und steht noch im Feld: Kürze es, oder schreib den Rest in die Beschreibung.`;
}
