/** What stands on the screen: the editor without an account. */
export const WORDS = {
  opening: "Opening",
  tryAgain: "Try again",
  signUp: "Sign up",
  thisBrowserKeepsNothing:
    "This browser does not let Fastigo keep anything, so nothing could be written here. Sign up, or use another browser.",
  openInAnotherTab: "Your timeline is open in another tab of this browser. Go on there, or close it and try again.",
  keptHereOnly: "This timeline is kept in this browser only. Whoever uses it next can see it until you clear it.",
  diskTakesNothing: "Not kept – this device takes nothing more",
  clearIt: "Clear it",
  clearingRemovesIt: "This removes the timeline from this browser, for good: there is no other copy of it.",
  leaveIt: "Leave it",
  signUpToKeepIt: "Sign up to keep it",
  timeline: "Timeline",
  download: { svg: "The chart", csv: "The events, for a spreadsheet", json: "All of it" },
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
  begunHere:
    "This timeline is kept on this device until the network is back; then it is taken to your timelines from your first page.",
  networkIsBack: "The network is back: take it to your timelines",
  needsTheNetwork:
    "Publishing, sharing and handing in need the network. Once it is back, take this timeline to your timelines first.",
  mediaNeedTheNetwork:
    "these are kept on the server, which needs the network. Add them once this is one of your timelines.",
  withoutNetwork: {
    notConnected: "Not connected",
    kept: "These timelines are kept on this device and can be written in; what you write is sent when the network is back.",
    none: "No timeline is kept on this device.",
    untitled: "Untitled",
    begin: "Begin a new timeline, or go on with the one begun here",
  },
  thisDevice: "This device",
  thisDeviceIsMine: "This device is my own: keep the timelines I open on it, so that they open without a network",
  neverOnShared: "Leave this off on a device that others use too. Signing out removes what is kept.",
  cannotKeep: "This browser cannot keep the application: that takes https, or a browser that lets pages be kept.",
  keptOnThisDevice: "It is kept on this device now. Timelines you open from now on are kept as well.",
  nothingIsKeptNow: "Nothing is kept on this device any more.",
  notSentYet: "Not everything has been sent",
  unsentSaid: (n: number) =>
    n === 1
      ? "1 change that was written on this device has not reached the server yet. Open its timeline while connected to send it, or save it as a file."
      : `${n} changes that were written on this device have not reached the server yet. Open their timelines while connected to send them, or save them as a file.`,
  openToSend: "Open it and send",
  saveAndSignOut: "Save as a file and sign out",
  stay: "Stay signed in",
  unsentFile: "fastigo-not-sent.json",
  unsentBack: "Work that was saved as a file",
  unsentBackHint:
    "Where somebody signed out before everything had been sent, it was saved as “fastigo-not-sent.json”: bring it back here.",
  openTheFile: "Open the file",
  noUnsentFile: "This is no file of work that was not sent. Nothing was changed.",
  unsentSent: (n: number) => (n === 1 ? "1 change is on the server now." : `${n} changes are on the server now.`),
  unsentLeft: (n: number, why: string) =>
    `${n} could not be taken: ${why} ${n === 1 ? "It is" : "They are"} still in the file.`,
  print: "Print it",
  cannotPrint: "What printing needs could not be fetched. Nothing is lost; try again when the network is back.",
  untitled: "Untitled",
} as const;
