import type * as En from "../en/moderation";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  moderation: "Segunda calificación",
  help: "Tantos trabajos, elegidos por sorteo, los califica también un segundo docente. Da la suya antes de ver la primera; después ambos ven ambas, y deciden si se cambia.",
  count: "Cuántos trabajos",
  draw: "Sortear la muestra",
  drawn: (n) => (n === 1 ? "1 trabajo está en la muestra." : `${n} trabajos están en la muestra.`),
  none: "Aún no se ha sorteado nada.",
  work: "Trabajo",
  first: "Primera",
  second: "Segunda",
  difference: "Diferencia",
  afterYours: "se ve después de la tuya",
  yours: "espera la tuya",
  secondTitle: "Tú la das en segundo lugar",
  secondHelp: "Lo que dio quien calificó primero se muestra cuando hayas dado la tuya.",
  comment: "Por qué",
  give: "Darla",
  seconds: "Segunda calificación",
  of: (by, points, total) => `${by}: ${points} de ${total}`,
};

export function differenceText(first: number, seconds: readonly number[]): string {
  const most = Math.max(...seconds.map((s) => Math.abs(s - first)));
  return most === 0 ? "ninguna" : `${most} ${most === 1 ? "punto" : "puntos"}`;
}
