/** What stands on the screen: the editor without an account. */
export const WORDS = {
  opening: "Opening",
  tryAgain: "Try again",
  signUp: "Sign up",
  thisBrowserKeepsNothing:
    "This browser does not let Fastigo keep anything, so nothing could be written here. Sign up, or use another browser.",
  openInAnotherTab: "Your timeline is open in another tab of this browser. Go on there, or close it and try again.",
  keptHereOnly: "This timeline is kept in this browser only. Whoever uses it next can see it until you clear it.",
  clearIt: "Clear it",
  clearingRemovesIt: "This removes the timeline from this browser, for good: there is no other copy of it.",
  leaveIt: "Leave it",
  signUpToKeepIt: "Sign up to keep it",
  timeline: "Timeline",
  download: { svg: "The chart, to print", csv: "The events, for a spreadsheet", json: "All of it" },
  needsAnAccount:
    "Publishing, sharing and handing in need an account. Sign up, or sign in: what you have written comes along.",
  share: "Share",
  signIn: "Sign in",
  joinAClass: "Join a class",
  takingAlong: "Taking along what you wrote before",
  takenAlong: (title: string) => `“${title}” came along from this browser and is yours now.`,
  notTakenAlong: (why: string) =>
    `What you wrote in this browser could not be taken along: ${why} It is still kept here.`,
  openIt: "Open it",
  mediaNeedAnAccount:
    "these are kept on the server, which needs an account. Sign up first; what you have written comes along.",
  youAreSignedIn: "You are signed in already.",
  toYourTimelines: "To your timelines",
  untitled: "Untitled",
} as const;
