import type * as En from "../en/upload-queue";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  pastedPicture: "eingefügtes Bild",
  stopped: "Angehalten. Nichts wurde hinzugefügt.",
  eventGone:
    "Das Ereignis, für das es war, wurde inzwischen gelöscht. Hol das Ereignis zurück und füge die Datei noch einmal hinzu.",
  onItsWay: (name) => `${name} ist unterwegs`,
  waiting: "wartet auf die davor",
  brokenOff: (percent) =>
    `Niemand antwortet. ${percent} % sind angekommen und aufbewahrt; von dort geht es weiter, sobald wieder ein Netz da ist.`,
  goOn: "Jetzt weiter",
  sendAnyway: "Trotzdem senden",
  leaveOut: "Weglassen",
  notEverywhere: (codec) =>
    `Das ist in ${codec}, was viele Browser nicht abspielen: Wer es liest, sähe und hörte nichts. Speichere es mit einem anderen Programm als H.264, oder stell die Kamera auf „maximale Kompatibilität“. Noch wurde nichts gesendet.`,
  stop: "Anhalten",
  close: "Schließen",
  many: (n, percent) => `${n === 1 ? "1 Datei" : `${n} Dateien`} unterwegs, ${percent} %`,
  someFailed: (n) => (n === 1 ? "1 Datei wurde nicht hinzugefügt" : `${n} Dateien wurden nicht hinzugefügt`),
  someWait: (n) => (n === 1 ? "1 Datei wartet auf ein Netz" : `${n} Dateien warten auf ein Netz`),
  failedFor: (name, event) => `${name}, für ${event}`,
  untitled: "ein Ereignis ohne Titel",
  theTimeline: "die Zeitleiste",
  leave: "Dateien sind noch unterwegs.",
  show: "Zeigen",
  filesOnTheirWay: "Dateien unterwegs",
};
