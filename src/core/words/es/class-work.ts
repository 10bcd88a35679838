import type { GivenResult } from "../../check/given-dates";
import type { MediaSort, Requirement, RequirementKind } from "../../check/requirements";

export function requirementText(r: Requirement): string {
  const text = askedText(r);
  return r.wished ? `${text} (deseable, no exigido)` : text;
}

const n = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;
const ONE: Record<MediaSort, string> = { picture: "imagen", video: "vídeo", sound: "sonido", map: "mapa" };
const MANY: Record<MediaSort, string> = { picture: "imágenes", video: "vídeos", sound: "sonidos", map: "mapas" };

function mediaWords(of: readonly MediaSort[] | undefined): [one: string, many: string] {
  const sorts = of ?? (["picture", "video"] as const);
  return [sorts.map((s) => ONE[s]).join(" o "), sorts.map((s) => MANY[s]).join(" o ")];
}

function askedText(r: Requirement): string {
  switch (r.kind) {
    case "events":
      return `Al menos ${n(r.count, "evento", "eventos")}`;
    case "spans":
      return `Al menos ${n(r.count, "periodo", "periodos")}, con principio y fin`;
    case "media":
      return `Al menos ${n(r.count, ...mediaWords(r.of))}`;
    case "sources":
      return (r.count ?? 1) === 1 ? "Cada evento con una fuente" : `Cada evento con al menos ${r.count} fuentes`;
    case "structured":
      return "Cada fuente desglosada: quién, qué, dónde y cuándo, cada cosa en su campo";
    case "beyond_encyclopedias":
      return "Una enciclopedia nunca es la única fuente de un evento";
    case "words": {
      const bounds = [
        r.least ? `al menos ${r.least}` : "",
        r.count === undefined ? "" : `como mucho ${r.count}`,
      ].filter(Boolean);
      return bounds.length === 0
        ? "Una descripción para cada evento"
        : `Una descripción de ${bounds.join(" y ")} palabras para cada evento`;
    }
    case "words_in_all":
      return `Al menos ${n(r.count, "palabra", "palabras")}${r.most ? ` y como mucho ${r.most}` : ""} en total`;
    case "credits":
      return "Cada imagen, vídeo y sonido con un crédito y una licencia abierta";
    case "around":
      return `Al menos ${[
        r.before > 0 ? `${n(r.before, "evento", "eventos")} antes` : "",
        r.after > 0 ? `${n(r.after, "evento", "eventos")} después` : "",
      ]
        .filter(Boolean)
        .join(" y ")} de «${r.event}»`;
    case "given":
      return "Los eventos dados, todos presentes y con fecha";
    case "categories":
      return `Las categorías ${r.names.map((name) => `«${name}»`).join(", ")}, cada una en uso`;
    case "introduction":
      return `Una página inicial de al menos ${n(r.count, "palabra", "palabras")}`;
    case "conclusion":
      return `Una página final de al menos ${n(r.count, "palabra", "palabras")}`;
    case "further":
      return `Al menos ${n(r.count, "enlace", "enlaces")} para saber más`;
    case "close_up":
      return r.count === 1
        ? "Un primer plano: un evento con sus partes"
        : `Al menos ${r.count} primeros planos: eventos con sus partes`;
    case "places":
      return `Al menos ${n(r.count, "evento", "eventos")} con un lugar`;
    case "parts":
      return `Al menos ${n(r.count, "evento que sea", "eventos que sean")} parte de otro`;
    case "voice_each":
      return "Una voz grabada para cada evento";
    case "voice_whole":
      return "Una voz grabada para toda la línea de tiempo";
  }
}

export const REQUIREMENT_NAMES: Record<RequirementKind, string> = {
  events: "Eventos",
  spans: "Periodos",
  media: "Imágenes y vídeos",
  sources: "Fuentes",
  structured: "Fuentes desglosadas",
  beyond_encyclopedias: "Más que enciclopedias",
  words: "Palabras",
  words_in_all: "Palabras en total",
  credits: "Créditos y licencias",
  around: "Antes y después de un evento",
  given: "Eventos dados",
  categories: "Categorías",
  introduction: "Página inicial",
  conclusion: "Página final",
  further: "Enlaces para saber más",
  close_up: "Primer plano",
  places: "Lugares",
  parts: "Partes",
  voice_each: "Una voz para cada evento",
  voice_whole: "Una voz para el conjunto",
};

export function requirementName(r: Requirement): string {
  if (r.kind !== "media" || !r.of) return REQUIREMENT_NAMES[r.kind];
  const name = r.of.map((s) => MANY[s]).join(", ");
  return name[0]!.toUpperCase() + name.slice(1);
}

export const SORT_NAMES: Record<MediaSort, string> = MANY;

export const GIVEN_WORDS: Record<GivenResult, string> = {
  right: "correcto",
  less_exact: "correcto pero menos exacto",
  wrong: "incorrecto",
  no_date: "sin fecha",
};
