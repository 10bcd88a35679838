import type { GivenResult } from "../../check/given-dates";
import type { MediaSort, Requirement, RequirementKind } from "../../check/requirements";

export function requirementText(r: Requirement): string {
  const text = askedText(r);
  return r.wished ? `${text} (gewünscht, nicht verlangt)` : text;
}

const n = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;
const ONE: Record<MediaSort, string> = { picture: "Bild", video: "Video", sound: "Ton", map: "Karte" };
const MANY: Record<MediaSort, string> = { picture: "Bilder", video: "Videos", sound: "Töne", map: "Karten" };

function mediaWords(of: readonly MediaSort[] | undefined): [one: string, many: string] {
  const sorts = of ?? (["picture", "video"] as const);
  return [sorts.map((s) => ONE[s]).join(" oder "), sorts.map((s) => MANY[s]).join(" oder ")];
}

function askedText(r: Requirement): string {
  switch (r.kind) {
    case "events":
      return `Mindestens ${n(r.count, "Ereignis", "Ereignisse")}`;
    case "spans":
      return `Mindestens ${n(r.count, "Zeitspanne", "Zeitspannen")}, mit Anfang und Ende`;
    case "media":
      return `Mindestens ${n(r.count, ...mediaWords(r.of))}`;
    case "sources":
      return (r.count ?? 1) === 1
        ? "Jedes Ereignis mit einer Quelle"
        : `Jedes Ereignis mit mindestens ${r.count} Quellen`;
    case "structured":
      return "Jede Quelle zerlegt: wer, was, wo und wann, jedes in seinem Feld";
    case "beyond_encyclopedias":
      return "Ein Lexikon ist nie die einzige Quelle eines Ereignisses";
    case "words": {
      const bounds = [
        r.least ? `mindestens ${r.least}` : "",
        r.count === undefined ? "" : `höchstens ${r.count}`,
      ].filter(Boolean);
      return bounds.length === 0
        ? "Eine Beschreibung für jedes Ereignis"
        : `Eine Beschreibung von ${bounds.join(" und ")} Wörtern für jedes Ereignis`;
    }
    case "words_in_all":
      return `Insgesamt mindestens ${n(r.count, "Wort", "Wörter")}${r.most ? ` und höchstens ${r.most}` : ""}`;
    case "credits":
      return "Jedes Bild, Video und jeder Ton mit Nachweis und offener Lizenz";
    case "around":
      return `Mindestens ${[
        r.before > 0 ? `${n(r.before, "Ereignis", "Ereignisse")} vor` : "",
        r.after > 0 ? `${n(r.after, "Ereignis", "Ereignisse")} nach` : "",
      ]
        .filter(Boolean)
        .join(" und ")} „${r.event}“`;
    case "given":
      return "Die vorgegebenen Ereignisse alle da, und mit Datum";
    case "categories":
      return `Die Kategorien ${r.names.map((name) => `„${name}“`).join(", ")}, jede benutzt`;
    case "introduction":
      return `Eine Anfangsseite von mindestens ${n(r.count, "Wort", "Wörtern")}`;
    case "conclusion":
      return `Eine Schlussseite von mindestens ${n(r.count, "Wort", "Wörtern")}`;
    case "further":
      return `Mindestens ${n(r.count, "Link", "Links")}, um mehr zu erfahren`;
    case "close_up":
      return r.count === 1
        ? "Eine Nahaufnahme: ein Ereignis mit seinen Teilen"
        : `Mindestens ${r.count} Nahaufnahmen: Ereignisse mit ihren Teilen`;
    case "places":
      return `Mindestens ${n(r.count, "Ereignis", "Ereignisse")} mit einem Ort`;
    case "parts":
      return `Mindestens ${n(r.count, "Ereignis, das Teil", "Ereignisse, die Teil")} eines anderen ${r.count === 1 ? "ist" : "sind"}`;
    case "voice_each":
      return "Eine aufgenommene Stimme für jedes Ereignis";
    case "voice_whole":
      return "Eine aufgenommene Stimme für die ganze Zeitleiste";
  }
}

export const REQUIREMENT_NAMES: Record<RequirementKind, string> = {
  events: "Ereignisse",
  spans: "Zeitspannen",
  media: "Bilder und Videos",
  sources: "Quellen",
  structured: "Zerlegte Quellen",
  beyond_encyclopedias: "Mehr als Lexika",
  words: "Wörter",
  words_in_all: "Wörter insgesamt",
  credits: "Nachweise und Lizenzen",
  around: "Vor und nach einem Ereignis",
  given: "Vorgegebene Ereignisse",
  categories: "Kategorien",
  introduction: "Anfangsseite",
  conclusion: "Schlussseite",
  further: "Links zum Weiterlesen",
  close_up: "Nahaufnahme",
  places: "Orte",
  parts: "Teile",
  voice_each: "Eine Stimme für jedes Ereignis",
  voice_whole: "Eine Stimme für das Ganze",
};

export function requirementName(r: Requirement): string {
  if (r.kind !== "media" || !r.of) return REQUIREMENT_NAMES[r.kind];
  return r.of.map((s) => SORT_NAMES[s]).join(", ");
}

export const SORT_NAMES: Record<MediaSort, string> = MANY;

export const GIVEN_WORDS: Record<GivenResult, string> = {
  right: "richtig",
  less_exact: "richtig, aber weniger genau",
  wrong: "falsch",
  no_date: "kein Datum",
};
