import type * as En from "../en/sheets";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  sheets: (title) => `${title} – Bewertungsbögen`,
  points: (points, total) =>
    points === null ? "Noch keine Punkte" : `${points} von ${total} ${total === 1 ? "Punkt" : "Punkten"}`,
  submitted: (at) => `Abgegeben ${at}`,
  rubric: "Bewertungsraster",
  level: (criterion, level, points, best) => `${criterion}: ${level} (${points} von ${best})`,
  comment: "Kommentar",
  onEvents: "Zu einzelnen Ereignissen",
  given: "Vorgegebene Daten",
  givenLine: (title, result) => `${title}: ${result}`,
  requirements: "Anforderungen",
  requirementLine: (text, have, need, missing) => `${text}: ${have} von ${need}${missing ? ` – ${missing}` : ""}`,
  changed: "Geändert",
  changedLine: (points, reason) => `Vorher waren es ${points === null ? "keine Punkte" : points}. ${reason}`,
  fingerprint: (hash) => `Fingerabdruck ${hash}`,
  mailSubject: (title) => `Abgegeben: ${title}`,
  mailBody: (title, at, hash) =>
    `„${title}“ wurde ${at} abgegeben.\n\nFingerabdruck dessen, was abgegeben wurde:\n${hash}\n\nBewahre diesen Brief als Quittung auf. Eine Quittung als PDF steht unter „Die Aufgabe“ in deiner Zeitleiste.`,
  receipt: "Quittung",
  receiptHelp:
    "Sie sagt, dass die unten genannte Arbeit abgegeben wurde, wann und von wem. Der Fingerabdruck ist aus allem errechnet, was abgegeben wurde: Wäre ein Buchstabe davon anders, wäre es auch der Fingerabdruck.",
  whose: (names) => `Von ${names}`,
  forClass: (klass) => `Für ${klass}`,
  due: (at) => `Fällig ${at}`,
  inTime: "Rechtzeitig.",
  short: "Was fehlte",
  nothingShort: "Alles Verlangte war da.",
  totalMark: (total) => `Es wird mit bis zu ${total === 1 ? "1 Punkt" : `${total} Punkten`} bewertet.`,
  whatIsAsked: "Was verlangt ist",
  givenEvents: "Vorgegebene Ereignisse",
  findDate: (title) => `${title} – finde das Datum`,
  texts: "Zu lesen",
  textN: (n) => `Text ${n}`,
  noSheets: "Noch wurde nichts abgegeben, also gibt es nichts zu drucken.",
};
