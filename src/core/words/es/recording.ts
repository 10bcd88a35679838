import type * as En from "../en/recording";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  title: "Grabar una voz",
  spokenComment: "Comentario hablado",
  help: (minutes) =>
    `Habla, escucha, consérvalo o empieza de nuevo. Hasta ${minutes} minutos. El micrófono está encendido solo mientras grabas.`,
  start: "Empezar a grabar",
  pause: "Pausa",
  goOn: "Seguir",
  stop: "Detener",
  again: "Empezar de nuevo",
  keep: "Conservarlo",
  recording: (time) => `Grabando, ${time}`,
  paused: (time) => `En pausa en ${time}. El micrófono está apagado para lo que se oiga entretanto.`,
  listen: "Escúchalo antes de conservarlo",
  level: "Qué volumen tienes",
  soft: "Muy bajo: habla más cerca del micrófono.",
  loud: "Muy alto: un poco más lejos.",
  name: "Título",
  nameExample: "quién habla, de qué",
  spoken: "Texto hablado",
  spokenHint: "Las palabras, para quienes no pueden oírlas.",
  refused:
    "El micrófono se rechazó. Permítelo para esta página en el navegador (a la izquierda de la dirección), y empieza de nuevo. No se ha grabado nada.",
  none: "No hay ningún micrófono que este navegador pueda usar. Conecta uno, o añade un archivo de sonido.",
  cannot: "Este navegador no puede grabar. Graba con otro programa y añade el archivo.",
  nothing: "No se ha grabado nada. Empieza de nuevo y habla.",
  ended: (minutes) => `Los ${minutes} minutos están llenos. Lo grabado está aquí: escúchalo, y consérvalo.`,
  fileName: "voz",
  subtitles: "Subtítulos",
  writeSubtitles: (n) => (n === 0 ? "Añadir subtítulos" : `Subtítulos (${n})`),
  subtitlesHelp: "Deja correr el vídeo, detenlo donde alguien habla, y escribe lo que se dice.",
  addHere: (time) => `Añadir un subtítulo en ${time}`,
  from: "Desde",
  to: "Hasta",
  words: "Palabras",
  remove: (time) => `Quitar el subtítulo de ${time}`,
  playIt: (time) => `Reproducir desde ${time}`,
  openFile: "Abrir un archivo (WebVTT, SubRip)",
  saveFile: "Guardar en un archivo",
  readFromFile: (n, lost) =>
    `${n === 1 ? "Se ha leído 1 subtítulo." : `Se han leído ${n} subtítulos.`}${lost > 0 ? ` ${lost === 1 ? "1 no tenía tiempos que se puedan leer y se ha dejado fuera." : `${lost} no tenían tiempos que se puedan leer y se han dejado fuera.`}` : ""}`,
  noSubtitles:
    "Este archivo no tiene subtítulos que se puedan leer. Debe ser WebVTT (.vtt) o SubRip (.srt). No se ha cambiado nada.",
  fileLarge: "Un archivo de subtítulos puede tener como mucho 1 MB.",
};
