/** What stands on the screen: editor, store. */
export const WORDS = {
  isItselfPartOfSo: (name: string, name2: string) =>
    `${name} is itself part of ${name2}, so ${name2} cannot be part of it. Nothing was changed.`,
  itStandsWhereItsDate: "It stands where its date puts it. Only events without a date are moved.",
  thereIsNoLongerEvent: "There is no longer event that it could be part of.",
  someoneElseHasChangedThis: "Someone else has changed this since, so theirs was left as it is.",
  thisBrowserDoesNotLet:
    "This browser does not let Fastigo keep unsaved work on the device. Everything is still sent at once; do not close the page while it says Saving.",
  theDiskTakesNothing:
    "This device takes nothing more: its disk may be full, or this browser keeps nothing. What you write is in this tab alone until it is sent: leave it open, or make room.",
  thisFileIsEmptyChoose: "This file is empty. Choose another.",
  aPictureMayHaveAt: "A picture may have at most 20 MB. Save it smaller and add it again.",
  aVideoOrSoundMay: "A video or sound may have at most 200 MB. Save it shorter or smaller and add it again.",
  stoppedNothingWasAdded: "Stopped. Nothing was added.",
  aChapterIsPartOfNothing: "A chapter is part of nothing: it stands between events.",
} as const;
