/** What stands on the screen: editor, history. */
export const WORDS = {
  history: "History",
  fetching: "Fetching",
  step: "step",
  steps: "steps",
  andMore: (x: number, x2: string) => `and ${x} more ${x2}`,
  showEarlierOnes: "Show earlier ones",
} as const;
