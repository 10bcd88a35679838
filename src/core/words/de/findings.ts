import { wordsFor } from "../../time/gap";
import { whenLabel } from "../../time/write-when";
import type { Problem } from "../../timeline/problems";
import { mannerOf } from "../../timeline/read-options";
import type { Timeline } from "../../timeline/timeline";
import { dateProblemText } from "./dates";

export function problemText(p: Problem, t: Timeline): string {
  switch (p.code) {
    case "date_not_understood":
      return dateProblemText(p.problem);
    case "time_without_day":
      return `„${p.typed}“ ist eine Zeit ohne Tag, und andere Ereignisse hier haben Daten; deshalb steht es am Ende. Wähle den Tag, zu dem alle bloßen Zeiten gehören, oder schreib den Tag vor die Zeit.`;
    case "other_order":
      return `„${p.typed}“ lässt sich nur mit dem ${p.order === "dmy" ? "Monat" : "Tag"} zuerst lesen, und in dieser Zeitleiste steht der ${p.order === "dmy" ? "Tag" : "Monat"} zuerst. Es zählt als ${p.words}. Ist das gemeint, schreib den Namen des Monats; sonst berichtige die Zahlen.`;
    case "outside_period":
      return `Es liegt ${p.side === "before" ? "vor" : "nach"} dem Zeitraum der Zeitleiste (${whenLabel(t.period, mannerOf(t))}). Gezeigt wird es trotzdem; setze einen anderen Zeitraum oder ein anderes Datum, wenn das nicht gemeint ist.`;
    case "part_outside_whole": {
      const whole = `„${t.events.get(p.whole)?.title || "Ohne Titel"}“`;
      const early = p.early > 0 ? `beginnt ${wordsFor(p.early)} vor` : "";
      const late = p.late > 0 ? `endet ${wordsFor(p.late)} nach` : "";
      return `Es ${[early, late].filter(Boolean).join(" und ")} ${whole}, dessen Teil es ist. Gezeigt wird es weiter als Teil davon.`;
    }
    case "part_of_itself": {
      const whole = `„${t.events.get(p.whole)?.title || "Ohne Titel"}“`;
      return `Es wurde zum Teil von ${whole} gemacht, während das zu seinem Teil wurde; so zählt es als Teil von nichts. Was zuerst gesetzt wurde, gilt.`;
    }
    case "no_address":
      return `„${p.text.slice(0, 60)}“ ist keine Webadresse und wird darum als Worte gezeigt. Eine sieht so aus: https://school.example/page.`;
    case "no_credit":
      return "Ein Bild hat noch keinen Nachweis.";
    case "no_alternative":
      return "Ein Bild sagt denen noch nichts, die es nicht sehen: Schreib, was es zeigt.";
    case "licence_forbids":
      return p.what === "shown"
        ? `„${p.licence}“ heißt, dass es ohne Erlaubnis nicht gezeigt werden darf. Frag, wer die Rechte hat, und schreib „Mit Erlaubnis verwendet“, oder nimm ein anderes Bild.`
        : `Es wurde beschnitten oder gedreht, und „${p.licence}“ erlaubt das nicht. Zeig es wieder ganz, oder nimm ein anderes Bild.`;
  }
}
