import type * as En from "../en/platform";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  choose: "Adónde lleva el enlace",
  chooseHelp: (platform, klass) =>
    `Elige una tarea de ${klass}. ${platform} pone un enlace a ella en tu curso, y recibe los puntos que devuelves.`,
  none: "Esta clase aún no tiene ninguna tarea. Crea una, y vuelve aquí desde la plataforma.",
  newAssignment: "Nueva tarea",
  link: (title) => `Enlazar «${title}»`,
  chosen: "Elegida",
  back: (platform) => `Volver a ${platform}`,
  bring: (platform) => `Traer al alumnado de ${platform}`,
  brought: (added, there) =>
    `${added === 1 ? "1 añadido" : `${added} añadidos`}, ${there === 1 ? "1 ya estaba" : `${there} ya estaban`}.`,
};
