import type * as En from "../en/chart";
import type { Like } from "../like";

const number = (n: number) => String(n).replace(/\B(?=(\d{3})+$)/g, ".");

export const WORDS: Like<typeof En.WORDS> = {
  noDateYet: "noch ohne Datum",
  withParts: (title, parts) => `${title} (${parts} ${parts === 1 ? "Teil" : "Teile"})`,
  more: (count) => `${number(count)} mehr`,
  noRoom: (count) =>
    count === 1
      ? "1 mehr, für dessen Beschriftung kein Platz ist"
      : `${number(count)} mehr, für deren Beschriftung kein Platz ist`,
  today: "heute",
  noCategory: "Ohne Kategorie",
  unnamed: "Ohne Namen",
  untitled: "Ohne Titel",
  noDate: "Kein Datum",
  percentDone: (done) => `zu ${done} Prozent fertig`,
  eventOf: (n, of) => `Ereignis ${n} von ${of}`,
  timeline: "Zeitleiste",
};
