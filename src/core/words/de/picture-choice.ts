import type * as En from "../en/picture-choice";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  fromTheShelf: "Aus dem Regal",
  usedBefore: "Schon verwendet",
  choosePictures: "Bilder wählen",
  shelfHelp:
    "Bilder, die mit Fastigo kommen, dafür gezeichnet und frei zu nutzen (CC0). Nachweis und Lizenz kommen von selbst mit.",
  lookFor: "Suchen nach",
  shelfExample: "Burg, Eisenbahn, Vulkan",
  usedExample: "Worte, der Tag (2026-11-25), eine Zeitleiste",
  searching: "Suche läuft ...",
  none: (words) => `Nichts passt zu „${words}“. Versuch es mit einem anderen Wort oder mit weniger.`,
  nothingUsed: "Du hast noch nichts hochgeladen.",
  take: (title) => `${title} nehmen`,
  taken: "genommen",
  taking: "wird genommen ...",
  more: "Mehr zeigen",
  found: (n, more) => `${more ? "Mehr als " : ""}${n === 1 ? "1 Bild" : `${n} Bilder`}`,
  uploaded: (day, timeline) => `${day}, in „${timeline || "Ohne Titel"}“`,
  shownBy: (events) =>
    events.length === 0
      ? "wird nirgends gezeigt"
      : `gezeigt von ${events
          .slice(0, 3)
          .map((e) => (e ? `„${e}“` : "der Eröffnungsseite"))
          .join(", ")}${events.length > 3 ? ` und ${events.length - 3} weiteren` : ""}`,
  shelf: "Das Regal",
  shelfPage: (n, subjects) =>
    `${n} Bilder zu ${subjects} Themen, für Fastigo gezeichnet. Sie sind verschenkt (CC0): Nutze sie, wofür du willst, in einer Zeitleiste oder anderswo.`,
  deleteIt: "Löschen ...",
  deleteNamed: (title) => `${title} löschen`,
  beforeDeleting: "Es wird aus jeder deiner Zeitleisten genommen, die es zeigt, und nichts holt es zurück.",
  deleteForGood: "Endgültig löschen",
  keepIt: "Behalten",
  deleted: (entries, frozen) =>
    `Endgültig gelöscht${entries === 0 ? "" : entries === 1 ? " und an einer Stelle herausgenommen" : ` und an ${entries} Stellen herausgenommen`}.${
      frozen.length === 0
        ? ""
        : ` Was von ${frozen.map((t) => `„${t || "Ohne Titel"}“`).join(", ")} veröffentlicht, abgegeben oder eingefroren wurde, zeigt es weiter: Nur dafür wird es aufbewahrt und geht, wenn das geht.`
    }`,
  search: "Suchen",
  all: "Alle",
};
