import type * as En from "../en/picture-choice";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  fromTheShelf: "De la estantería",
  usedBefore: "Ya usadas",
  choosePictures: "Elegir imágenes",
  shelfHelp:
    "Imágenes que vienen con Fastigo, dibujadas para él y de uso libre (CC0). El crédito y la licencia vienen solos.",
  lookFor: "Buscar",
  shelfExample: "castillo, ferrocarril, volcán",
  usedExample: "palabras, el día (2026-11-25), una línea de tiempo",
  searching: "Buscando ...",
  none: (words) => `Nada encaja con «${words}». Prueba con otra palabra, o con menos.`,
  nothingUsed: "Aún no has subido nada.",
  take: (title) => `Tomar ${title}`,
  taken: "tomada",
  taking: "se está tomando ...",
  more: "Mostrar más",
  found: (n, more) => `${more ? "Más de " : ""}${n === 1 ? "1 imagen" : `${n} imágenes`}`,
  uploaded: (day, timeline) => `${day}, en «${timeline || "Sin título"}»`,
  shownBy: (events) =>
    events.length === 0
      ? "no se muestra en ninguna parte"
      : `la muestran ${events
          .slice(0, 3)
          .map((e) => (e ? `«${e}»` : "la página inicial"))
          .join(", ")}${events.length > 3 ? ` y ${events.length - 3} más` : ""}`,
  shelf: "La estantería",
  shelfPage: (n, subjects) =>
    `${n} imágenes sobre ${subjects} temas, dibujadas para Fastigo. Se regalan (CC0): úsalas para lo que quieras, en una línea de tiempo o en otra parte.`,
  deleteIt: "Eliminar ...",
  deleteNamed: (title) => `Eliminar ${title}`,
  beforeDeleting: "Se quita de cada línea de tiempo tuya que la muestra, y nada la recupera.",
  deleteForGood: "Eliminar para siempre",
  keepIt: "Conservarla",
  deleted: (entries, frozen) =>
    `Eliminada para siempre${entries === 0 ? "" : entries === 1 ? ", y quitada de un lugar" : `, y quitada de ${entries} lugares`}.${
      frozen.length === 0
        ? ""
        : ` Lo publicado, entregado o congelado de ${frozen.map((t) => `«${t || "Sin título"}»`).join(", ")} aún la muestra: se guarda solo para eso, y se va cuando eso se vaya.`
    }`,
  search: "Buscar",
  all: "Todas",
};
