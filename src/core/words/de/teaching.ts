import type { Standing } from "../../classes/standing";
import type * as En from "../en/teaching";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  title: "Meine Klassen heute",
  help: "Was auf dich wartet, Klasse für Klasse. Jeder Name führt dorthin, wo es getan wird.",
  toMark: "Zu bewerten",
  again: "Noch einmal abgegeben",
  late: "Zu spät",
  stuck: "Hängt fest",
  asked: "Hat dich gefragt",
  nothing: "niemand",
  none: "Du unterrichtest noch keine Klasse.",
  newClass: "Neue Klasse",
  newSchool: "Eine Schule anlegen",
  students: (n) => (n === 1 ? "1 Lernende oder Lernender" : `${n} Lernende`),
  questions: (n) => (n === 1 ? "1 Frage" : `${n} Fragen`),
  more: (n) => `und ${n} weitere`,
  allQuiet: "Hier wartet nichts.",
  table: (name) => `Was in ${name} wartet`,
};

export function standingText(s: Standing, missing: readonly string[]): string {
  switch (s.code) {
    case "idle":
      return s.begun ? `seit ${s.days} Tagen nichts geschrieben` : `nicht begonnen, vor ${s.days} Tagen gestellt`;
    case "behind":
      return `bald fällig: ${missing.join("; ")}`;
    default:
      return "";
  }
}
