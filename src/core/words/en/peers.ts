import type { Agreement } from "../../classes/peers";

/** What stands where work is shown to a class, and read by others of it. */
export const WORDS = {
  gallery: "Class gallery",
  galleryLink: "See the class gallery",
  inGallery: "Show it in the class gallery",
  nothingShown: "Nothing is shown here yet. Its teachers choose what is, or when all that is handed in can be seen.",
  oneByOne: "One after another",
  allTogether: "All together",
  previous: "Previous",
  next: "Next",
  open: "Open it",
  notDrawnYet: "Its chart is being drawn. Reload the page in a moment.",
  peers: "Peer reading",
  peersHelp:
    "Everybody who has handed in reads work of others and says by the rubric how it is. Who reads whom is drawn by lot; nobody reads their own. You see what was said and how far they agree, and decide yourself.",
  howMany: "How many works each reads",
  blind: "Neither sees whose the other is",
  begin: "Draw who reads whom",
  given: (n: number) => (n === 1 ? "1 reading given out." : `${n} readings given out.`),
  cancel: "Leave it",
  toRead: "Work of others to read",
  toReadHelp: "Read it, choose what fits, and say one thing that is good and one that would make it better.",
  work: (n: number) => `Work ${n}`,
  readIt: "Read it",
  comment: (name: string) => `What you say about ${name}`,
  send: "Send it",
  sendAgain: "Send it anew",
  sent: "Sent.",
  said: "What others said",
  somebody: "Somebody of the class",
  byRubric: (points: number, total: number) => `${points} of ${total}`,
} as const;

/** Said to students before they hand in: who of their class will see it. */
export const WORKS_SHOWN = {
  chosen: "",
  handed_in: "What you hand in is seen by everybody of your class who has handed in, and it cannot be taken back. ",
  due: "What you hand in is seen by your class once the due time has passed. ",
} as const;

/** How far those who read a work agree. */
export function agreementText(a: Agreement, total: number): string {
  const how = { close: "They agree", some: "They agree roughly", apart: "They do not agree" }[a.how];
  return `${how}: ${a.mean} of ${total} on average of ${a.count}, from ${a.least} to ${a.most}.`;
}
