import type { Finding } from "../../check/look-over";
import type { Timeline } from "../../timeline/timeline";
import type * as En from "../en/look-over";
import type { Like } from "../like";
import { dayText } from "../../time/write-when";
import { problemText } from "./findings";
import { heldText, lookAlikeText } from "./looks";

export const WORDS: Like<typeof En.WORDS> = {
  title: "Einen Blick wert, bevor du abgibst",
  help: "Nichts davon hält dich auf. Was du angesehen hast, kannst du mit einem Grund beiseitelegen; deine Lehrkraft liest ihn.",
  nothing: "Sonst nichts anzusehen.",
  setAside: "Beiseitelegen",
  why: (what) => `Warum es beiseiteliegt: ${what}`,
  whyShort: "Warum",
  keep: "Beiseitelegen",
  cancel: "Lassen",
  aside: (n) => (n === 1 ? "1 beiseitegelegt" : `${n} beiseitegelegt`),
  toTheLook: "Zum Aussehen",
  takeBack: "Noch einmal ansehen",
  wording: "Nahe Wortlaute",
  wordingHelp:
    "Strecken von Wörtern, die auch in einem anderen Text stehen: der Klasse, der Aufgabe oder einer Quelle, die du zitierst. Nur deine sind hier zu sehen.",
  look: "Nach nahen Wortlauten suchen",
  looking: "Wird gesucht …",
  noWording: "Es wurden keine gefunden.",
  notLooked: "Danach wurde noch nicht gesucht.",
  words: (n) => `${n} Wörter gleich: `,
  mend: "Sag es in eigenen Worten, oder bezeichne es als Zitat und nenne seine Quelle.",
};

export function findingText(f: Finding, t: Timeline): string {
  switch (f.code) {
    case "problem":
      return problemText(f.problem, t);
    case "twice":
      return `Es sagt dasselbe wie „${t.events.get(f.other)?.title || "Ohne Titel"}“. Behalte eins davon, oder sag, was anders ist.`;
    case "long_sentences":
      return `Seine Sätze haben im Schnitt ${f.words} Wörter. Kürzeren lässt sich leichter folgen.`;
    case "hard_to_read":
      return `Es ist schwer zu lesen: ${f.ease} von 100 nach der Länge seiner Wörter und Sätze. Sag es einfacher, wo du kannst.`;
    case "empty_stretch": {
      const [from, to] = [dayText(f.from, { language: "de" }), dayText(f.to, { language: "de" })];
      return `Zwischen ${from} und ${to} steht nichts, das sind ${Math.round(f.share * 100)} von 100 des Zeitraums. Gibt es dazu etwas zu sagen?`;
    }
    case "contrast":
      return heldText(f.held);
    case "look_alike": {
      const name = (id: string) => t.categories.get(id)?.name ?? "";
      return lookAlikeText(name(f.one), name(f.other));
    }
  }
}
