import type * as En from "../en/privacy";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  title: "Qué se guarda de ti, y quién lo ve",
  link: "Qué se guarda, y quién lo ve",
  intro: (klass, teachers) => `Esta es la clase ${klass}. Sus docentes: ${teachers}.`,
  points: (months, publish, noNames, outside, recording) => [
    "Tu clase ve el nombre que elegiste, y nada más de ti. Tus docentes ven también tu nombre de acceso, y pueden haber anotado tu nombre completo; eso no lo ve nadie más.",
    "Tus docentes ven las líneas de tiempo que haces para una tarea de esta clase, mientras trabajas en ellas y como las entregaste. No ven tus otras líneas de tiempo si no los invitas.",
    "Otros de tu clase ven lo que entregas solo donde la tarea lo dice, o donde tus docentes lo muestran a la clase.",
    "Quien tiene abierta una línea de tiempo ve quién más la tiene abierta, y dónde; nada de eso se guarda. Los comentarios y las sugerencias se quedan con la línea de tiempo hasta que se eliminan, o se elimina ella.",
    "En una línea de tiempo así se cuenta quién escribió qué palabras y eventos, y cuándo. Tus docentes lo ven del grupo, tú lo ves de ti: en «La tarea», «Qué se cuenta de tu trabajo».",
    "La redacción de tu trabajo se compara con los trabajos de la clase y los textos que os dieron. Tú ves pasajes del tuyo; tus docentes ven ambos lados. Ninguna máquina decide qué significa eso.",
    `Lo que entregas, sus calificaciones y comentarios se guardan ${months} meses, y después se destruyen. Tu línea de tiempo sigue siendo tuya.`,
    "Tus docentes pueden llevarse la clase con sus trabajos y calificaciones como archivo, para guardarla o llevarla a otro Fastigo; allí no se guarda más tiempo.",
    publish,
    noNames
      ? "En lo que se publica de ello no figura el nombre de nadie: la firma está vacía o es un seudónimo."
      : "En lo que se publica de ello figura la firma que tú eliges. No tiene que ser tu nombre.",
    outside
      ? "Los vídeos de otros sitios solo se piden cuando los pulsas; esos sitios saben entonces que los miras."
      : "Aquí no se reproducen vídeos de otros sitios.",
    recording
      ? "La cámara y el micrófono solo se usan cuando pulsas grabar."
      : "Aquí no se usan la cámara ni el micrófono.",
    "En tu cuenta puedes llevarte todo lo tuyo en un archivo, y eliminar la cuenta con todo lo que es solo tuyo.",
  ],
  publish: {
    only_me: "Lo que haces para esta clase no se puede publicar.",
    class: "Lo que haces para esta clase se puede publicar para la clase, no más allá.",
    school: "Lo que haces para esta clase se puede publicar para el centro, no más allá.",
    password: "Lo que haces para esta clase se puede publicar con una contraseña, no para todo el mundo.",
    link: "Lo que haces para esta clase se puede publicar para quien tenga el enlace; a los buscadores se les pide que lo dejen fuera.",
    everybody: "Lo que haces para esta clase se puede publicar para todo el mundo.",
  },
  fromSchool: "Lo que añade tu centro",
  edit: "Lo que tu centro añade a esto, con sus palabras",
  editHelp: "El alumnado y sus familias lo leen debajo de lo que dice Fastigo. Hasta 5000 caracteres.",
  save: "Guardarlo",
  saved: "Guardado.",
  print: "Se puede imprimir para las familias.",
  back: "Volver a la clase",
};
