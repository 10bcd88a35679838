import type * as En from "../en/practice";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  practise: "Practicar",
  practiseTitle: (timeline) => `Practicar: ${timeline}`,
  exercise: "Ejercicio",
  exercises: { order: "Ordenar", dates: "Escribir la fecha", within: "¿Cuál de cuatro cayó dentro?" },
  helps: {
    dates: "Se muestra un evento; escribe cuándo fue. Basta un año. Cuenta cuánto te alejas.",
    within: "Se muestra un periodo con sus fechas, y cuatro eventos sin las suyas: pulsa el que cayó dentro.",
  },
  backToClass: "Volver a la clase",
  needsScript: "Esta práctica necesita un navegador con scripts. Pide a tu docente una hoja en papel.",
  sent: "Tu docente ve este resultado.",
  notSent: "Este intento no se ha guardado: has hecho esta práctica cien veces, o enseñas la clase.",
  couldNotCheck: (why) => `${why} Tu orden sigue aquí: pulsa Comprobar otra vez.`,
  when: (title) => `¿Cuándo fue «${title}»?`,
  whenLabel: "Cuándo fue",
  checkIt: "Comprobar",
  next: "Siguiente",
  dateIs: { right: (title, date) => `Bien: «${title}», ${date}.` },
  broad: (title, date) => `Fue entonces, pero eso dice poco: «${title}», ${date}.`,
  dateOff: (title, date, by, early) =>
    `«${title}»: ${date}. Son ${by} ${early ? "demasiado pronto" : "demasiado tarde"}.`,
  unread:
    "Esa no es una fecha que se pueda leer. Escribe un año, un día como 14 nov 1872, o un tiempo como hacia 1840.",
  datesResult: (right, of) =>
    right === of ? `Las ${of} fechas están bien.` : `${right} de ${of} fechas ${right === 1 ? "está" : "están"} bien.`,
  whichWithin: (span) => `¿Cuál de estos cayó dentro de ${span}?`,
  withinRight: (title, date) => `Bien: «${title}», ${date}.`,
  withinOff: (title, date, by, early, right, when) =>
    `«${title}» fue ${date}: ${by} ${early ? "demasiado pronto" : "demasiado tarde"}. Dentro cayó «${right}», ${when}.`,
  withinResult: (right, of) => (right === of ? `Los ${of}, bien.` : `${right} de ${of} bien.`),
  tooFewSpans:
    "Hacen falta periodos o siglos con al menos un evento dentro y tres fuera. Añade eventos, o elige otro ejercicio.",
  question: (n, of) => `Pregunta ${n} de ${of}`,
  paper: "Imprimir una hoja",
  sheet: "Hoja",
  answers: "Respuestas",
  paperOrder: "Numera estos eventos del más antiguo (1) al más reciente.",
  paperDates: "Escribe cuándo fue cada uno.",
  paperWithin: "Marca el único evento que cayó dentro del periodo.",
  name: "Nombre",
  putInOrder: "Ordenar",
  title: (timeline) => `Ordenar: ${timeline}`,
  help: "Las fechas están ocultas y los eventos barajados. Toma uno, y pulsa en qué punto de la cumbrera va: el más antiguo a la izquierda.",
  tooFew: "Hacen falta al menos tres eventos con título y fecha. Con partes o periodos puede haber más.",
  howMany: "Cuántos",
  ofCategory: "De la categoría",
  anyCategory: "cualquiera",
  all: (n) => `los ${n}`,
  withParts: "También partes de otros eventos",
  withSpans: "También periodos, por su comienzo",
  checked: "Se comprueba",
  eachAtOnce: "cada uno al colocarlo",
  atTheEnd: "todos al final",
  teams: "Dos equipos se turnan",
  begin: "Empezar",
  leave: "Salir",
  pile: "Por colocar",
  ridge: "En la cumbrera",
  take: (title) => `Tomar ${title}`,
  taken: (title) =>
    `Has tomado ${title}. Pulsa donde va, o muévete con las flechas y pulsa Entrar; Escape lo devuelve.`,
  placeFirst: "El primero en la cumbrera",
  placeBetween: (a, b) => `Entre ${a} y ${b}`,
  placeBefore: (a) => `Antes de ${a}`,
  placeAfter: (a) => `Después de ${a}`,
  takeOff: (title) => `Quitar ${title} de la cumbrera`,
  hint: "Pista: su siglo",
  neighbour: "Pista: su vecino",
  century: (century) => `Es del ${century}.`,
  before: (text) => `Fue ${text}.`,
  neighbourIs: (title) => `Está junto a «${title}».`,
  noNeighbour: "Nada de lo colocado está aún junto a él.",
  stands: (title, date) => `«${title}», ${date}, está bien.`,
  tooEarly: (title, date, by) => `«${title}», ${date}: son ${by} demasiado pronto. Se ha puesto donde va.`,
  tooLate: (title, date, by) => `«${title}», ${date}: son ${by} demasiado tarde. Se ha puesto donde va.`,
  turn: (team) => `Turno del ${team}.`,
  team: (n) => (n === 0 ? "Equipo A" : "Equipo B"),
  check: "Comprobar el orden",
  result: (right, of) =>
    right === of
      ? `Los ${of} están donde van.`
      : right === 0
        ? `Ninguno de los ${of} está aún donde va.`
        : `${right} de ${of} ${right === 1 ? "está donde va" : "están donde van"}.`,
  placedRight: (right, of) =>
    right === of
      ? `Has colocado bien los ${of}.`
      : right === 0
        ? `No has colocado bien ninguno de los ${of}.`
        : `Has colocado bien ${right} de ${of}.`,
  longAgo: "hace más de 10.000 años",
  offBy: (title, places, early, by) =>
    `«${title}» está ${places === 1 ? "un lugar" : `${places} lugares`}${by ? `, ${by},` : ""} ${early ? "demasiado pronto" : "demasiado tarde"}.`,
  inAll: (percent) => `Por cuánto se aleja cada uno, son ${percent} de 100.`,
  teamsResult: (a, b) => `El equipo A colocó bien ${a}, el equipo B ${b}.`,
  again: "Otra vez",
  inOrder: "En su orden",
  keep: "Guardar el resultado en un archivo",
};
