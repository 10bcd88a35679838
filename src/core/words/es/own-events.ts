import type * as En from "../en/own-events";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  yourEvents: "Tus eventos",
  addAnEvent: "Añadir un evento",
  alterIt: "Tu evento",
  when: "Cuándo",
  whenHelp: "Como lo escribirías tú: 1846, hacia 1702, 3 de mayo de 1890, 1631-1702.",
  title: "Qué ocurrió",
  text: "Más sobre ello",
  category: "Categoría",
  none: "ninguna",
  add: "Añadirlo",
  save: "Guardarlo",
  cancel: "Cancelar",
  added: "Añadido.",
  saved: "Guardado.",
  misread: (typed) => `«${typed}» no se entiende como fecha; se conserva como lo escribiste.`,
  noDate: "sin fecha",
  alter: (title) => `Cambiar ${title}`,
  alterShort: "Cambiar",
  remove: (title) => `Eliminar ${title}`,
  removeShort: "Eliminar",
};
