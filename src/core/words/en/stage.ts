/** What stands on the screen: stage. */
export const WORDS = {
  itWasGivenWithIts: "It was given with its date by your teacher, so the date stays.",
  theEvenScaleHasNo: "The even scale has no time between events. Choose the true or the balanced scale to move a date.",
  itCannotBeginAfterIts: "It cannot begin after its end.",
  itCannotEndBeforeIts: "It cannot end before its beginning.",
  noDateCanBeTold: "No date can be told here. Its date stays as it was.",
  theLabelIsWhereThere: "The label is where there is room for it.",
  isRowOf: (x: string, x2: number, count: number) => `${x} is row ${x2} of ${count}.`,
  above: "above",
  below: "below",
  labelMovedPixelsTheRidge: (abs: number, x: string) => `Label moved, ${abs} pixels ${x} the ridge.`,
  itsLabelIsNotShown: "Its label is not shown here. Zoom in until it is.",
  untitled: "Untitled",
  now: (side: string, x: string) => `Now ${side} ${x}.`,
} as const;
