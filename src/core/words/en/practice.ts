/** What is said while one puts events in order. */
export const WORDS = {
  practise: "Practise",
  practiseTitle: (timeline: string) => `Practise: ${timeline}`,
  exercise: "Exercise",
  exercises: { order: "Put in order", dates: "Write the date", within: "Which of four fell within?" },
  helps: {
    dates: "An event is shown; write when it was. A year is enough. How far off you are counts.",
    within: "A span is shown with its dates, and four events without theirs: press the one that fell within.",
  },
  backToClass: "Back to the class",
  needsScript: "This practice needs a browser with scripts. Ask your teacher for a sheet on paper.",
  sent: "Your teacher sees this result.",
  notSent: "This try was not kept: you have done this practice a hundred times, or you teach the class.",
  couldNotCheck: (why: string) => `${why} Your order is still here: press Check once more.`,
  when: (title: string) => `When was “${title}”?`,
  whenLabel: "When it was",
  checkIt: "Check",
  next: "Next",
  dateIs: { right: (title: string, date: string) => `Right: “${title}”, ${date}.` },
  broad: (title: string, date: string) => `It was then, but that says little: “${title}”, ${date}.`,
  dateOff: (title: string, date: string, by: string, early: boolean) =>
    `“${title}”: ${date}. That is ${by} too ${early ? "early" : "late"}.`,
  unread: "That is no date one can read. Write a year, a day such as 14 Nov 1872, or a time such as about 1840.",
  datesResult: (right: number, of: number) =>
    right === of ? `All ${of} dates are right.` : `${right} of ${of} dates ${right === 1 ? "is" : "are"} right.`,
  whichWithin: (span: string) => `Which of these fell within ${span}?`,
  withinRight: (title: string, date: string) => `Right: “${title}”, ${date}.`,
  withinOff: (title: string, date: string, by: string, early: boolean, right: string, when: string) =>
    `“${title}” was ${date}: ${by} too ${early ? "early" : "late"}. Within it fell “${right}”, ${when}.`,
  withinResult: (right: number, of: number) => (right === of ? `All ${of} right.` : `${right} of ${of} right.`),
  tooFewSpans:
    "It takes spans or centuries with at least one event within and three outside. Add events, or choose another exercise.",
  question: (n: number, of: number) => `Question ${n} of ${of}`,
  paper: "Print a sheet",
  sheet: "Sheet",
  answers: "Answers",
  paperOrder: "Number these events from the earliest (1) to the latest.",
  paperDates: "Write when each of these was.",
  paperWithin: "Mark the one event that fell within the span.",
  name: "Name",
  putInOrder: "Put in order",
  title: (timeline: string) => `Put in order: ${timeline}`,
  help: "The dates are hidden and the events are shuffled. Take one, then press where it belongs on the ridge: the earliest at the left.",
  tooFew: "It takes at least three events with a title and a date. With parts or spans there may be more.",
  howMany: "How many",
  ofCategory: "Of the category",
  anyCategory: "any",
  all: (n: number) => `all ${n}`,
  withParts: "Parts of other events too",
  withSpans: "Spans too, by their beginnings",
  checked: "Checked",
  eachAtOnce: "each as it is placed",
  atTheEnd: "all at the end",
  teams: "Two teams take turns",
  begin: "Begin",
  leave: "Leave",
  pile: "Still to place",
  ridge: "On the ridge",
  take: (title: string) => `Take ${title}`,
  taken: (title: string) =>
    `${title} is taken. Press where it belongs, or move with the arrow keys and press Enter; Escape lays it back.`,
  placeFirst: "First on the ridge",
  placeBetween: (a: string, b: string) => `Between ${a} and ${b}`,
  placeBefore: (a: string) => `Before ${a}`,
  placeAfter: (a: string) => `After ${a}`,
  takeOff: (title: string) => `Take ${title} off the ridge`,
  hint: "Hint: its century",
  neighbour: "Hint: its neighbour",
  century: (century: string) => `It is of the ${century}.`,
  before: (text: string) => `It was ${text}.`,
  neighbourIs: (title: string) => `It stands next to “${title}”.`,
  noNeighbour: "Nothing that is placed stands next to it yet.",
  stands: (title: string, date: string) => `“${title}”, ${date}, stands right.`,
  tooEarly: (title: string, date: string, by: string) =>
    `“${title}”, ${date}: that is ${by} too early. It was put where it belongs.`,
  tooLate: (title: string, date: string, by: string) =>
    `“${title}”, ${date}: that is ${by} too late. It was put where it belongs.`,
  turn: (team: string) => `${team}'s turn.`,
  team: (n: number) => (n === 0 ? "Team A" : "Team B"),
  check: "Check the order",
  result: (right: number, of: number) =>
    right === of
      ? `All ${of} stand where they belong.`
      : right === 0
        ? `None of the ${of} stands where it belongs yet.`
        : `${right} of ${of} ${right === 1 ? "stands" : "stand"} where ${right === 1 ? "it belongs" : "they belong"}.`,
  placedRight: (right: number, of: number) =>
    right === of
      ? `You placed all ${of} right.`
      : right === 0
        ? `You placed none of the ${of} right.`
        : `You placed ${right} of ${of} right.`,
  longAgo: "more than 10,000 years ago",
  offBy: (title: string, places: number, early: boolean, by: string) =>
    `“${title}” is ${places === 1 ? "one place" : `${places} places`}${by ? `, ${by},` : ""} too ${early ? "early" : "late"}.`,
  inAll: (percent: number) => `By how far each is off, that is ${percent} of 100.`,
  teamsResult: (a: number, b: number) => `Team A placed ${a} right, Team B ${b}.`,
  again: "Once more",
  inOrder: "In their order",
  keep: "Keep the result as a file",
} as const;
