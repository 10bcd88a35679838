import type { Item } from "./timeline";

/** The part of a video or sound that is played, as the end of its address (W3C, Media Fragments 1.0); "" for all of it. */
export function playedFragment({ startAt, endAt }: Pick<Item, "startAt" | "endAt">): string {
  if ((startAt ?? null) === null && (endAt ?? null) === null) return "";
  return `#t=${startAt ?? 0}${(endAt ?? null) === null ? "" : `,${endAt}`}`;
}
