import type * as En from "../en/upload-queue";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  pastedPicture: "imagen pegada",
  stopped: "Detenido. No se ha añadido nada.",
  eventGone: "El evento para el que era se ha eliminado entretanto. Recupera el evento y añade el archivo de nuevo.",
  onItsWay: (name) => `${name} en camino`,
  waiting: "espera a los anteriores",
  brokenOff: (percent) =>
    `Nadie responde. Ha llegado el ${percent} % y está guardado; sigue desde ahí cuando vuelva a haber red.`,
  goOn: "Seguir ahora",
  sendAnyway: "Enviarlo de todos modos",
  leaveOut: "Dejarlo fuera",
  notEverywhere: (codec) =>
    `Esto está en ${codec}, que muchos navegadores no pueden reproducir: quien lo lea no vería ni oiría nada. Guárdalo como H.264 con otro programa, o pon la cámara en «más compatible». Aún no se ha enviado nada.`,
  stop: "Detener",
  close: "Cerrar",
  many: (n, percent) => `${n === 1 ? "1 archivo" : `${n} archivos`} en camino, ${percent} %`,
  someFailed: (n) => (n === 1 ? "1 archivo no se añadió" : `${n} archivos no se añadieron`),
  someWait: (n) => (n === 1 ? "1 archivo espera a que haya red" : `${n} archivos esperan a que haya red`),
  failedFor: (name, event) => `${name}, para ${event}`,
  untitled: "un evento sin título",
  theTimeline: "la línea de tiempo",
  leave: "Aún hay archivos en camino.",
  show: "Mostrar",
  filesOnTheirWay: "Archivos en camino",
};
