import type * as En from "../en/instructions";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  formatting: "Gestaltung der Anleitung",
  bold: "Fett",
  italic: "Kursiv",
  heading: "Überschrift",
  list: "Liste",
  numberedList: "Nummerierte Liste",
  quote: "Zitat",
  link: "Link",
  picture: "Bild",
  choosePicture: "Bild für die Anleitung",
  address: "Webadresse des Links",
  set: "Setzen",
  unset: "Link wegnehmen",
  cancel: "Abbrechen",
  noAddress: "Das ist keine Webadresse. Schreib eine wie example.org/seite, oder kopiere sie aus dem Browser.",
  noPicture: "Diese Datei ist kein Bild, das der Browser lesen kann. Nichts wurde eingesetzt; wähle eine andere.",
  whatIsSeen: (n) => `Was auf Bild ${n} zu sehen ist`,
  forThose: "für alle, die es nicht sehen",
  takeOut: (text) => `Das Bild ${text || "ohne Worte"} aus dem Text nehmen`,
};
