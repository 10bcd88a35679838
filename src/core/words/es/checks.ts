import type { MediaSort } from "../../check/requirements";
import type * as En from "../en/checks";
import type { Like } from "../like";

const SORTS: Readonly<Record<MediaSort, readonly [string, string]>> = {
  picture: ["imagen", "imágenes"],
  video: ["vídeo", "vídeos"],
  sound: ["sonido", "sonidos"],
  map: ["mapa", "mapas"],
};
const join = (words: readonly string[]) =>
  words.length < 2 ? words.join("") : `${words.slice(0, -1).join(", ")} o ${words.at(-1)}`;
const n = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many} más`;

export const WORDS: Like<typeof En.WORDS> = {
  noEvents: "aún no hay eventos",
  moreEvents: (x) => n(x, "evento", "eventos"),
  moreSpans: (x) => n(x, "periodo", "periodos"),
  moreMedia: (x, of) => `${x} ${join(of.map((s) => SORTS[s][x === 1 ? 0 : 1]))} más`,
  moreWords: (x) => n(x, "palabra", "palabras"),
  moreLinks: (x) => n(x, "enlace", "enlaces"),
  moreCloseUps: (x) => n(x, "primer plano", "primeros planos"),
  morePlaces: (x) => n(x, "evento con lugar", "eventos con lugar"),
  moreParts: (x) => n(x, "parte", "partes"),
  withoutSource: (x) => `${x} sin fuente`,
  fewerSources: (x, need) => `${x} con menos de ${need} fuentes`,
  noSources: "aún no hay fuentes",
  notApart: (x) => `${x} sin desglosar`,
  onlyEncyclopedia: (x) => `${x} solo con una enciclopedia`,
  tooLong: (x) => (x === 1 ? "1 demasiado larga" : `${x} demasiado largas`),
  tooShort: (x) => (x === 1 ? "1 demasiado corta" : `${x} demasiado cortas`),
  withoutDescription: (x) => `${x} sin descripción`,
  tooMany: (x) => `${x} de más`,
  withoutCredit: (x) => `${x} sin crédito o sin licencia abierta`,
  notThere: (title) => `«${title}» no está`,
  moreBefore: (x) => `${x} más antes`,
  moreAfter: (x) => `${x} más después`,
  withoutDate: (x) => `${x} sin fecha`,
  notInUse: (names) => `${names.map((name) => `«${name}»`).join(", ")} sin usar`,
  withoutVoice: (x) => `${x} sin voz grabada`,
  nothingRecorded: "aún no hay nada grabado",
  nothingWritten: "aún no hay nada escrito",
};
