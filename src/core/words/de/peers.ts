import type { Agreement } from "../../classes/peers";
import type * as En from "../en/peers";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  gallery: "Galerie der Klasse",
  galleryLink: "Die Galerie der Klasse ansehen",
  inGallery: "In der Galerie der Klasse zeigen",
  nothingShown:
    "Hier ist noch nichts zu sehen. Die Lehrkräfte wählen, was gezeigt wird, oder ab wann alles Abgegebene zu sehen ist.",
  oneByOne: "Eins nach dem anderen",
  allTogether: "Alle zusammen",
  previous: "Zurück",
  next: "Weiter",
  open: "Öffnen",
  notDrawnYet: "Das Schaubild wird gerade gezeichnet. Lade die Seite gleich neu.",
  peers: "Gegenseitiges Lesen",
  peersHelp:
    "Alle, die abgegeben haben, lesen Arbeiten anderer und sagen nach dem Bewertungsraster, wie sie sind. Wer was liest, wird gelost; niemand liest die eigene. Du siehst, was gesagt wurde und wie weit es übereinstimmt, und entscheidest selbst.",
  howMany: "Wie viele Arbeiten jede und jeder liest",
  blind: "Keiner sieht, wem die andere gehört",
  begin: "Losen, wer was liest",
  given: (n) => (n === 1 ? "1 Lesung ausgeteilt." : `${n} Lesungen ausgeteilt.`),
  cancel: "Lassen",
  toRead: "Arbeiten anderer zum Lesen",
  toReadHelp: "Lies sie, wähle, was passt, und sag eine Sache, die gut ist, und eine, die sie besser machen würde.",
  work: (n) => `Arbeit ${n}`,
  readIt: "Lesen",
  comment: (name) => `Was du zu ${name} sagst`,
  send: "Senden",
  sendAgain: "Neu senden",
  sent: "Gesendet.",
  said: "Was andere sagten",
  somebody: "Jemand aus der Klasse",
  byRubric: (points, total) => `${points} von ${total}`,
};

export const WORKS_SHOWN: Like<typeof En.WORKS_SHOWN> = {
  chosen: "",
  handed_in:
    "Was du abgibst, sehen alle aus deiner Klasse, die abgegeben haben, und es lässt sich nicht zurücknehmen. ",
  due: "Was du abgibst, sieht deine Klasse, sobald der Termin vorbei ist. ",
};

export function agreementText(a: Agreement, total: number): string {
  const how = {
    close: "Sie sind sich einig",
    some: "Sie sind sich ungefähr einig",
    apart: "Sie sind sich nicht einig",
  }[a.how];
  return `${how}: ${a.mean} von ${total} im Schnitt von ${a.count}, von ${a.least} bis ${a.most}.`;
}
