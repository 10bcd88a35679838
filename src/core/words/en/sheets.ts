/** What stands on marking sheets, receipts and handouts. */
export const WORDS = {
  sheets: (title: string) => `${title} – marking sheets`,
  points: (points: number | null, total: number) =>
    points === null ? "No points yet" : `${points} of ${total} ${total === 1 ? "point" : "points"}`,
  submitted: (at: string) => `Handed in ${at}`,
  rubric: "Rubric",
  level: (criterion: string, level: string, points: number, best: number) =>
    `${criterion}: ${level} (${points} of ${best})`,
  comment: "Comment",
  onEvents: "On single events",
  given: "Given dates",
  givenLine: (title: string, result: string) => `${title}: ${result}`,
  requirements: "Requirements",
  requirementLine: (text: string, have: number, need: number, missing: string) =>
    `${text}: ${have} of ${need}${missing ? ` – ${missing}` : ""}`,
  changed: "Changed",
  changedLine: (points: number | null, reason: string) =>
    `Before it was ${points === null ? "without points" : points}. ${reason}`,
  fingerprint: (hash: string) => `Fingerprint ${hash}`,
  mailSubject: (title: string) => `Handed in: ${title}`,
  mailBody: (title: string, at: string, hash: string) =>
    `“${title}” was handed in ${at}.\n\nFingerprint of what was handed in:\n${hash}\n\nKeep this mail as a receipt. A receipt as a PDF stands under “The task” in your timeline.`,
  receipt: "Receipt",
  receiptHelp:
    "This says that the work named below was handed in, when, and by whom. The fingerprint is worked out from all that was handed in: if one letter of it were another, so would the fingerprint be.",
  whose: (names: string) => `By ${names}`,
  forClass: (klass: string) => `For ${klass}`,
  due: (at: string) => `Due ${at}`,
  inTime: "In time.",
  short: "What was short",
  nothingShort: "All that is asked was there.",
  totalMark: (total: number) => `It is marked out of ${total === 1 ? "1 point" : `${total} points`}.`,
  whatIsAsked: "What is asked",
  givenEvents: "Given events",
  findDate: (title: string) => `${title} – find its date`,
  texts: "To read",
  textN: (n: number) => `Text ${n}`,
  noSheets: "Nothing has been handed in yet, so there is nothing to print.",
} as const;
