/** What stands on the screen: home. */
export const WORDS = {
  moreAbout: (title: string) => `More about ${title}`,
  delete: "Delete",
  leaveThisTimeline: "Leave this timeline",
  deletedItsPageIfIt:
    "Deleted. Its page, if it was published, is gone with it. For 30 days it lies in the bin on your account page.",
  putBack: "Put back",
  close: "Close",
  title: "Title",
  youCanLeaveItEmpty: "You can leave it empty and find one later.",
  subject: "Subject",
  whatItIsAboutIn: "What it is about, in a word or two. Optional.",
  localHistory: "Local history",
  familyHistory: "Family history",
  aProject: "A project",
  aJourney: "A journey",
  makeIt: "Make it",
  putBackNamed: (title: string) => `Put ${title} back`,
} as const;
