import type { Where } from "../../presence/present";
import type * as En from "../en/presence";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  here: "Quién puede editar, y quién está aquí",
  notHere: (name) => `${name}, ahora no está`,
  follow: (name, place) => `${name}, ${place}. Seguirle`,
  unfollow: (name, place) => `${name}, ${place}. Dejar de seguirle`,
  following: (name) => `Sigues a ${name}: aquello en lo que está se elige aquí.`,
  stop: "Dejar de seguir",
  alsoHere: (names) =>
    names.length === 1
      ? `${names[0]} está también en este evento.`
      : `${names.join(", ")} están también en este evento.`,
};

const PARTS: Record<Where["at"], string> = {
  chart: "en el gráfico",
  ledger: "en el registro",
  sheet: "en un evento",
  comments: "en los comentarios",
  settings: "en los ajustes",
  reading: "leyendo",
};

export function placeText(where: Where, title: string): string {
  const at = title ? `en «${title}»` : PARTS[where.at];
  return where.field ? `${at}, ${where.field}` : at;
}
