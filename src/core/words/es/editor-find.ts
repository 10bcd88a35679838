import type * as En from "../en/editor-find";
import type { Like } from "../like";

const many = (n: number) => n.toLocaleString("es");

export const WORDS: Like<typeof En.WORDS> = {
  findAndReplace: "Buscar y reemplazar",
  find: "Buscar",
  matchCase: "Distinguir mayúsculas",
  wholeWords: "Solo palabras enteras",
  replace: "Reemplazar",
  replaceWith: "Reemplazar por",
  replacePlaces: (n) => (n === 1 ? "Reemplazar 1 lugar" : `Reemplazar ${many(n)} lugares`),
  replaceThis: (where) => `Reemplazar este, en ${where}`,
  everyTextIsLookedThrough: "Se buscan títulos, fechas, descripciones, fuentes, créditos, lugares y notas.",
  nowhere: (text) => `«${text}» no está en ninguna parte de esta línea de tiempo.`,
  moreThan: (n) => `Más de ${many(n)} lugares; estos son los primeros.`,
  inPlaces: (n) => (n === 1 ? "1 lugar" : `${many(n)} lugares`),
  replaced: (n) =>
    n === 1
      ? "Se ha reemplazado 1 lugar. Deshacer lo devuelve."
      : `Se han reemplazado ${many(n)} lugares. Deshacer los devuelve.`,
  titlesStay: (n) =>
    n === 1
      ? "1 título o nombre habría quedado vacío y se queda como está."
      : `${many(n)} títulos o nombres habrían quedado vacíos y se quedan como están.`,
  nothingReplaced: (why) => `No se ha reemplazado nada. ${why}`,
  theTimeline: "La línea de tiempo",
  untitled: "Sin título",
  givenStays: "(dado por tu docente: se queda)",
  where: {
    title: "título",
    subject: "tema",
    byline: "firma",
    shortTitle: "título corto",
    when: "fecha",
    place: "lugar",
    note: "nota privada",
    category: "categoría",
    introduction: "introducción",
    closing: "página final",
    description: "descripción",
    media: "imagen, vídeo o sonido",
    source: "fuente",
    link: "enlace",
  },
};
