/** What stands on the screen: editor, find and replace. */
export const WORDS = {
  findAndReplace: "Find and replace",
  find: "Find",
  matchCase: "Capital letters count",
  wholeWords: "Whole words only",
  replace: "Replace",
  replaceWith: "Replace with",
  replacePlaces: (n: number) => (n === 1 ? "Replace 1 place" : `Replace ${n.toLocaleString("en")} places`),
  replaceThis: (where: string) => `Replace this one, in ${where}`,
  everyTextIsLookedThrough: "Titles, dates, descriptions, sources, credits, places and notes are looked through.",
  nowhere: (text: string) => `“${text}” stands nowhere in this timeline.`,
  moreThan: (n: number) => `More than ${n.toLocaleString("en")} places; these are the first.`,
  inPlaces: (n: number) => (n === 1 ? "1 place" : `${n.toLocaleString("en")} places`),
  replaced: (n: number) =>
    n === 1
      ? "1 place was replaced. Undo puts it back."
      : `${n.toLocaleString("en")} places were replaced. Undo puts them back.`,
  titlesStay: (n: number) =>
    n === 1
      ? "1 title or name would have been left empty and stays as it is."
      : `${n.toLocaleString("en")} titles or names would have been left empty and stay as they are.`,
  nothingReplaced: (why: string) => `Nothing was replaced. ${why}`,
  theTimeline: "The timeline",
  untitled: "Untitled",
  givenStays: "(given by your teacher: it stays)",
  where: {
    title: "title",
    subject: "subject",
    byline: "by-line",
    shortTitle: "short title",
    when: "date",
    place: "place",
    note: "private note",
    category: "category",
    introduction: "introduction",
    closing: "closing page",
    description: "description",
    media: "picture, video or sound",
    source: "source",
    link: "link",
  },
} as const;
