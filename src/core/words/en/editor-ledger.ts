/** What stands on the screen: editor, ledger. */
export const WORDS = {
  oneHas: (x: string) => `one has ${x}`,
  textHas: (x: string) => `text has ${x}`,
  aTitleHoldsCharactersThis: (title: number, x: string) =>
    `A title holds ${title} characters; this ${x}. Nothing was added and the text is still here: shorten it, or put the rest into the description.`,
  writeTheNextEventOn: "Write the next event on one line",
  writeTheNextEventOn2: "Write the next event on one line – about 1840 - 1852 Steam mill #trade",
  enter: "Enter",
  dateFirstOrLastAnd:
    "Date first or last, # and a category, @ and a place, + and a tag, ! for an important one. Paste a list to add many.",
  whatTheLineUnderstands: "What this line understands",
  pressAnExample: "Press an example to try it.",
  restAsDescription: (words: number) => `the rest, ${words} words, becomes its description`,
  takeItAsOneLine: "Take it as one line",
  place: "Place",
  tags: "Tags",
  linesEnterAddsAsMany: (count: number) => `${count} lines: Enter adds as many events`,
  date: "Date",
  noneYet: "none yet",
  title: "Title",
  category: "Category",
  new: (category: string) => `${category} (new)`,
  important: "Important",
  takeTheDateOutOf: "Take the date out of it",
  allOfItIsThe: "All of it is the title",
  ledger: "Ledger",
  more: "More",
  noDateYet: "no date yet",
  notUnderstood: "not understood",
  untitled: "Untitled",
  none: "none",
  yes: "yes",
  words: (wordsIn: number) => (wordsIn === 1 ? "1 word" : `${wordsIn} words`),
  open: (name: string) => `Open ${name}`,
  openTheEventSheet: "Open the event sheet",
  open2: "Open",
  moreAbout: (name: string) => `More about ${name}`,
  insertBefore: "Insert before",
  insertAfter: "Insert after",
  insertChapter: "Insert a chapter before",
  chapter: "Chapter",
  newChapter: "New chapter before the selected event",
  duplicate: "Duplicate",
  delete: "Delete",
  dragOntoWhatItIs: (name: string) => `Drag “${name}” onto what it is part of`,
  // The grid.
  cellOf: (column: string, name: string) => `${column}, ${name}`,
  mark: (name: string) => `Mark ${name}`,
  row: "Row",
  markAll: "Mark all rows",
  choices: "Choices",
  sortRowsBy: "Order of the rows",
  lastOnTop: "The last on top",
  sortedUp: "sorted upwards",
  sortedDown: "sorted downwards",
  sortBy: (column: string) => `Look at the rows by ${column}`,
  columnKeys: "Shift and arrow keys make the column wider or narrower, Alt and arrow keys move it.",
  dragToWiden: "Drag to make the column wider or narrower; twice: as usual",
  sortedSoOrderStays: "The rows are sorted. Go back to the order of time (Alt-T) to move events in it.",
  textTooLong: (column: string, has: string, most: string) =>
    `${column} holds ${most} characters; this has ${has}. It is still here: shorten it, or put the rest into the description.`,
  noRoomForTag: (n: number) =>
    `${n === 1 ? "1 event has" : `${n} events have`} no room for it: an event has at most 30 tags of at most 40 letters. The others have it.`,
  notAValue: (column: string, text: string) =>
    ({
      partOf: `No event that it could be part of is called “${text}”. Choose one from the list, or Escape.`,
      sign: `There is no sign “${text}”. Choose one from the list, or Escape.`,
      done: `“${text}” is no percentage: write a number from 0 to 100, or Escape.`,
      tags: `“${text}” is more than fits: an event has up to 30 tags of up to 40 characters.`,
    })[column] ?? `“${text}” is neither yes nor no.`,
  // What came of a paste.
  nothingToPaste: "There is no text on the clipboard, so nothing was pasted.",
  nothingPastedBecause: (why: string) => `Nothing was pasted. ${why}`,
  cellTooLong: (row: string, column: string, has: string, most: string) =>
    `Nothing was pasted: row ${row} has ${has} characters for ${column}, which holds ${most}. Your clipboard still has all of it.`,
  eventsAdded: (n: number) => (n === 1 ? "1 event was added." : `${n.toLocaleString("en")} events were added.`),
  datesKeptAsTyped: (n: number) =>
    n === 1
      ? "1 date was not understood and stands as it was written."
      : `${n.toLocaleString("en")} dates were not understood and stand as they were written.`,
  keptInNotes: (n: number) =>
    n === 1
      ? "1 cell did not fit its column: its words are kept in the event's private note."
      : `${n.toLocaleString("en")} cells did not fit their columns: their words are kept in the private notes.`,
  givenLeft: (n: number) =>
    n === 1
      ? "1 cell of a given event stays as your teacher set it."
      : `${n.toLocaleString("en")} cells of given events stay as your teacher set them.`,
  countedTakeNothing: (n: number) =>
    n === 1
      ? "1 cell is counted from what the event has, and takes nothing."
      : `${n.toLocaleString("en")} cells are counted from what the events have, and take nothing.`,
  beyondLastColumn: (n: number) =>
    `${n === 1 ? "1 cell lay beyond the last column and was" : `${n.toLocaleString("en")} cells lay beyond the last column and were`} left out: show more columns and paste again.`,
  readingRows: (done: number, total: number) =>
    `Reading ${done.toLocaleString("en")} of ${total.toLocaleString("en")} rows`,
  stopReading: "Stop",
  // Looking at some.
  lookAt: "What is shown",
  look: "Look at",
  lookAtSome: "Look at some",
  wordsAnywhere: "Words in any event",
  wordsToLookFor: "Words to look for",
  columns: "Columns",
  columnsShown: "Columns shown",
  earlierColumn: (column: string) => `Move ${column} to the left`,
  laterColumn: (column: string) => `Move ${column} to the right`,
  columnsAsUsual: "As usual",
  shownOf: (n: number, total: number) => `${n.toLocaleString("en")} of ${total.toLocaleString("en")}`,
  allEvents: (n: number) => (n === 1 ? "1 event" : `${n.toLocaleString("en")} events`),
  showAll: "Show all",
  noneFits: "No event fits what you look for.",
  altT: "Alt-T",
  backToTime: "Back to the order of time",
  sortedBy: (column: string) => `Sorted by ${column}`,
  chartFollows: "The chart shows the same",
  withoutCategory: "without a category",
  withTag: "Tags",
  writtenBy: "Written by",
  thatLack: "That are",
  lacks: {
    date: "without a date",
    source: "without a source",
    picture: "without a picture",
    description: "without a description",
    finding: "worth a look",
  },
  you: "you",
  find: "Find",
  // Several rows at once.
  rowsMarked: (n: number) => (n === 1 ? "1 row marked" : `${n.toLocaleString("en")} rows marked`),
  rowsChosen: (n: number) => (n === 1 ? "1 row chosen" : `${n.toLocaleString("en")} rows chosen`),
  unmark: "Let go",
  changeAll: "Change all",
  set: "Set",
  to: "to",
  addTag: "Tag to add",
  takeTag: "Tag to take away",
  whatToChange: "What to change",
  change: "Change them",
  moveDates: "Move dates",
  moveBy: "Move by",
  unit: "Unit",
  earlier: "earlier",
  later: "later",
  units: {
    years: "years",
    months: "months",
    weeks: "weeks",
    days: "days",
    hours: "hours",
    minutes: "minutes",
  },
  moveThem: "Move them",
  datesMoved: (n: number) => (n === 1 ? "1 date was moved." : `${n.toLocaleString("en")} dates were moved.`),
  datesTooCoarse: (n: number) =>
    n === 1
      ? "1 is known less exactly than that and stayed."
      : `${n.toLocaleString("en")} are known less exactly than that and stayed.`,
  datesNotMoved: (n: number) =>
    n === 1 ? "1 has no date that could be moved." : `${n.toLocaleString("en")} have no date that could be moved.`,
  copyTo: "Copy to",
  copyIntoTimeline: "Copy into",
  chooseATimeline: "Choose one of your timelines",
  noOtherTimeline: "You have no other timeline that you may edit.",
  copied: (n: number, title: string) =>
    n === 1 ? `1 event was copied into “${title}”.` : `${n.toLocaleString("en")} events were copied into “${title}”.`,
  copyThem: "Copy them",
  givenNotDeleted: (n: number) =>
    n === 1 ? "1 given event cannot be deleted and stays." : `${n} given events cannot be deleted and stay.`,
  bringIn: "Bring in",
  bringInHint: "A table or a list: pasted, or from a file",
} as const;

/** What the writing line understands: an example that works, and what it says. */
export const LINE_GRAMMAR: readonly (readonly [string, string])[] = [
  ["1604 Rope ferry licensed", "a date first, then the title"],
  ["May Day riots 1911", "or the date at the end"],
  ["about 1840 - 1852 Steam mill", "from when to when; about, before, 1840s, spring 1783, 310 BC"],
  ["14 Nov 1872 22:10 East quay under water", "a time of day"],
  ["Build the set", "no date yet: it stands at the end, and can be moved"],
  ["1744 Timber bridge #crossing", "# and its category; a new one is made"],
  ['1766 School opens @"East bank"', "@ and its place; several words in quotation marks"],
  ["1783 Spring flood +river +ice", "+ and a tag, as many as you like"],
  ["1872 The long night !", "! by itself: important"],
];

/** The names of the ledger's columns. */
export const COLUMN_NAMES = {
  when: "When",
  title: "Title",
  shortTitle: "Short title",
  category: "Category",
  partOf: "Part of",
  place: "Place",
  tags: "Tags",
  media: "Media",
  words: "Description",
  source: "Source",
  link: "Link",
  emphasis: "Important",
  sign: "Sign",
  done: "Done",
  note: "Private note",
} as const;
