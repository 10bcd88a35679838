import type * as En from "../en/sheets";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  sheets: (title) => `${title} – hojas de calificación`,
  points: (points, total) =>
    points === null ? "Aún sin puntos" : `${points} de ${total} ${total === 1 ? "punto" : "puntos"}`,
  submitted: (at) => `Entregado el ${at}`,
  rubric: "Rúbrica",
  level: (criterion, level, points, best) => `${criterion}: ${level} (${points} de ${best})`,
  comment: "Comentario",
  onEvents: "Sobre eventos concretos",
  given: "Fechas dadas",
  givenLine: (title, result) => `${title}: ${result}`,
  requirements: "Requisitos",
  requirementLine: (text, have, need, missing) => `${text}: ${have} de ${need}${missing ? ` – ${missing}` : ""}`,
  changed: "Cambiado",
  changedLine: (points, reason) => `Antes ${points === null ? "no tenía puntos" : `eran ${points}`}. ${reason}`,
  fingerprint: (hash) => `Huella ${hash}`,
  mailSubject: (title) => `Entregado: ${title}`,
  mailBody: (title, at, hash) =>
    `«${title}» se entregó el ${at}.\n\nHuella de lo que se entregó:\n${hash}\n\nGuarda esta carta como recibo. Un recibo en PDF está en «La tarea» de tu línea de tiempo.`,
  receipt: "Recibo",
  receiptHelp:
    "Dice que el trabajo nombrado abajo se entregó, cuándo y por quién. La huella se calcula con todo lo entregado: si una sola letra fuera otra, también lo sería la huella.",
  whose: (names) => `De ${names}`,
  forClass: (klass) => `Para ${klass}`,
  due: (at) => `Para el ${at}`,
  inTime: "A tiempo.",
  short: "Lo que faltaba",
  nothingShort: "Estaba todo lo que se pedía.",
  totalMark: (total) => `Se califica sobre ${total === 1 ? "1 punto" : `${total} puntos`}.`,
  whatIsAsked: "Lo que se pide",
  givenEvents: "Eventos dados",
  findDate: (title) => `${title} – encuentra su fecha`,
  texts: "Para leer",
  textN: (n) => `Texto ${n}`,
  noSheets: "Aún no se ha entregado nada, así que no hay nada que imprimir.",
};
