/** What stands where a second teacher marks too. */
export const WORDS = {
  moderation: "Second marking",
  help: "So many works, drawn by lot, are marked by a second teacher too. They give theirs before they see the first; then both see both, and decide whether the mark is changed.",
  count: "How many works",
  draw: "Draw the sample",
  drawn: (n: number) => (n === 1 ? "1 work is in the sample." : `${n} works are in the sample.`),
  none: "Nothing is drawn yet.",
  work: "Work",
  first: "First",
  second: "Second",
  difference: "Difference",
  afterYours: "seen after yours",
  yours: "waits for yours",
  secondTitle: "You mark it second",
  secondHelp: "What the first marker gave is shown once you have given yours.",
  comment: "Why",
  give: "Give it",
  seconds: "Second marking",
  of: (by: string, points: number, total: number) => `${by}: ${points} of ${total}`,
} as const;

/** How far a second mark is from the first. */
export function differenceText(first: number, seconds: readonly number[]): string {
  const most = Math.max(...seconds.map((s) => Math.abs(s - first)));
  return most === 0 ? "none" : `${most} ${most === 1 ? "point" : "points"}`;
}
