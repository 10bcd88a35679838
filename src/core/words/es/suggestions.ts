import type * as En from "../en/suggestions";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  suggestions: "Sugerencias",
  suggest: "Sugerir un cambio",
  asSuggested: "Como tú lo pondrías",
  about: "De qué evento",
  aNewOne: "Un evento nuevo",
  why: "Por qué (lo leen quienes deciden)",
  send: "Sugerirlo",
  sent: "Sugerido. Espera hasta que decida alguien que edita.",
  fields: { when: "Cuándo", title: "Título", text: "Texto", category: "Categoría" },
  by: (name) => `${name} sugiere`,
  you: "Tú sugieres",
  newEvent: (title) => `un evento nuevo: «${title}»`,
  forEvent: (title) => `para «${title}»`,
  nothing: "nada",
  becomes: "pasa a ser",
  accept: "Aceptarlo",
  acceptOf: (title) => `Aceptar lo que se sugiere para ${title}`,
  refuse: "Dejarlo fuera",
  refuseOf: (title) => `Dejar fuera lo que se sugiere para ${title}`,
  acceptAll: (n) => `Aceptar los ${n}`,
  takeBack: "Retirarla",
  takeBackOf: (title) => `Retirar lo que sugieres para ${title}`,
  gone: "El evento se ha eliminado desde entonces.",
};
