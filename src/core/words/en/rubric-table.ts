/** What stands on the screen where a rubric is read. */
export const WORDS = {
  markedBy: "What it is marked by",
  upTo: (points: number, weight: number) =>
    weight === 1
      ? `up to ${points === 1 ? "1 point" : `${points} points`}`
      : `up to ${points === 1 ? "1 point" : `${points} points`}, counted ${weight} times`,
  reached: "– this was reached",
} as const;
