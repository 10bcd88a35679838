import type * as En from "../en/rubric-table";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  markedBy: "Wonach bewertet wird",
  upTo: (points, weight) =>
    weight === 1
      ? `bis zu ${points === 1 ? "1 Punkt" : `${points} Punkte`}`
      : `bis zu ${points === 1 ? "1 Punkt" : `${points} Punkte`}, ${weight}-fach gezählt`,
  reached: "– das wurde erreicht",
};
