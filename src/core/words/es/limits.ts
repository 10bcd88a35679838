import type { MostOf } from "../../change/limits";
import { MOST_DEEP } from "../../timeline/parts";

export const LIMIT_SENTENCES: Record<MostOf, string> = {
  events:
    "En una línea de tiempo caben 20.000 eventos. De este paso no se ha guardado nada; todo lo anterior sí. Empieza una segunda línea de tiempo para el resto.",
  drawn: "Se pueden dibujar a la vez 100.000 eventos; este archivo tiene más.",
  tableRows: "Una tabla puede tener 20.000 filas. Divídela y tráela por partes.",
  steps:
    "En un cambio caben 50.000 pasos. De este paso no se ha guardado nada; todo lo anterior sí. Hazlo en varias partes.",
  deep: `Los eventos están dentro de otros como mucho ${MOST_DEEP} veces. De este paso no se ha guardado nada; todo lo anterior sí. Hazlo parte de algo más exterior.`,
  categories:
    "Una línea de tiempo tiene como mucho 200 categorías. De este paso no se ha guardado nada; todo lo anterior sí. Elimina una que no se use.",
  items:
    "Un evento tiene como mucho 100 imágenes y archivos, 100 fuentes y 100 enlaces. De este paso no se ha guardado nada; todo lo anterior sí. Elimina uno, o haz un segundo evento.",
  sources:
    "Una línea de tiempo tiene como mucho 5000 fuentes. De este paso no se ha guardado nada; todo lo anterior sí. Elimina las que no nombra ningún evento.",
  description:
    "En una descripción caben 100.000 caracteres, anidados como mucho 12 veces. Sigue donde la escribiste: acórtala, o repártela entre varios eventos.",
  nested:
    "Las listas y citas de una descripción están unas dentro de otras como mucho 12 veces. Sigue donde la escribiste: quita un nivel.",
  logBytes:
    "El historial de esta línea de tiempo está lleno: 200 MB de cambios. Lo guardado antes se conserva y se puede leer, publicar y congelar. Sigue en una línea de tiempo nueva.",
  timelineFiles:
    "Los archivos de una línea de tiempo pueden tener 1 GB en total. Elimina algunos, o toma uno más pequeño.",
  personFiles: "Los archivos de una persona pueden tener 3 GB en total. Elimina algunos, o toma uno más pequeño.",
  timelines: "Tienes 2000 líneas de tiempo, y no caben más. Elimina algunas que no necesites.",
};

const FIELD_WORDS: Record<string, string> = {
  title: "título",
  shortTitle: "título corto",
  subject: "tema",
  byline: "firma",
  place: "lugar",
  note: "nota",
  credit: "crédito",
  licence: "licencia",
  caption: "pie",
  text: "texto",
  name: "nombre",
  address: "dirección web",
};

export function tooLongText(p: { field: string; length: number; most: number }): string {
  return `El campo «${FIELD_WORDS[p.field] ?? p.field}» tiene ${p.length.toLocaleString("es")} caracteres; caben ${p.most.toLocaleString("es")}. No se ha guardado y sigue en el campo: acórtalo, o pon el resto en la descripción.`;
}
