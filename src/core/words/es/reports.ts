import type * as En from "../en/reports";
import type { Like } from "../like";
import { WORDS as PAGES } from "./published-pages";

export const WORDS: Like<typeof En.WORDS> = {
  report: "Denunciar",
  reportOf: (by) => `Denunciar lo que dijo ${by}`,
  title: (by) => `Denunciar lo que dijo ${by}`,
  reason: PAGES.reason,
  reasons: PAGES.reasons,
  words: "Qué le pasa, en pocas palabras",
  send: "Denunciarlo",
  cancel: "Dejarlo",
  told: {
    teachers: "Gracias. Se ha avisado a los docentes de tu clase.",
    site: "Gracias. Quien mantiene este sitio lo mirará.",
  },
  waiting: "Palabras denunciadas",
  none: "No te esperan palabras denunciadas.",
  saidIn: (by, title) => `${by} en «${title || "Sin título"}»`,
  gone: "Ya no está ahí.",
  remove: "Quitarlo",
  leave: "Dejarlo ahí",
  toTeacher: (by, who, title, text, reason, words) =>
    `${by} denuncia lo que dijo ${who} en «${title || "Sin título"}»: «${text}». ${reason}: ${words} Puedes quitarlo donde está, entre los comentarios de ese trabajo.`,
};
