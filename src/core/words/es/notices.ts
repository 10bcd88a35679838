import type * as En from "../en/notices";
import type { Like } from "../like";

const titled = (title: string) => `«${title || "Sin título"}»`;

export const WORDS: Like<typeof En.WORDS> = {
  named: (by, title) => `${by} te ha nombrado en un comentario sobre ${titled(title)}.`,
  answeredComment: (by, title) => `${by} ha respondido a un comentario tuyo sobre ${titled(title)}.`,
  tookIn: (by, event, title) => `${by} ha aceptado lo que sugeriste para ${titled(event)} en ${titled(title)}.`,
  leftOut: (by, event, title) => `${by} ha dejado fuera lo que sugeriste para ${titled(event)} en ${titled(title)}.`,
  changed: (title, what) => `Tu docente ha cambiado ${titled(title)}: ${what.join("; ")}.`,
  groupsMade: (title, others) =>
    `${titled(title)}: tu docente ha hecho los grupos. Tu línea de tiempo ya está; trabajas en ella ${others.length === 0 ? "por tu cuenta" : `con ${others.join(", ")}`}.`,
  moreTime: (title, until) => `${titled(title)}: tienes más tiempo, hasta el ${until}.`,
  asOthers: (title, due) => `${titled(title)} es para el ${due} para ti, como para los demás.`,
  toRead: (title) => `${titled(title)}: hay trabajos de otros para que los leas. Están en la página de la tarea.`,
  stuck: (who, title, words) => `${who} no avanza en ${titled(title)} y pregunta: ${words}`,
  answered: (by, words) => `${by} te ha respondido: ${words}`,
  repliedAbout: (by, title, words) => `${by} ha respondido sobre ${titled(title)}: ${words}`,
  codeMade: (by, klass) =>
    `${by} ha hecho un código con el que se puede poner una contraseña nueva a tu cuenta (clase ${klass}). Si no lo pediste, dilo.`,
  codeUsed:
    "Se ha puesto una contraseña nueva a tu cuenta con un código de tu docente. Todas las demás sesiones han terminado.",
  teachWith: (by, klass) =>
    `${by} te ha incorporado a la clase ${klass}. La enseñáis juntos: pones tareas, ves todos los trabajos y los calificas. Si es un error, déjala en su página.`,
  assistIn: (by, klass) =>
    `${by} te ha incorporado a la clase ${klass}. Ayudas en ella: ves todos los trabajos y los comentas, y no calificas. Si es un error, déjala en su página.`,
  teachesNoMore: (klass) =>
    `Ya no estás entre quienes enseñan la clase ${klass}. Lo que pusiste y calificaste allí se queda.`,
  noLongerIn: (klass) =>
    `Ya no estás en la clase ${klass}. Tus líneas de tiempo siguen siendo tuyas; lo que entregaste se queda en la clase el tiempo que ella lo guarde. Si es un error, pide su código y únete de nuevo.`,
  nothingKept: (klass, account) =>
    `La clase ${klass} ya no guarda nada de ti: lo que entregaste por tu cuenta, sus calificaciones y lo que se dijo de ello ya no está, y tu nombre se ha quitado de lo que entregaste con otros. Tus líneas de tiempo siguen siendo tuyas.${
      account
        ? " Tu cuenta se elimina dentro de una semana; hasta entonces puedes llevarte todo lo tuyo, o conservarla."
        : ""
    }`,
  administrator: (by, school) =>
    `${by} te ha dado la administración de ${school}. En Mis clases hoy encuentras el centro; si es un error, déjalo allí.`,
  teacher: (by, school) =>
    `${by} te ha hecho docente de ${school}. En Mis clases hoy encuentras el centro; si es un error, déjalo allí.`,
  notOfSchool: (school) =>
    `Ya no estás entre los docentes de ${school}. Tus clases y líneas de tiempo siguen siendo tuyas.`,
  schoolEnded: (school) =>
    `El centro ${school} lo ha cerrado alguien de su administración. Las clases y las líneas de tiempo quedan como están; lo publicado solo para el centro lo ven su clase y quien lo hizo.`,
};

export const DIFFERENT: Like<typeof En.DIFFERENT> = {
  called: (title) => `ahora se llama «${title}»`,
  due: (now, was) => `es para el ${now} en vez del ${was}`,
  total: (now, was) => `se califica sobre ${now} en vez de ${was}`,
  asked: (what) => `ahora se pide: ${what}`,
  notAsked: (what) => `ya no se pide: ${what}`,
  instructions: "las instrucciones son otras",
  late: {
    refused: "después del plazo no se acepta nada",
    marked: "se puede entregar tarde, y se dice",
  },
  works: {
    chosen: "otros ven de tu trabajo lo que elige tu docente",
    handed_in: "quien ha entregado ve todo lo que entregaron otros",
    due: "después del plazo la clase ve todo lo entregado",
  },
  rubric: "la rúbrica es otra",
  texts: "los textos para leer son otros",
  period: (period) => (period ? `el periodo es ${period}` : "el periodo queda abierto"),
};

export const INCOMPLETE: Like<typeof En.INCOMPLETE> = {
  due: "Pon el día y la hora para los que es.",
  title: "Escribe un título de 1 a 200 caracteres.",
  givenTitle: "Cada evento dado necesita un título.",
  givenDate: (title) => `La fecha correcta de «${title}» no se entiende.`,
  model: "La línea de tiempo modelo ya no es tuya. Elige otra, o ninguna.",
  around: "Di antes y después de qué evento deben estar los demás.",
  longInstructions: (most) => `Las instrucciones pasan de ${most} letras. Acórtalas.`,
  pictures: (most) => `En las instrucciones caben como mucho ${most} imágenes.`,
  picture: "Una imagen de las instrucciones está dañada o es demasiado grande.",
};

export const DETAILS: Like<typeof En.DETAILS> = {
  secondsLeft: (n) => (n === 1 ? "Queda 1 segundo." : `Quedan ${n} segundos.`),
  answeredWith: (status) => `Respondió con el estado ${status}.`,
};
