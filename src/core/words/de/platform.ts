import type * as En from "../en/platform";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  choose: "Wohin der Link führt",
  chooseHelp: (platform, klass) =>
    `Wähle eine Aufgabe von ${klass}. ${platform} setzt einen Link darauf in deinen Kurs und nimmt die Punkte, die du zurückgibst.`,
  none: "Diese Klasse hat noch keine Aufgabe. Stell eine und komm dann von der Plattform hierher zurück.",
  newAssignment: "Neue Aufgabe",
  link: (title) => `„${title}“ verlinken`,
  chosen: "Gewählt",
  back: (platform) => `Zurück zu ${platform}`,
  bring: (platform) => `Die Lernenden von ${platform} hereinholen`,
  brought: (added, there) => `${added} hinzugefügt, ${there === 1 ? "1 war" : `${there} waren`} schon da.`,
};
