import type { MediaSort } from "../../check/requirements";
import type * as En from "../en/checks";
import type { Like } from "../like";

const SORTS: Readonly<Record<MediaSort, readonly [string, string]>> = {
  picture: ["Bild", "Bilder"],
  video: ["Video", "Videos"],
  sound: ["Ton", "Töne"],
  map: ["Karte", "Karten"],
};
const join = (words: readonly string[]) =>
  words.length < 2 ? words.join("") : `${words.slice(0, -1).join(", ")} oder ${words.at(-1)}`;
const n = (count: number, one: string, many: string) => `noch ${count} ${count === 1 ? one : many}`;

export const WORDS: Like<typeof En.WORDS> = {
  noEvents: "noch keine Ereignisse",
  moreEvents: (x) => n(x, "Ereignis", "Ereignisse"),
  moreSpans: (x) => n(x, "Zeitspanne", "Zeitspannen"),
  moreMedia: (x, of) => `noch ${x} ${join(of.map((s) => SORTS[s][x === 1 ? 0 : 1]))}`,
  moreWords: (x) => n(x, "Wort", "Wörter"),
  moreLinks: (x) => n(x, "Link", "Links"),
  moreCloseUps: (x) => n(x, "Nahansicht", "Nahansichten"),
  morePlaces: (x) => n(x, "Ereignis mit Ort", "Ereignisse mit Ort"),
  moreParts: (x) => n(x, "Teil", "Teile"),
  withoutSource: (x) => `${x} ohne Quelle`,
  fewerSources: (x, need) => `${x} mit weniger als ${need} Quellen`,
  noSources: "noch keine Quellen",
  notApart: (x) => `${x} nicht auseinandergenommen`,
  onlyEncyclopedia: (x) => `${x} mit nichts als einem Lexikon`,
  tooLong: (x) => `${x} zu lang`,
  tooShort: (x) => `${x} zu kurz`,
  withoutDescription: (x) => `${x} ohne Beschreibung`,
  tooMany: (x) => (x === 1 ? "1 zu viel" : `${x} zu viele`),
  withoutCredit: (x) => `${x} ohne Nachweis oder offene Lizenz`,
  notThere: (title) => `„${title}“ ist nicht da`,
  moreBefore: (x) => `noch ${x} davor`,
  moreAfter: (x) => `noch ${x} danach`,
  withoutDate: (x) => `${x} ohne Datum`,
  notInUse: (names) => `${names.map((name) => `„${name}“`).join(", ")} nicht verwendet`,
  withoutVoice: (x) => `${x} ohne gesprochene Aufnahme`,
  nothingRecorded: "noch nichts aufgenommen",
  nothingWritten: "noch nichts geschrieben",
};
