import type * as En from "../en/rubric-table";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  markedBy: "Con qué se califica",
  upTo: (points, weight) =>
    weight === 1
      ? `hasta ${points === 1 ? "1 punto" : `${points} puntos`}`
      : `hasta ${points === 1 ? "1 punto" : `${points} puntos`}, contados ${weight} veces`,
  reached: "– se alcanzó esto",
};
