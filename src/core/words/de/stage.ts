import type * as En from "../en/stage";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  itWasGivenWithIts: "Deine Lehrkraft hat es mit seinem Datum vorgegeben, darum bleibt das Datum.",
  theEvenScaleHasNo:
    "Der gleichmäßige Maßstab hat keine Zeit zwischen den Ereignissen. Wähle den wahren oder den ausgewogenen, um ein Datum zu verschieben.",
  itCannotBeginAfterIts: "Es kann nicht nach seinem Ende beginnen.",
  itCannotEndBeforeIts: "Es kann nicht vor seinem Anfang enden.",
  noDateCanBeTold: "Hier lässt sich kein Datum angeben. Das Datum bleibt, wie es war.",
  theLabelIsWhereThere: "Die Beschriftung steht, wo Platz für sie ist.",
  isRowOf: (x, x2, count) => `${x} ist Zeile ${x2} von ${count}.`,
  above: "über",
  below: "unter",
  labelMovedPixelsTheRidge: (abs, x) => `Beschriftung verschoben, ${abs} Pixel ${x} dem First.`,
  itsLabelIsNotShown: "Die Beschriftung ist hier nicht zu sehen. Zoome hinein, bis sie da ist.",
  untitled: "Ohne Titel",
  now: (side, x) => `Jetzt ${side === "before" ? "vor" : "nach"} ${x}.`,
};
