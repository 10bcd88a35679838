const titled = (title: string) => `“${title || "Untitled"}”`;

/** What people are told on their first page and by mail, each in their own language. */
export const WORDS = {
  // Timelines.
  named: (by: string, title: string) => `${by} has named you in a comment on ${titled(title)}.`,
  answeredComment: (by: string, title: string) => `${by} has answered a comment of yours on ${titled(title)}.`,
  tookIn: (by: string, event: string, title: string) =>
    `${by} has taken in what you suggested for ${titled(event)} in ${titled(title)}.`,
  leftOut: (by: string, event: string, title: string) =>
    `${by} has left out what you suggested for ${titled(event)} in ${titled(title)}.`,
  // Classes.
  changed: (title: string, what: readonly string[]) =>
    `${titled(title)} was changed by your teacher: ${what.join("; ")}.`,
  groupsMade: (title: string, others: readonly string[]) =>
    `${titled(title)}: your teacher has made the groups. Your timeline is there now; you work on it ${others.length === 0 ? "alone" : `with ${others.join(", ")}`}.`,
  moreTime: (title: string, until: string) => `${titled(title)}: you have more time, until ${until}.`,
  asOthers: (title: string, due: string) => `${titled(title)} is due ${due} for you, as for the others.`,
  toRead: (title: string) =>
    `${titled(title)}: there is work of others for you to read. It stands on the page of the assignment.`,
  stuck: (who: string, title: string, words: string) => `${who} is stuck in ${titled(title)} and asks: ${words}`,
  answered: (by: string, words: string) => `${by} has answered you: ${words}`,
  repliedAbout: (by: string, title: string, words: string) => `${by} has answered about ${titled(title)}: ${words}`,
  codeMade: (by: string, klass: string) =>
    `${by} has made a code with which a new password can be set for your account (class ${klass}). If you did not ask for it, tell them.`,
  codeUsed: "A new password was set for your account with a code from your teacher. All other sessions have ended.",
  teachWith: (by: string, klass: string) =>
    `${by} has taken you into the class ${klass}. You teach it with them: you set assignments, see all work and mark it. If that is a mistake, leave it on its page.`,
  assistIn: (by: string, klass: string) =>
    `${by} has taken you into the class ${klass}. You help in it: you see all work and comment on it, and give no marks. If that is a mistake, leave it on its page.`,
  teachesNoMore: (klass: string) =>
    `You no longer belong to those who teach the class ${klass}. What you have set and marked there stays.`,
  noLongerIn: (klass: string) =>
    `You are no longer in the class ${klass}. Your timelines stay yours; what you have handed in stays with the class for as long as it keeps it. If that is a mistake, ask for its code and join again.`,
  nothingKept: (klass: string, account: boolean) =>
    `The class ${klass} keeps nothing of you any more: what you handed in alone, its marks and what was said of it are gone, and your name is off what you handed in with others. Your timelines stay yours.${
      account ? " Your account is deleted in a week; until then you can take everything of yours away, or keep it." : ""
    }`,
  // Schools.
  administrator: (by: string, school: string) =>
    `${by} has made you an administrator of ${school}. Under My classes today you find the school; if that is a mistake, leave it there.`,
  teacher: (by: string, school: string) =>
    `${by} has made you a teacher of ${school}. Under My classes today you find the school; if that is a mistake, leave it there.`,
  notOfSchool: (school: string) =>
    `You no longer belong to the teachers of ${school}. Your classes and timelines stay yours.`,
  schoolEnded: (school: string) =>
    `The school ${school} was ended by one of its administrators. Classes and timelines stay as they are; what was published to the school alone is seen by its class and its author.`,
} as const;

/** What is different in an assignment, for those who work on it: parts of a sentence. */
export const DIFFERENT = {
  called: (title: string) => `it is called “${title}” now`,
  due: (now: string, was: string) => `it is due ${now} instead of ${was}`,
  total: (now: number, was: number) => `it is marked out of ${now} instead of ${was}`,
  asked: (what: string) => `now asked: ${what}`,
  notAsked: (what: string) => `no longer asked: ${what}`,
  instructions: "the instructions are different",
  late: {
    refused: "nothing is taken after the due time",
    marked: "it can be handed in late, which is said",
  },
  works: {
    chosen: "others see of your work what your teacher chooses",
    handed_in: "whoever has handed in sees all that others handed in",
    due: "after the due time the class sees all that was handed in",
  },
  rubric: "what it is marked by is different",
  texts: "the texts to read are different",
  period: (period: string) => `the period is ${period || "left open"}`,
} as const;

/** What keeps an assignment from being set. */
export const INCOMPLETE = {
  due: "Set the day and time it is due.",
  title: "Type a title of 1 to 200 characters.",
  givenTitle: "Every given event needs a title.",
  givenDate: (title: string) => `The right date of “${title}” is not understood.`,
  model: "The model timeline is none of yours any more. Choose another, or none.",
  around: "Say before and after which event the others are to stand.",
  longInstructions: (most: number) => `The instructions are longer than ${most} letters. Shorten them.`,
  pictures: (most: number) => `At most ${most} pictures stand in the instructions.`,
  picture: "A picture in the instructions is damaged or too large.",
} as const;

/** What is added to the sentence of a failure. */
export const DETAILS = {
  secondsLeft: (n: number) => (n === 1 ? "1 second is left." : `${n} seconds are left.`),
  answeredWith: (status: number) => `It answered with status ${status}.`,
} as const;
