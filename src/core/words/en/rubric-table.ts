/** What stands on the screen where a rubric is read. */
export const WORDS = {
  markedBy: "What it is marked by",
  upTo: (points: number, weight: number) =>
    weight === 1 ? `up to ${points} points` : `up to ${points} points, counted ${weight} times`,
  reached: "– this was reached",
} as const;
