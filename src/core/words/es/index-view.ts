import type * as En from "../en/index-view";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  index: "Índice",
  indexOf: (n) => `Índice: ${n} ${n === 1 ? "evento" : "eventos"}`,
  find: "Buscar eventos",
  findWords: "Palabras en eventos",
  grouped: "Agrupados por",
  by: { time: "tiempo", category: "categoría", tag: "etiqueta" },
  noDate: "Sin fecha",
  noCategory: "Sin categoría",
  noTag: "Sin etiqueta",
  tags: "Etiquetas",
  allTags: "cualquier etiqueta",
  tagged: "Etiqueta",
  readIt: "Leerlo",
  onTheChart: "En el gráfico",
  closeIndex: "Cerrar el índice",
  closeMap: "Cerrar el mapa",
  someOf: (n, of) => `${n} de ${of} eventos`,
  nothing: "Ningún evento tiene estas palabras, esta etiqueta y estas categorías.",
  showAll: "Mostrar todos los eventos",
  filter: "Qué eventos se muestran",
};
