import type { Where } from "../../presence/present";
import type * as En from "../en/presence";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  here: "Wer bearbeiten kann, und wer hier ist",
  notHere: (name) => `${name}, gerade nicht hier`,
  follow: (name, place) => `${name}, ${place}. Folgen`,
  unfollow: (name, place) => `${name}, ${place}. Nicht mehr folgen`,
  following: (name) => `Du folgst ${name}: Was dort dran ist, wird hier gewählt.`,
  stop: "Nicht mehr folgen",
  alsoHere: (names) =>
    names.length === 1
      ? `${names[0]} ist auch bei diesem Ereignis.`
      : `${names.join(", ")} sind auch bei diesem Ereignis.`,
};

const PARTS: Record<Where["at"], string> = {
  chart: "am Schaubild",
  ledger: "im Journal",
  sheet: "in einem Ereignis",
  comments: "in den Kommentaren",
  settings: "in den Einstellungen",
  reading: "liest",
};

export function placeText(where: Where, title: string): string {
  const at = title ? `bei „${title}“` : PARTS[where.at];
  return where.field ? `${at}, ${where.field}` : at;
}
