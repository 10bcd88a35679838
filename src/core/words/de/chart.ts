import type * as En from "../en/chart";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  noDateYet: "noch ohne Datum",
  withParts: (title, parts) => `${title} (${parts} ${parts === 1 ? "Teil" : "Teile"})`,
};
