import type * as En from "../en/recording";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  title: "Eine Stimme aufnehmen",
  spokenComment: "Gesprochener Kommentar",
  help: (minutes) =>
    `Sprich, hör es an, behalte es oder beginne noch einmal. Bis zu ${minutes} Minuten. Das Mikrofon ist nur an, während du aufnimmst.`,
  start: "Aufnahme beginnen",
  pause: "Pause",
  goOn: "Weiter",
  stop: "Anhalten",
  again: "Noch einmal beginnen",
  keep: "Behalten",
  recording: (time) => `Nimmt auf, ${time}`,
  paused: (time) => `Pause bei ${time}. Das Mikrofon ist aus für das, was inzwischen zu hören ist.`,
  listen: "Hör es an, bevor du es behältst",
  level: "Wie laut du bist",
  soft: "Sehr leise: Sprich näher am Mikrofon.",
  loud: "Sehr laut: ein wenig weiter weg.",
  name: "Titel",
  nameExample: "wer spricht, worüber",
  spoken: "Gesprochener Text",
  spokenHint: "Die Wörter, für alle, die sie nicht hören können.",
  refused:
    "Das Mikrofon wurde verweigert. Erlaube es dieser Seite im Browser (links neben der Adresse), und beginne noch einmal. Nichts wurde aufgenommen.",
  none: "Es gibt kein Mikrofon, das dieser Browser benutzen kann. Steck eins an, oder füg stattdessen eine Tondatei hinzu.",
  cannot: "Dieser Browser kann nicht aufnehmen. Nimm mit einem anderen Programm auf und füg die Datei hinzu.",
  nothing: "Nichts wurde aufgenommen. Beginne noch einmal und sprich.",
  ended: (minutes) => `${minutes} Minuten sind voll. Was aufgenommen wurde, ist hier: Hör es an, und behalte es.`,
  fileName: "stimme",
  subtitles: "Untertitel",
  writeSubtitles: (n) => (n === 0 ? "Untertitel hinzufügen" : `Untertitel (${n})`),
  subtitlesHelp: "Lass das Video laufen, halt an, wo jemand spricht, und schreib, was gesagt wird.",
  addHere: (time) => `Einen Untertitel bei ${time} hinzufügen`,
  from: "Von",
  to: "Bis",
  words: "Wörter",
  remove: (time) => `Den Untertitel bei ${time} entfernen`,
  playIt: (time) => `Ab ${time} abspielen`,
  openFile: "Eine Datei öffnen (WebVTT, SubRip)",
  saveFile: "Als Datei speichern",
  readFromFile: (n, lost) =>
    `${n === 1 ? "1 Untertitel wurde" : `${n} Untertitel wurden`} gelesen.${lost > 0 ? ` ${lost === 1 ? "1 hatte" : `${lost} hatten`} keine lesbaren Zeiten und ${lost === 1 ? "wurde" : "wurden"} weggelassen.` : ""}`,
  noSubtitles:
    "In dieser Datei sind keine lesbaren Untertitel. Sie sollte WebVTT (.vtt) oder SubRip (.srt) sein. Nichts wurde verändert.",
  fileLarge: "Eine Datei mit Untertiteln darf höchstens 1 MB haben.",
};
