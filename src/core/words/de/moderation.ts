import type * as En from "../en/moderation";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  moderation: "Zweite Bewertung",
  help: "So viele Arbeiten, ausgelost, bewertet auch eine zweite Lehrkraft. Sie gibt ihre Note, bevor sie die erste sieht; dann sehen beide beide und entscheiden, ob die Note geändert wird.",
  count: "Wie viele Arbeiten",
  draw: "Die Stichprobe ziehen",
  drawn: (n) => (n === 1 ? "1 Arbeit ist in der Stichprobe." : `${n} Arbeiten sind in der Stichprobe.`),
  none: "Noch ist nichts gezogen.",
  work: "Arbeit",
  first: "Erste",
  second: "Zweite",
  difference: "Unterschied",
  afterYours: "nach deiner zu sehen",
  yours: "wartet auf deine",
  secondTitle: "Du bewertest als Zweites",
  secondHelp: "Was zuerst gegeben wurde, ist zu sehen, sobald du deine gegeben hast.",
  comment: "Warum",
  give: "Geben",
  seconds: "Zweite Bewertung",
  of: (by, points, total) => `${by}: ${points} von ${total}`,
};

export function differenceText(first: number, seconds: readonly number[]): string {
  const most = Math.max(...seconds.map((s) => Math.abs(s - first)));
  return most === 0 ? "keiner" : `${most} ${most === 1 ? "Punkt" : "Punkte"}`;
}
