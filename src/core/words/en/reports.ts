import { WORDS as PAGES } from "./published-pages";

/** What stands where somebody reports what others said, and where that is decided. */
export const WORDS = {
  report: "Report",
  reportOf: (by: string) => `Report what ${by} said`,
  title: (by: string) => `Report what ${by} said`,
  reason: PAGES.reason,
  reasons: PAGES.reasons,
  words: "What is wrong with it, in a few words",
  send: "Report it",
  cancel: "Leave it",
  told: {
    teachers: "Thank you. The teachers of your class have been told.",
    site: "Thank you. Whoever keeps this site looks at it.",
  },
  waiting: "Reported words",
  none: "No words that were reported wait for you.",
  saidIn: (by: string, title: string) => `${by} in “${title || "Untitled"}”`,
  gone: "It is not there any more.",
  remove: "Take it away",
  leave: "Leave it there",
  toTeacher: (by: string, who: string, title: string, text: string, reason: string, words: string) =>
    `${by} reports what ${who} said in “${title || "Untitled"}”: “${text}”. ${reason}: ${words} You can take it away where it stands, among the comments on that work.`,
} as const;
