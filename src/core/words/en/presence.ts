import type { Where } from "../../presence/present";

/** What stands where it is seen who else is here. */
export const WORDS = {
  here: "Who can edit, and who is here",
  notHere: (name: string) => `${name}, not here now`,
  follow: (name: string, place: string) => `${name}, ${place}. Follow them`,
  unfollow: (name: string, place: string) => `${name}, ${place}. Follow them no longer`,
  following: (name: string) => `You follow ${name}: what they are at is selected here.`,
  stop: "Follow no longer",
  alsoHere: (names: readonly string[]) =>
    names.length === 1 ? `${names[0]} is at this event too.` : `${names.join(", ")} are at this event too.`,
} as const;

const PARTS: Record<Where["at"], string> = {
  chart: "at the chart",
  ledger: "in the ledger",
  sheet: "in an event",
  comments: "in the comments",
  settings: "in the settings",
  reading: "reading",
};

/** Where somebody is, in words. `title`: of the event; "" for none. */
export function placeText(where: Where, title: string): string {
  const at = title ? `at “${title}”` : PARTS[where.at];
  return where.field ? `${at}, ${where.field}` : at;
}
