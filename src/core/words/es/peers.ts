import type { Agreement } from "../../classes/peers";
import type * as En from "../en/peers";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  gallery: "Galería de la clase",
  galleryLink: "Ver la galería de la clase",
  inGallery: "Mostrarlo en la galería de la clase",
  nothingShown: "Aquí aún no se muestra nada. Sus docentes eligen qué, o cuándo se puede ver todo lo entregado.",
  oneByOne: "Uno tras otro",
  allTogether: "Todos juntos",
  previous: "Anterior",
  next: "Siguiente",
  open: "Abrirlo",
  notDrawnYet: "Su gráfico se está dibujando. Recarga la página en un momento.",
  peers: "Lectura entre iguales",
  peersHelp:
    "Quien ha entregado lee trabajos de otros y dice con la rúbrica cómo son. Quién lee a quién se sortea; nadie lee el suyo. Tú ves qué se dijo y hasta dónde coinciden, y decides.",
  howMany: "Cuántos trabajos lee cada cual",
  blind: "Nadie ve de quién es el otro",
  begin: "Sortear quién lee a quién",
  given: (n) => (n === 1 ? "1 lectura repartida." : `${n} lecturas repartidas.`),
  cancel: "Dejarlo",
  toRead: "Trabajos de otros para leer",
  toReadHelp: "Léelo, elige lo que encaje, y di una cosa que esté bien y una que lo mejoraría.",
  work: (n) => `Trabajo ${n}`,
  readIt: "Leerlo",
  comment: (name) => `Qué dices de ${name}`,
  send: "Enviarlo",
  sendAgain: "Enviarlo de nuevo",
  sent: "Enviado.",
  said: "Qué dijeron otros",
  somebody: "Alguien de la clase",
  byRubric: (points, total) => `${points} de ${total}`,
};

export const WORKS_SHOWN: Like<typeof En.WORKS_SHOWN> = {
  chosen: "",
  handed_in: "Lo que entregas lo ve quien haya entregado en tu clase, y no se puede retirar. ",
  due: "Lo que entregas lo ve tu clase cuando haya vencido el plazo. ",
};

export function agreementText(a: Agreement, total: number): string {
  const how = { close: "Coinciden", some: "Coinciden más o menos", apart: "No coinciden" }[a.how];
  return `${how}: ${a.mean} de ${total} de media entre ${a.count}, de ${a.least} a ${a.most}.`;
}
