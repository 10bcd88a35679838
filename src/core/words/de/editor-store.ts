import type * as En from "../en/editor-store";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  isItselfPartOfSo: (name, name2) =>
    `${name} ist selbst Teil von ${name2}, also kann ${name2} nicht Teil davon sein. Nichts wurde geändert.`,
  itStandsWhereItsDate: "Es steht, wo sein Datum es hinstellt. Nur Ereignisse ohne Datum lassen sich verschieben.",
  thereIsNoLongerEvent: "Es gibt kein längeres Ereignis, von dem es ein Teil sein könnte.",
  someoneElseHasChangedThis: "Jemand anders hat das inzwischen geändert; es blieb, wie es dort steht.",
  thisBrowserDoesNotLet:
    "Dieser Browser lässt Fastigo nichts Ungespeichertes auf dem Gerät behalten. Alles wird trotzdem sofort gesendet; schließ die Seite nicht, solange dort steht, dass gespeichert wird.",
  theDiskTakesNothing:
    "Dieses Gerät nimmt nichts mehr auf: Vielleicht ist es voll, oder dieser Browser hebt nichts auf. Was du schreibst, ist nur in diesem Tab, bis es gesendet ist: Lass ihn offen oder schaffe Platz.",
  thisFileIsEmptyChoose: "Diese Datei ist leer. Wähle eine andere.",
  aPictureMayHaveAt: "Ein Bild darf höchstens 20 MB haben. Speichere es kleiner und füge es noch einmal hinzu.",
  aVideoOrSoundMay:
    "Ein Video oder Ton darf höchstens 200 MB haben. Speichere es kürzer oder kleiner und füge es noch einmal hinzu.",
  stoppedNothingWasAdded: "Angehalten. Nichts wurde hinzugefügt.",
  aChapterIsPartOfNothing: "Ein Kapitel ist Teil von nichts: Es steht zwischen Ereignissen.",
};
