import type * as En from "../en/editor-ledger";
import type { Like } from "../like";

const number = (n: number) => n.toLocaleString("es");

export const WORDS: Like<typeof En.WORDS> = {
  oneHas: (x) => `uno tiene ${x}`,
  textHas: (x) => `texto tiene ${x}`,
  aTitleHoldsCharactersThis: (title, x) =>
    `En un título caben ${title} caracteres; este ${x}. No se ha añadido nada y el texto sigue aquí: acórtalo, o pon el resto en la descripción.`,
  writeTheNextEventOn: "Escribe el próximo evento en una línea",
  writeTheNextEventOn2: "Escribe el próximo evento en una línea – hacia 1840 - 1852 Molino de vapor #comercio",
  enter: "Entrar",
  dateFirstOrLastAnd:
    "La fecha al principio o al final, # y una categoría, @ y un lugar, + y una etiqueta, ! si es importante. Pega una lista para añadir muchos.",
  whatTheLineUnderstands: "Qué entiende esta línea",
  pressAnExample: "Pulsa un ejemplo para probarlo.",
  restAsDescription: (words) => `el resto, ${words} palabras, será su descripción`,
  takeItAsOneLine: "Tomarlo como una línea",
  place: "Lugar",
  tags: "Etiquetas",
  linesEnterAddsAsMany: (count) => `${count} líneas: Entrar añade otros tantos eventos`,
  date: "Fecha",
  noneYet: "aún ninguna",
  title: "Título",
  category: "Categoría",
  new: (category) => `${category} (nueva)`,
  important: "Importante",
  takeTheDateOutOf: "Sacar la fecha",
  allOfItIsThe: "Todo es el título",
  ledger: "Registro",
  more: "Más",
  noDateYet: "aún sin fecha",
  notUnderstood: "no se entiende",
  untitled: "Sin título",
  none: "ninguna",
  yes: "sí",
  words: (wordsIn) => (wordsIn === 1 ? "1 palabra" : `${wordsIn} palabras`),
  open: (name) => `Abrir ${name}`,
  openTheEventSheet: "Abrir la ficha del evento",
  open2: "Abrir",
  moreAbout: (name) => `Más sobre ${name}`,
  insertBefore: "Insertar antes",
  insertAfter: "Insertar después",
  insertChapter: "Insertar un capítulo antes",
  chapter: "Capítulo",
  newChapter: "Capítulo nuevo antes del evento elegido",
  duplicate: "Duplicar",
  delete: "Eliminar",
  dragOntoWhatItIs: (name) => `Arrastra «${name}» hasta aquello de lo que es parte`,
  cellOf: (column, name) => `${column}, ${name}`,
  mark: (name) => `Marcar ${name}`,
  row: "Fila",
  markAll: "Marcar todas las filas",
  choices: "Opciones",
  sortRowsBy: "Orden de las filas",
  lastOnTop: "Lo último arriba",
  sortedUp: "en orden ascendente",
  sortedDown: "en orden descendente",
  sortBy: (column) => `Mirar las filas por ${column}`,
  columnKeys: "Mayúsculas y flechas hacen la columna más ancha o más estrecha, Alt y flechas la mueven.",
  dragToWiden: "Arrastra para hacer la columna más ancha o más estrecha; dos veces: como siempre",
  sortedSoOrderStays: "Las filas están ordenadas. Vuelve al orden del tiempo (Alt-T) para mover eventos en él.",
  textTooLong: (column, has, most) =>
    `En ${column} caben ${most} caracteres; esto tiene ${has}. Sigue aquí: acórtalo, o pon el resto en la descripción.`,
  noRoomForTag: (n) =>
    `En ${n === 1 ? "1 evento" : `${n} eventos`} no cabe: un evento tiene como mucho 30 etiquetas de hasta 40 letras. Los demás la tienen.`,
  notAValue: (column, text) =>
    ({
      partOf: `Ningún evento del que pueda ser parte se llama «${text}». Elige uno de la lista, o Escape.`,
      sign: `No hay ningún signo «${text}». Elige uno de la lista, o Escape.`,
      done: `«${text}» no es un porcentaje: escribe un número de 0 a 100, o Escape.`,
      tags: `«${text}» es más de lo que cabe: un evento tiene hasta 30 etiquetas de hasta 40 caracteres.`,
    })[column] ?? `«${text}» no es ni sí ni no.`,
  nothingToPaste: "En el portapapeles no hay texto, así que no se ha pegado nada.",
  nothingPastedBecause: (why) => `No se ha pegado nada. ${why}`,
  cellTooLong: (row, column, has, most) =>
    `No se ha pegado nada: la fila ${row} tiene ${has} caracteres para ${column}, donde caben ${most}. El portapapeles aún lo tiene todo.`,
  eventsAdded: (n) => (n === 1 ? "Se ha añadido 1 evento." : `Se han añadido ${number(n)} eventos.`),
  datesKeptAsTyped: (n) =>
    n === 1
      ? "1 fecha no se entendió y está como se escribió."
      : `${number(n)} fechas no se entendieron y están como se escribieron.`,
  keptInNotes: (n) =>
    n === 1
      ? "1 celda no encajaba en su columna: sus palabras están en la nota privada del evento."
      : `${number(n)} celdas no encajaban en sus columnas: sus palabras están en las notas privadas.`,
  givenLeft: (n) =>
    n === 1
      ? "1 celda de un evento dado queda como la puso tu docente."
      : `${number(n)} celdas de eventos dados quedan como las puso tu docente.`,
  countedTakeNothing: (n) =>
    n === 1
      ? "1 celda se cuenta de lo que tiene el evento, y no admite nada."
      : `${number(n)} celdas se cuentan de lo que tienen los eventos, y no admiten nada.`,
  beyondLastColumn: (n) =>
    `${n === 1 ? "1 celda quedaba más allá de la última columna y se ha" : `${number(n)} celdas quedaban más allá de la última columna y se han`} dejado fuera: muestra más columnas y pega de nuevo.`,
  readingRows: (done, total) => `Leyendo ${number(done)} de ${number(total)} filas`,
  stopReading: "Detener",
  lookAt: "Qué se muestra",
  look: "Mirar",
  lookAtSome: "Mirar algunos",
  wordsAnywhere: "Palabras en eventos",
  wordsToLookFor: "Palabras que se buscan",
  columns: "Columnas",
  columnsShown: "Columnas que se muestran",
  earlierColumn: (column) => `Mover ${column} a la izquierda`,
  laterColumn: (column) => `Mover ${column} a la derecha`,
  columnsAsUsual: "Como siempre",
  shownOf: (n, total) => `${number(n)} de ${number(total)}`,
  allEvents: (n) => (n === 1 ? "1 evento" : `${number(n)} eventos`),
  showAll: "Mostrar todos",
  noneFits: "Ningún evento encaja con lo que buscas.",
  altT: "Alt-T",
  backToTime: "Volver al orden del tiempo",
  sortedBy: (column) => `Ordenado por ${column}`,
  chartFollows: "El gráfico muestra lo mismo",
  withoutCategory: "sin categoría",
  withTag: "Etiquetas",
  writtenBy: "Escritos por",
  thatLack: "Que están",
  lacks: {
    date: "sin fecha",
    source: "sin fuente",
    picture: "sin imagen",
    description: "sin descripción",
    finding: "para revisar",
  },
  you: "tú",
  find: "Buscar",
  rowsMarked: (n) => (n === 1 ? "1 fila marcada" : `${number(n)} filas marcadas`),
  rowsChosen: (n) => (n === 1 ? "1 fila elegida" : `${number(n)} filas elegidas`),
  unmark: "Soltar",
  changeAll: "Cambiar todos",
  set: "Poner",
  to: "en",
  addTag: "Etiqueta que añadir",
  takeTag: "Etiqueta que quitar",
  whatToChange: "Qué cambiar",
  change: "Cambiarlos",
  moveDates: "Mover fechas",
  moveBy: "Mover",
  unit: "Unidad",
  earlier: "antes",
  later: "después",
  units: {
    years: "años",
    months: "meses",
    weeks: "semanas",
    days: "días",
    hours: "horas",
    minutes: "minutos",
  },
  moveThem: "Moverlas",
  datesMoved: (n) => (n === 1 ? "Se ha movido 1 fecha." : `Se han movido ${number(n)} fechas.`),
  datesTooCoarse: (n) =>
    n === 1
      ? "1 se conoce con menos exactitud y se quedó."
      : `${number(n)} se conocen con menos exactitud y se quedaron.`,
  datesNotMoved: (n) =>
    n === 1 ? "1 no tiene una fecha que se pueda mover." : `${number(n)} no tienen una fecha que se pueda mover.`,
  copyTo: "Copiar a",
  copyIntoTimeline: "Copiar en",
  chooseATimeline: "Elige una de tus líneas de tiempo",
  noOtherTimeline: "No tienes otra línea de tiempo que puedas editar.",
  copied: (n, title) =>
    n === 1 ? `Se ha copiado 1 evento en «${title}».` : `Se han copiado ${number(n)} eventos en «${title}».`,
  copyThem: "Copiarlos",
  givenNotDeleted: (n) =>
    n === 1
      ? "1 evento dado no se puede eliminar y se queda."
      : `${n} eventos dados no se pueden eliminar y se quedan.`,
  bringIn: "Traer",
  bringInHint: "Una tabla o una lista: pegada, o de un archivo",
};

export const LINE_GRAMMAR: Like<typeof En.LINE_GRAMMAR> = [
  ["1604 Se autoriza la barca de maroma", "primero una fecha, después el título"],
  ["Disturbios de los mineros 1911", "o la fecha al final"],
  [
    "hacia 1840 - 1852 Molino de vapor",
    "de cuándo a cuándo; hacia, antes de, década de 1840, primavera de 1783, 310 a. C.",
  ],
  ["14 nov 1872 22:10 El muelle este bajo el agua", "una hora del día"],
  ["Construir el decorado", "aún sin fecha: está al final, y se puede mover"],
  ["1744 Puente de madera #paso", "# y su categoría; una nueva se crea"],
  ['1766 Abre la escuela @"Orilla este"', "@ y su lugar; varias palabras entre comillas"],
  ["1783 Riada de primavera +río +hielo", "+ y una etiqueta, tantas como quieras"],
  ["1872 La larga noche !", "! por sí solo: importante"],
];

export const COLUMN_NAMES: Like<typeof En.COLUMN_NAMES> = {
  when: "Cuándo",
  title: "Título",
  shortTitle: "Título corto",
  category: "Categoría",
  partOf: "Parte de",
  place: "Lugar",
  tags: "Etiquetas",
  media: "Medios",
  words: "Descripción",
  source: "Fuente",
  link: "Enlace",
  emphasis: "Importante",
  sign: "Signo",
  done: "Hecho",
  note: "Nota privada",
};
