import type * as En from "../en/chart";
import type { Like } from "../like";

const number = (n: number) => (n < 10_000 ? String(n) : String(n).replace(/\B(?=(\d{3})+$)/g, "."));

export const WORDS: Like<typeof En.WORDS> = {
  noDateYet: "aún sin fecha",
  withParts: (title, parts) => `${title} (${parts} ${parts === 1 ? "parte" : "partes"})`,
  more: (count) => `${number(count)} más`,
  noRoom: (count) =>
    count === 1 ? "1 más, sin sitio para su etiqueta" : `${number(count)} más, sin sitio para sus etiquetas`,
  today: "hoy",
  noCategory: "Sin categoría",
  unnamed: "Sin nombre",
  untitled: "Sin título",
  noDate: "Sin fecha",
  percentDone: (done) => `${done} por ciento hecho`,
  eventOf: (n, of) => `evento ${n} de ${of}`,
  timeline: "Línea de tiempo",
};
