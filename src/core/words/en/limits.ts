import type { MostOf } from "../../change/limits";
import { MOST_DEEP } from "../../timeline/parts";

/** What is said where more is wanted than fits. */
export const LIMIT_SENTENCES: Record<MostOf, string> = {
  events: `A timeline holds 20,000 events. Nothing of this step was saved; all before it is. Begin a second timeline for the rest.`,
  drawn: "100,000 events can be drawn at once; this file has more.",
  tableRows: "A table may have 20,000 rows. Divide it and take it in by parts.",
  steps: `One change holds 50,000 steps. Nothing of this step was saved; all before it is. Make it in several parts.`,
  deep: `Events lie within others at most ${MOST_DEEP} deep. Nothing of this step was saved; all before it is. Make it part of something further out.`,
  categories: `A timeline has at most 200 categories. Nothing of this step was saved; all before it is. Delete one that is not in use.`,
  items: `An event has at most 100 pictures and files, 100 sources and 100 links. Nothing of this step was saved; all before it is. Delete one, or make a second event.`,
  sources:
    "A timeline has at most 5,000 sources. Nothing of this step was saved; all before it is. Delete those no event names.",
  description:
    "A description holds 100,000 characters, nested at most 12 deep. It is still where you typed it: shorten it, or divide it among several events.",
  nested:
    "Lists and quotes in a description lie at most 12 deep in each other. It is still where you typed it: take one level out.",
  logBytes:
    "The history of this timeline is full: 200 MB of changes. What was saved before is kept and can be read, published and frozen. Go on in a new timeline.",
  timelineFiles: "The files of one timeline may have 1 GB together. Delete some, or take a smaller one.",
  personFiles: "The files of one person may have 3 GB together. Delete some, or take a smaller one.",
  timelines: "You have 2,000 timelines, and more do not fit. Delete some you do not need.",
};

const FIELD_WORDS: Record<string, string> = { shortTitle: "short title", address: "web address" };

/** A sentence for a text that does not fit. */
export function tooLongText(p: { field: string; length: number; most: number }): string {
  return `This ${FIELD_WORDS[p.field] ?? p.field} has ${p.length.toLocaleString("en")} characters; ${p.most.toLocaleString("en")} fit. It was not saved and is still in the field: shorten it, or put the rest into the description.`;
}
