import type { Standing } from "../../classes/standing";

/** What stands on the teacher's page of all classes. */
export const WORDS = {
  title: "My classes today",
  help: "What waits for you, class by class. Each name leads to where it is done.",
  toMark: "To mark",
  again: "Handed in again",
  late: "Late",
  stuck: "Stuck",
  asked: "Asked you",
  nothing: "nobody",
  none: "You teach no class yet.",
  newClass: "New class",
  newSchool: "Make a school",
  students: (n: number) => (n === 1 ? "1 student" : `${n} students`),
  questions: (n: number) => (n === 1 ? "1 question" : `${n} questions`),
  more: (n: number) => `and ${n} more`,
  allQuiet: "Nothing waits here.",
  table: (name: string) => `What waits in ${name}`,
} as const;

/** Why somebody is worth a look. */
export function standingText(s: Standing, missing: readonly string[]): string {
  switch (s.code) {
    case "idle":
      return s.begun ? `nothing written for ${s.days} days` : `not begun, set ${s.days} days ago`;
    case "behind":
      return `due soon: ${missing.join("; ")}`;
    default:
      return "";
  }
}
