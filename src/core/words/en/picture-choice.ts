/** What is said where pictures are chosen: from the shelf, and among what was used before. */
export const WORDS = {
  fromTheShelf: "From the shelf",
  usedBefore: "Used before",
  choosePictures: "Choose pictures",
  shelfHelp:
    "Pictures that ship with Fastigo, drawn for it, free to use (CC0). Credit and licence come along by themselves.",
  lookFor: "Look for",
  shelfExample: "castle, railway, volcano",
  usedExample: "words, the day (2026-11-25), a timeline",
  searching: "Looking ...",
  none: (words: string) => `Nothing fits “${words}”. Try another word, or fewer.`,
  nothingUsed: "You have not uploaded anything yet.",
  take: (title: string) => `Take ${title}`,
  taken: "taken",
  taking: "is being taken ...",
  more: "Show more",
  found: (n: number, more: boolean) => `${more ? "More than " : ""}${n === 1 ? "1 picture" : `${n} pictures`}`,
  uploaded: (day: string, timeline: string) => `${day}, in “${timeline || "Untitled"}”`,
  shownBy: (events: readonly string[]) =>
    events.length === 0
      ? "shown nowhere"
      : `shown by ${events
          .slice(0, 3)
          .map((e) => (e ? `“${e}”` : "the opening page"))
          .join(", ")}${events.length > 3 ? ` and ${events.length - 3} more` : ""}`,
  shelf: "The shelf",
  shelfPage: (n: number, subjects: number) =>
    `${n} pictures over ${subjects} subjects, drawn for Fastigo. They are given away (CC0): use them for what you like, in a timeline or elsewhere.`,
  deleteIt: "Delete ...",
  deleteNamed: (title: string) => `Delete ${title}`,
  beforeDeleting: "It is taken out of every timeline of yours that shows it, and nothing puts it back.",
  deleteForGood: "Delete for good",
  keepIt: "Keep it",
  deleted: (entries: number, frozen: readonly string[]) =>
    `Deleted for good${entries === 0 ? "" : entries === 1 ? ", and taken out of one place" : `, and taken out of ${entries} places`}.${
      frozen.length === 0
        ? ""
        : ` What was published, handed in or frozen of ${frozen.map((t) => `“${t || "Untitled"}”`).join(", ")} still shows it: it is kept for that alone, and goes when that goes.`
    }`,
  search: "Search",
  all: "All of them",
} as const;
