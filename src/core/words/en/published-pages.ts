/** What stands on published pages' notices, the search for what is published, and what is said about one of them. */
export const WORDS = {
  thereIsNoTimelineHere: "There is no timeline here",
  theAddressMayBeMistyped: "The address may be mistyped. Ask whoever gave it to you.",
  thisTimelineHasBeenTaken: "This timeline has been taken back",
  itsAuthorHasTakenIt: "Its author has taken it back. If they publish it again, it will be at this same address.",
  hidden: "This timeline is hidden",
  hiddenMore:
    "Somebody reported it, and whoever keeps this site has hidden it. Its author still has it, and can ask them about it.",
  notYet: "This timeline is not open yet",
  notYetMore: (when: string) => `Its author opens it on ${when}. Come back then, at this same address.`,
  over: "This timeline is closed",
  overMore: (when: string) => `It was to be seen until ${when}. Ask its author if you still need it.`,
  withAPassword: "This timeline has a password",
  withAPasswordMore: "Whoever gave you the link can tell you the password. This browser is asked once in 30 days.",
  password: "Password",
  open: "Open it",
  notInFrames: "This timeline is not shown inside other pages",
  notInFramesMore: "Its author lets only some people see it, and inside another site nobody can be told apart.",
  openOnItsOwn: "Open it on its own page",
  thereIsNothingHereThat: "There is nothing here that you may see",
  signInAsSomebodyOf: "Sign in as somebody of the class it was published to, or ask its author to open it.",
  signInAsSomebodyOfSchool: "Sign in as somebody of the school it was published to, or ask its author to open it.",
  signInAsOneOf: "Sign in as one of its editors, or ask its author to open it.",
  signIn: "Sign in",
  untitled: "Untitled",

  title: "Published for everybody",
  words: "Words",
  wordsHint: "in titles, events, places and texts",
  period: "Period",
  periodHint: "such as 1800-1900",
  periodUnread: (typed: string) =>
    `“${typed}” is no period that can be read, so all periods are shown. Write years or dates, such as 1800-1900 or 19th century.`,
  subject: "Subject",
  anySubject: "Any subject",
  withPictures: "With pictures",
  order: "Order",
  newest: "Newest first",
  mostRead: "Most read first",
  best: "Best match first",
  look: "Search",
  found: (n: number, more: boolean) =>
    more
      ? `More than ${n.toLocaleString("en")} timelines`
      : n === 1
        ? "1 timeline"
        : `${n.toLocaleString("en")} timelines`,
  nothingFound:
    "Nothing that is published for everybody fits all of this. Use fewer words, another spelling or a wider period.",
  nobodyYet: "Nobody has published a timeline for everybody yet.",
  earlier: "Previous page",
  later: "Next page",
  page: (n: number) => `Page ${n}`,
  showAll: "Show all",
  by: (name: string) => `by ${name}`,
  events: (n: number) => (n === 1 ? "1 event" : `${n.toLocaleString("en")} events`),
  pictures: (n: number) => (n === 1 ? "1 picture" : `${n.toLocaleString("en")} pictures`),

  about: "About this timeline",
  publishedOn: (when: string) => `Published on ${when}.`,
  basedOn: (title: string, by: string) => `Begun with “${title}”${by ? ` by ${by}` : ""}.`,
  openPage: "Open the timeline",
  copyHead: "Begin a timeline of your own with it",
  copyMore:
    "You get all of it as it is published, with its pictures, as a timeline of your own that nobody else sees. It says for good whose work it was begun with.",
  copyNot: "Its author does not let others begin with it. What you may use of it, ask them.",
  copySignIn: "Sign in to begin with it",
  copyDo: "Copy as mine",
  embedHead: "Show it in a page of yours",
  embedNot:
    "Its author shows it in no other site. Link to it instead, or ask them to allow your site: they do it under Share.",
  embedMore: "Put this code into your page. It shows the timeline as it is published, always the newest version.",
  code: "Code for your page",
  reportHead: "Report this page",
  reportMore:
    "Whoever keeps this site looks at it, and hides what should not be here. Its author is not told who reported it.",
  reason: "What is wrong with it",
  reasons: {
    harmful: "It hurts or threatens somebody",
    private: "It shows somebody's private life",
    copied: "It uses somebody's work without their consent",
    advertising: "It is advertising",
    other: "Something else",
  },
  reportWords: "In a few words",
  reportDo: "Report it",
  reported: "Thank you. It was reported, and somebody will look at it.",

  mine: "Published by me",
  mineNone: "You have published nothing yet. Open a timeline and press Share.",
  whoSees: {
    only_me: "Only its editors",
    class: "The class",
    school: "The school",
    password: "Anyone with the link and the password",
    link: "Anyone with the link",
    everybody: "Everybody",
  },
  nobodySees: "Nobody: taken back",
  hiddenSees: "Nobody: hidden by whoever keeps this site",
  fromOn: (when: string) => `from ${when}`,
  untilOn: (when: string) => `until ${when}`,
  wasUntil: (when: string) => `it was open until ${when}`,
  openedTimes: (n: number) =>
    n === 0 ? "not opened yet" : n === 1 ? "opened once" : `opened ${n.toLocaleString("en")} times`,
  openedLast: (n: number, days: number) => `${n.toLocaleString("en")} of them in the last ${days} days`,
  openedDays: (n: number, days: number) =>
    `Opened ${n === 1 ? "once" : `${n.toLocaleString("en")} times`} in the last ${days} days, one column a day`,
  timeline: "Timeline",
  whoSeesIt: "Who can see it",
  howOften: "How often it was opened",
  takeBack: "Take it back",
  laterChanges: (n: number) =>
    n === 1 ? "1 later change is not shown" : `${n.toLocaleString("en")} later changes are not shown`,
  openEditor: "Open the editor",
  shownIn: (sites: string) => `may stand in pages of ${sites}`,
  anySite: "any site",
  mayBeCopied: "others may begin with it",

  reports: "Reported pages",
  noReports: "Nothing that was reported waits for you.",
  reportedOn: (when: string) => `reported ${when}`,
  hide: "Hide it",
  keep: "Leave it",
  show: "Show it again",
  hiddenOnes: "Hidden",
  noneHidden: "Nothing is hidden.",

  mailbox: "Mailbox",
  mailboxMore:
    "No mail server is set, so nothing leaves this machine: what would have been sent stands here. SMTP_URL sends it for real.",
  mailboxReal: "What was sent in your name, and to you by Fastigo itself.",
  noMail: "Nothing was sent in your name yet.",
  mailTo: (who: string) => `To ${who}`,
  mailNotSent: "not sent:",
  mailWaiting: "waiting to be sent",
  mailSent: "sent",
} as const;

/** The letters of Fastigo itself, for whoever keeps the site. */
export const LETTERS = {
  title: "Letters of this site",
  sent: "They go out through the mail server that is set; what they say is for those who get them.",
  notSent:
    "No mail server is set, so these were not sent: links to sign in, and questions whether an address is right. Hand each to whoever it is for, and to nobody else; its link is a key.",
} as const;
