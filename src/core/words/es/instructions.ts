import type * as En from "../en/instructions";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  formatting: "Formato de las instrucciones",
  bold: "Negrita",
  italic: "Cursiva",
  heading: "Encabezado",
  list: "Lista",
  numberedList: "Lista numerada",
  quote: "Cita",
  link: "Enlace",
  picture: "Imagen",
  choosePicture: "Imagen para las instrucciones",
  address: "Dirección web del enlace",
  set: "Ponerlo",
  unset: "Quitar el enlace",
  cancel: "Cancelar",
  noAddress: "Eso no es una dirección web. Escribe una como example.org/pagina, o cópiala del navegador.",
  noPicture: "Este archivo no es una imagen que el navegador pueda leer. No se ha puesto nada; elige otro.",
  whatIsSeen: (n) => `Qué se ve en la imagen ${n}`,
  forThose: "para quienes no la ven",
  takeOut: (text) => `Quitar del texto la imagen ${text || "sin palabras"}`,
};
