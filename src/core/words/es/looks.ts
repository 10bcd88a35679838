import type { Held } from "../../looks/facts";
import type * as En from "../en/looks";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  look: "Aspecto",
  lookTitle: "Qué aspecto tiene la línea de tiempo",
  looks: "Hecha de",
  pointToTry: "Señala uno para probarlo en el gráfico; púlsalo para conservarlo.",
  names: {
    slate: "Pizarra",
    limestone: "Caliza",
    brick: "Ladrillo",
    oak: "Roble",
    glass: "Vidrio",
    plaster: "Yeso",
    copper: "Cobre",
    concrete: "Hormigón",
    iron: "Hierro",
  },
  asTheLook: "como lo tiene el aspecto",
  behind: "Detrás del gráfico",
  paper: "Papel",
  texture: "Textura",
  textures: {
    "": "como la tiene el aspecto",
    plain: "ninguna",
    linen: "lino",
    stipple: "punteado",
    courses: "hiladas de ladrillo",
    veins: "vetas de madera",
    tiles: "tejas",
  },
  ownPicture: "Una imagen propia",
  useAPicture: "Poner una imagen detrás del gráfico",
  pictureFile: "Un archivo de imagen para detrás del gráfico",
  pictureHelp: "Se atenúa lo bastante para que palabras y líneas se distingan de ella.",
  takePictureAway: "Quitar la imagen",
  strength: "Con qué fuerza se ve",
  percent: (n) => `${n} %`,
  fit: "Cómo se coloca",
  fits: { fill: "llena el gráfico", whole: "entera, en el centro" },
  whatIsSeen: "Qué se ve de ella donde se recorta: a lo ancho y a lo alto",
  lines: "Líneas",
  lineWeights: { "-1": "más finas", "0": "como siempre", "1": "más gruesas" },
  labels: "Qué dicen las etiquetas",
  dates: "Fechas",
  labelDates: { always: "siempre", unmarked: "donde ninguna marca de la cumbrera dice lo mismo", never: "nunca" },
  titles: "Títulos",
  labelTitles: { always: "siempre", unpictured: "donde no hay imagen" },
  contrast: "Contraste",
  contrastHelp: "Calculado para todo lo que está escrito en este gráfico; se mantiene al menos 4,5 : 1.",
  ratio: (n) => `${(Math.floor(n * 10) / 10).toFixed(1).replace(".", ",")} : 1`,
  facts: {
    words: "Títulos",
    quiet: "Primeras palabras",
    ridge: "Fechas en la cumbrera",
    category: (name) => name || "Sin nombre",
    none: "Sin categoría",
    onRoof: "Títulos sobre tejados, el menor",
    overPicture: "Palabras sobre la imagen, el menor",
  },
  saved: "Aspectos guardados",
  savedHelp:
    "Con los colores y las tramas de sus categorías, por su nombre. Una imagen detrás del gráfico no forma parte.",
  noneSaved: "Aún ninguno.",
  saveThis: "Guardar este aspecto",
  saveName: "Nombre del aspecto",
  saveFor: "Para",
  forMe: "mis otras líneas de tiempo",
  forClass: (name) => `la clase ${name}`,
  ofClass: (name) => `clase ${name}`,
  wear: "Ponérselo",
  wearNamed: (name) => `Ponerse ${name}`,
  deleteNamed: (name) => `Eliminar ${name}`,
  nothingToChange: "Esta línea de tiempo ya tiene ese aspecto.",
  savedNow: (name) => `Guardado como «${name}».`,
  toFile: "Sacarlo en un archivo",
  fromFile: "Traer un archivo",
  lookFile: "Un archivo con un aspecto",
  faults: {
    no_json: "Este archivo no es JSON, así que no se pudo leer ningún aspecto. No se ha cambiado nada.",
    no_look: "Este archivo contiene JSON, pero ningún aspecto de Fastigo. No se ha cambiado nada.",
    other_version: "Este aspecto se hizo con un Fastigo más nuevo y no se puede leer aquí. No se ha cambiado nada.",
    broken:
      "Este archivo contiene un valor que ningún aspecto tiene: un color, un nombre o un número. No se ha cambiado nada; saca el aspecto de nuevo de donde vino.",
    large: "Un archivo con un aspecto es de menos de 1 MB; este no se ha leído. No se ha cambiado nada.",
  },
  seenBy: "Visto",
  seenHelp: "Solo cómo lo miras ahora: no se cambia nada. Las tramas deben seguir distinguiendo las categorías.",
  seen: {
    all: "con todos los colores",
    grey: "en blanco y negro",
    protan: "por alguien sin conos rojos",
    deutan: "por alguien sin conos verdes",
    tritan: "por alguien sin conos azules",
  },
  sizes: "Como la ve quien lee",
  sizesTitle: (title) => `${title || "Sin título"}, como la ve quien lee`,
  devices: { laptop: "Portátil", tablet: "Tableta", phone: "Teléfono" },
  deviceFrame: (name, width, height) => `${name}, ${width} por ${height}`,
  shown: "Se muestra",
  sideBySide: "uno al lado de otro",
  inLook: "Aspecto",
  ownLook: "el suyo",
  view: "Vista",
  viewNames: { begin: "el comienzo", chart: "el gráfico", read: "el texto", index: "el índice" },
  backToEditor: "Volver al editor",
  colour: "Color",
  ownColour: "propio",
  asCategory: "como su categoría",
  chooseColour: (name) => `Color propio de ${name}`,
  loudnessOf: (name) => `Con qué fuerza destaca ${name}`,
  loudness: { "-1": "más discreto", "0": "como siempre", "1": "más llamativo" },
  itsLine: "Su línea",
  labelSays: "Su etiqueta dice",
  asOthers: "como las demás",
  ofItsOwn: "lo suyo",
  parts: { date: "fecha", title: "título", words: "primeras palabras", picture: "imagen" },
  signGroups: {
    land: "Tierra y tiempo",
    building: "Construcción",
    going: "De camino",
    people: "Personas",
    power: "Poder y ley",
    works: "Arte y ciencia",
  },
  findASign: "Buscar un signo",
  noSuchSign: "No hay ningún signo con ese nombre.",
  noSign: "sin signo",
};

export function heldText(h: Held): string {
  switch (h.of) {
    case "paper":
      return `El papel es ${h.shown} en vez de ${h.wanted}: sobre ese no se leerían bien ni palabras oscuras ni claras.`;
    case "picture": {
      const [wanted, shown] = [h.wanted, h.shown].map((share) => Math.round(share * 100));
      return `La imagen detrás del gráfico debía verse al ${wanted} %. Se muestra al ${shown} %: más fuerte, palabras o líneas no se distinguirían de ella.`;
    }
    case "category":
      return `${h.name || WORDS.facts.category("")} se muestra como ${h.shown} en vez de ${h.wanted}, para que sus fechas se lean en este papel.`;
  }
}

export const lookAlikeText = (one: string, other: string): string =>
  `${WORDS.facts.category(one)} y ${WORDS.facts.category(other)} se ven igual en el gráfico: da a una de ellas otro color u otra trama.`;
