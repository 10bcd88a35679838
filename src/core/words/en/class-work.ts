import type { GivenResult } from "../../check/given-dates";
import type { MediaSort, Requirement, RequirementKind } from "../../check/requirements";

/** A requirement as the sentence a student reads. */
export function requirementText(r: Requirement): string {
  const text = askedText(r);
  return r.wished ? `${text} (wished, not asked)` : text;
}

/** How the media of a requirement are called, one of them and several. */
function mediaWords(of: readonly MediaSort[] = ["picture", "video"]): [one: string, many: string] {
  const join = (words: string[]) =>
    words.length < 2 ? words.join("") : `${words.slice(0, -1).join(", ")} or ${words.at(-1)}`;
  return [join([...of]), join(of.map((s) => `${s}s`))];
}

function askedText(r: Requirement): string {
  switch (r.kind) {
    case "events":
      return `At least ${n(r.count, "event", "events")}`;
    case "spans":
      return `At least ${n(r.count, "time span", "time spans")}, with a beginning and an end`;
    case "media":
      return `At least ${n(r.count, ...mediaWords(r.of))}`;
    case "sources":
      return (r.count ?? 1) === 1 ? "Every event with a source" : `Every event with at least ${r.count} sources`;
    case "structured":
      return "Every source taken apart: who, what, where and when, each in its field";
    case "beyond_encyclopedias":
      return "An encyclopedia is never the only source of an event";
    case "words": {
      const bounds = [r.least ? `at least ${r.least}` : "", r.count === undefined ? "" : `at most ${r.count}`].filter(
        Boolean,
      );
      return bounds.length === 0
        ? "A description for every event"
        : `A description of ${bounds.join(" and ")} words for every event`;
    }
    case "words_in_all":
      return `At least ${n(r.count, "word", "words")}${r.most ? ` and at most ${r.most}` : ""} in all`;
    case "credits":
      return "Every picture, video and sound with a credit and an open licence";
    case "around":
      return `At least ${[
        r.before > 0 ? `${n(r.before, "event", "events")} before` : "",
        r.after > 0 ? `${n(r.after, "event", "events")} after` : "",
      ]
        .filter(Boolean)
        .join(" and ")} “${r.event}”`;
    case "given":
      return "The given events all there, and dated";
    case "categories":
      return `The categories ${r.names.map((name) => `“${name}”`).join(", ")}, each in use`;
    case "introduction":
      return `An opening page of at least ${n(r.count, "word", "words")}`;
    case "conclusion":
      return `A closing page of at least ${n(r.count, "word", "words")}`;
    case "further":
      return `At least ${n(r.count, "link", "links")} to find out more`;
    case "close_up":
      return r.count === 1
        ? "A close-up: an event with its parts"
        : `At least ${r.count} close-ups: events with their parts`;
    case "places":
      return `At least ${n(r.count, "event", "events")} with a place`;
    case "parts":
      return `At least ${n(r.count, "event that is", "events that are")} part of another`;
    case "voice_each":
      return "A recorded voice for every event";
    case "voice_whole":
      return "A recorded voice for the whole timeline";
  }
}

const n = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;

/** The names of the kinds, as they are chosen from. */
export const REQUIREMENT_NAMES: Record<RequirementKind, string> = {
  events: "Events",
  spans: "Time spans",
  media: "Pictures and videos",
  sources: "Sources",
  structured: "Sources taken apart",
  beyond_encyclopedias: "More than encyclopedias",
  words: "Words",
  words_in_all: "Words in all",
  credits: "Credits and licences",
  around: "Before and after an event",
  given: "Given events",
  categories: "Categories",
  introduction: "Opening page",
  conclusion: "Closing page",
  further: "Links to find out more",
  close_up: "Close-up",
  places: "Places",
  parts: "Parts",
  voice_each: "A voice for every event",
  voice_whole: "A voice for the whole",
};

/** The short name beside its marks in the ready check. */
export function requirementName(r: Requirement): string {
  if (r.kind !== "media" || !r.of) return REQUIREMENT_NAMES[r.kind];
  const name = r.of.map((s) => SORT_NAMES[s]).join(", ");
  return name[0]!.toUpperCase() + name.slice(1);
}

export const SORT_NAMES: Record<MediaSort, string> = {
  picture: "pictures",
  video: "videos",
  sound: "sounds",
  map: "maps",
};

/** In words, as beside a given event once the work is returned. */
export const GIVEN_WORDS: Record<GivenResult, string> = {
  right: "right",
  less_exact: "right but less exact",
  wrong: "wrong",
  no_date: "no date",
};
