import type * as En from "../en/index-view";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  index: "Verzeichnis",
  indexOf: (n) => `Verzeichnis: ${n} ${n === 1 ? "Ereignis" : "Ereignisse"}`,
  find: "Ereignisse finden",
  findWords: "Wörter in einem Ereignis",
  grouped: "Geordnet nach",
  by: { time: "Zeit", category: "Kategorie", tag: "Schlagwort" },
  noDate: "Kein Datum",
  noCategory: "Keine Kategorie",
  noTag: "Kein Schlagwort",
  tags: "Schlagwörter",
  allTags: "jedes Schlagwort",
  tagged: "Schlagwort",
  readIt: "Lesen",
  onTheChart: "Im Schaubild",
  closeIndex: "Das Verzeichnis schließen",
  closeMap: "Die Karte schließen",
  someOf: (n, of) => `${n} von ${of} Ereignissen`,
  nothing: "Kein Ereignis hat diese Wörter, dieses Schlagwort und diese Kategorien.",
  showAll: "Alle Ereignisse zeigen",
  filter: "Welche Ereignisse zu sehen sind",
};
