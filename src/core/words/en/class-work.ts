import type { GivenResult } from "../../check/given-dates";
import type { Requirement } from "../../check/requirements";

/** A requirement as the sentence a student reads. */
export function requirementText(r: Requirement): string {
  switch (r.kind) {
    case "events":
      return `At least ${r.count} ${r.count === 1 ? "event" : "events"}`;
    case "media":
      return `At least ${r.count} ${r.count === 1 ? "picture or video" : "pictures or videos"}`;
    case "sources":
      return "Every event with a source";
    case "words":
      return `A description of at most ${r.count} words for every event`;
    case "categories":
      return `The categories ${r.names.map((n) => `“${n}”`).join(", ")}, each in use`;
  }
}

/** The short name beside its marks in the ready check. */
export function requirementName(r: Requirement): string {
  return {
    events: "Events",
    media: "Pictures and videos",
    sources: "Sources",
    words: "Words",
    categories: "Categories",
  }[r.kind];
}

/** In words, as beside a given event once the work is returned. */
export const GIVEN_WORDS: Record<GivenResult, string> = {
  right: "right",
  less_exact: "right but less exact",
  wrong: "wrong",
  no_date: "no date",
};
