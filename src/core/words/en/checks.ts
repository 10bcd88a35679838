import type { MediaSort } from "../../check/requirements";

const n = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;

/** What a requirement still lacks, as a part of a sentence: "2 more events". */
export const WORDS = {
  noEvents: "no events yet",
  moreEvents: (x: number) => n(x, "more event", "more events"),
  moreSpans: (x: number) => n(x, "more time span", "more time spans"),
  moreMedia: (x: number, of: readonly MediaSort[]) => `${x} more ${join(of.map((s) => (x === 1 ? s : `${s}s`)))}`,
  moreWords: (x: number) => n(x, "more word", "more words"),
  moreLinks: (x: number) => n(x, "more link", "more links"),
  moreCloseUps: (x: number) => n(x, "more close-up", "more close-ups"),
  morePlaces: (x: number) => n(x, "more event with a place", "more events with a place"),
  moreParts: (x: number) => n(x, "more part", "more parts"),
  withoutSource: (x: number) => `${x} without a source`,
  fewerSources: (x: number, need: number) => `${x} with fewer than ${need} sources`,
  noSources: "no sources yet",
  notApart: (x: number) => `${x} not taken apart`,
  onlyEncyclopedia: (x: number) => `${x} with nothing but an encyclopedia`,
  tooLong: (x: number) => `${x} too long`,
  tooShort: (x: number) => `${x} too short`,
  withoutDescription: (x: number) => `${x} without a description`,
  tooMany: (x: number) => `${x} too many`,
  withoutCredit: (x: number) => `${x} without credit or an open licence`,
  notThere: (title: string) => `“${title}” is not there`,
  moreBefore: (x: number) => `${x} more before it`,
  moreAfter: (x: number) => `${x} more after it`,
  withoutDate: (x: number) => `${x} without a date`,
  notInUse: (names: readonly string[]) => `${names.map((name) => `“${name}”`).join(", ")} not in use`,
  withoutVoice: (x: number) => `${x} without a recorded voice`,
  nothingRecorded: "nothing recorded yet",
  nothingWritten: "nothing written yet",
} as const;

const join = (words: readonly string[]) =>
  words.length < 2 ? words.join("") : `${words.slice(0, -1).join(", ")} or ${words.at(-1)}`;
