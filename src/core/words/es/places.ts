import type * as En from "../en/places";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  map: "Mapa",
  untitled: "Sin título",
  place: "Lugar",
  whereItHappened: "dónde ocurrió",
  found: (n) => (n === 1 ? "1 propuesta" : `${n} propuestas`),
  onTheMap: "En el mapa",
  setOnMap: "Ponerlo en el mapa",
  within: (country) => `${country}: su lugar en el mapa; tus palabras se quedan`,
  callIt: (town, km) => (km < 2 ? `Llamarlo ${town}` : `Llamarlo ${town}, a ${km} km`),
  moveOnMap: "Moverlo en el mapa",
  takeOff: "Quitarlo del mapa",
  chooseTitle: "Dónde ocurrió",
  chooseHelp: "Pulsa en el mapa, o escribe coordenadas. Arrastrar mueve el mapa; la rueda o dos dedos lo acercan.",
  coordinates: "Coordenadas",
  coordinatesExample: "51.508, -0.126",
  noCoordinates: (text) =>
    `«${text}» no son coordenadas. Escribe latitud y longitud, como 51.508, -0.126 o 51°30′N 0°8′W. No se ha cambiado nada.`,
  noLatitude: (text) =>
    `«${text}» no está en ningún punto de la Tierra: una latitud va de 90 grados sur a 90 norte. No se ha cambiado nada.`,
  noLongitude: (text) =>
    `«${text}» no está en ningún punto de la Tierra: una longitud va de 180 grados oeste a 180 este. No se ha cambiado nada.`,
  take: "Tomar este lugar",
  nearer: "Más cerca",
  away: "Más lejos",
  all: "Mostrar todo",
  mapHelp:
    "Eventos con un lugar en el mapa. Elige uno en la lista o en el mapa; arrastra los extremos bajo el mapa para ver qué hubo cuándo.",
  none: "Ningún evento tiene aún un lugar en el mapa. Abre un evento y escribe su lugar: las ciudades se conocen por su nombre; o ponlo en el mapa.",
  shown: (n, of) =>
    n === of ? `${of === 1 ? "1 evento" : `${of} eventos`} en el mapa` : `${n} de ${of} eventos en el mapa`,
  window: "Qué se muestra, desde y hasta",
  from: "Desde",
  to: "Hasta",
  play: "Reproducir",
  stop: "Detener",
  whole: "Todo",
  here: (n) => (n === 1 ? "1 evento aquí" : `${n} eventos aquí`),
  without: (n) => (n === 1 ? "1 evento no tiene lugar en el mapa." : `${n} eventos no tienen lugar en el mapa.`),
  whichMap: "Qué mapa",
  world: "Mundo",
  ownMap: "El mapa de la línea de tiempo",
  noneOnOwn:
    "Ningún evento está aún en el mapa de la línea de tiempo. Abre un evento y ponlo en él; o ata el mapa al mundo, y cada evento con un lugar dentro estará en él.",
  withoutOwn: (n) =>
    n === 1
      ? "1 evento no está en el mapa de la línea de tiempo."
      : `${n} eventos no están en el mapa de la línea de tiempo.`,
  ownMapOf: (n) =>
    `El mapa de la línea de tiempo con ${n === 1 ? "1 evento" : `${n} eventos`}; la lista de debajo tiene los mismos.`,
  ownMapHelp:
    "Una imagen puede ser el mapa de la línea de tiempo: un plano antiguo, una planta, un mapa que dibujaste. Los eventos se ponen en él pulsando.",
  useAPicture: "Usar una imagen como mapa",
  useAnother: "Usar otra imagen",
  ownMapFile: "Una imagen como mapa de la línea de tiempo: elige un archivo",
  ties: "Atado al mundo",
  tiesHelp:
    "Dos o tres puntos cuyo lugar en la Tierra se conoce atan el mapa al mundo: entonces ambos mapas muestran los mismos eventos. Tres enderezan además un mapa inclinado.",
  notTied: (n) =>
    n === 0
      ? "Sin atar."
      : n === 1
        ? "Hay un punto atado; hace falta un segundo."
        : "Estos puntos no dicen cómo está el mapa: están en un mismo sitio o en una línea. Ata otro.",
  tied: (n) => `Atado por ${n} puntos.`,
  tieOf: (n) => `Punto ${n}`,
  addATie: "Atar un punto",
  tieTitle: "Un punto del mapa en la Tierra",
  tieStep: "Pulsa el punto en el mapa de la línea de tiempo, y di dónde está en la Tierra: una ciudad, o coordenadas.",
  tieWhere: "Dónde está en la Tierra",
  tieExample: "una ciudad, o 51.508, -0.126",
  tieIt: "Atarlo",
  noSuchPlace: (text) =>
    `Aquí no se conoce ninguna ciudad llamada «${text}», y las coordenadas son como 51.508, -0.126. No se ha atado nada.`,
  untie: (n) => `Desatar el punto ${n}`,
  across: "A lo ancho del mapa, por ciento",
  down: "A lo alto del mapa, por ciento",
  setOnOwn: "Ponerlo en el mapa de la línea de tiempo",
  moveOnOwn: "Moverlo en el mapa de la línea de tiempo",
  takeOffOwn: "Quitarlo del mapa de la línea de tiempo",
  onOwnByPlace: "Está en el mapa de la línea de tiempo por su lugar en la Tierra.",
  chooseOnOwn: "En qué punto del mapa de la línea de tiempo ocurrió",
  chooseOnOwnHelp: "Pulsa en el mapa, o ponlo con números. Arrastrar mueve el mapa; la rueda o dos dedos lo acercan.",
  takeSpot: "Tomar este punto",
  moveWindow: "Desplazar la ventana",
  earlier: "Ventana antes",
  later: "Ventana después",
  mapOf: (n) => `Un mapa del mundo con ${n === 1 ? "1 lugar" : `${n} lugares`}; la lista de debajo tiene los mismos.`,
};
