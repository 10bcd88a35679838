import { MOST_ROSTER, type Roster } from "../../classes/roster";

/** What stands on the screen about the people of a class. */
export const WORDS = {
  addFromList: "Add students from a list",
  listHelp:
    "A name a line, as the class is to see it: a first name, or one that is made up. What stands behind a comma only you see, such as the whole name.",
  list: "Names",
  listExample: "Ada\nJonas, the taller one\nMila K., Mila Kovac",
  fromFile: "From a OneRoster export",
  fileHelp: "users.csv, and with it enrollments.csv, or the zip they are in. Versions 1.1 and 1.2.",
  file: "Files of a OneRoster export",
  notARoster:
    "These files are no OneRoster export: users.csv has the columns sourcedId and givenName. Nobody was added.",
  notUnpacked: "This zip cannot be opened. Unpack it, and choose users.csv and enrollments.csv. Nobody was added.",
  whichClass: "Which class of the export",
  found: (n: number) => (n === 1 ? "1 student to add" : `${n} students to add`),
  tooMany: `A class takes up to ${MOST_ROSTER} students. Make the list shorter; nobody was added.`,
  add: (n: number) => (n === 1 ? "Add the student" : `Add ${n} students`),
  slips: "Slips to hand out",
  slipsHelp:
    "Each student signs in with the name and the code of their slip, and chooses a password then. The codes are shown only now; print them, or make new ones later.",
  addedAnd: (added: number, there: number) =>
    there === 0 ? `${added} added.` : `${added} added; ${there === 1 ? "1 was" : `${there} were`} there already.`,
  print: "Print the slips",
  done: "Done",
  newSlips: "New slips for those who have not come in yet",
  nobodyWaits: "Everybody who was put here by a list has come in.",
  slipTitle: (klass: string) => `Fastigo · ${klass}`,
  signInName: "Sign-in name",
  code: "First-time code",
  how: (address: string) =>
    `${address} → Sign in → “Your teacher gave you a code?” Choose a password; from then on you sign in with it.`,
  teachers: "Who teaches here",
  role: { lead: "leads the class", teacher: "teaches", assistant: "assists" },
  colleague: "E-mail of a colleague’s account",
  as: "As",
  asTeacher: "teacher: sets, sees and marks",
  asAssistant: "assistant: sees and comments",
  take: "Take into the class",
  remove: (name: string) => `Take ${name} out`,
  leave: "Leave the class",
  handOver: (name: string) => `Let ${name} lead`,
  removeShort: "Take out",
  year: "School year",
  endYear: "End the year of this class",
  endYearHelp:
    "Nobody joins or hands in any more; everything is still seen, and kept as long as it says above. This can be taken back.",
  yearOver: "The year of this class is over.",
  fromArchive: (at: string) =>
    `This class came back out of an archive on ${at}. What was handed in and marked before is as the archive told it.`,
  reopen: "Open it again",
  nextYear: "Begin the next year with it",
  nextYearHelp:
    "A new class with the same settings, teachers and assignments, each due a year later, and no students yet.",
  nextName: "Name of the class then",
  begin: "Begin it",
  cancel: "Leave it",
  assistantNote: "You assist in this class: you see all work and comment on it.",
} as const;

/** What became of the lines of a list that are not taken, one sentence each reason. */
export function leftText(left: Roster["left"]): string[] {
  const of = (why: Roster["left"][number]["why"]) => left.filter((l) => l.why === why);
  const lines = (found: Roster["left"]) =>
    found
      .slice(0, 5)
      .map((l) => `“${l.text}” (line ${l.line})`)
      .join(", ") + (found.length > 5 ? ` and ${found.length - 5} more` : "");
  const [empty, long, double, there] = [of("no_name"), of("too_long"), of("double"), of("there")];
  return [
    empty.length > 0 ? `No name: ${lines(empty)}. Write one, or take the line away.` : "",
    long.length > 0 ? `Longer than 60 characters: ${lines(long)}.` : "",
    double.length > 0
      ? `Twice in the list, and taken once: ${lines(double)}. If they are two people, write something behind a comma that tells them apart.`
      : "",
    there.length > 0 ? `In the class already: ${lines(there)}.` : "",
  ].filter(Boolean);
}
