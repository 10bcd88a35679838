import type { BasedOn } from "@/core/timeline/fields";
import type { Question, Reply } from "@/core/check/own-work";
import type { Agreement } from "@/core/classes/peers";
import type { Rubric } from "@/core/classes/rubric";
import type { Check } from "@/core/check/requirements";
import type { GivenResult } from "@/core/check/given-dates";

/** A medium of an event as the desk shows it. */
export interface DeskMedium {
  kind: "picture" | "video" | "sound" | "page";
  /** The address without the size at its end; "" for what has no file here. */
  path: string;
  /** Where what stays at another site is; null for what does not, or has no address one may follow. */
  elsewhere: string | null;
  text: string;
  /** What stands under it, for everybody. */
  caption: string;
  credit: string;
}

export interface DeskEvent {
  id: string;
  title: string;
  when: string;
  category: string;
  /** The description as HTML, every text of it escaped. */
  html: string;
  media: DeskMedium[];
  sources: { text: string; quote: string; address: string | null }[];
  /** What is different from the time before; null: nothing, or there was none. */
  since: "new" | "changed" | null;
}

/** One submission as its teacher marks it, with what was handed in before. */
export interface DeskSubmission {
  id: string;
  assignment: string;
  /** The work itself; null while its names are hidden. */
  timeline: string | null;
  members: string[];
  checks: Check[];
  given: {
    title: string;
    locked: boolean;
    right: string;
    answer: string;
    result: GivenResult;
    override: { result: GivenResult; reason: string } | null;
  }[];
  /** What others of the class said of it, and how far they agree. */
  reviews: { said: { by: string; points: number | null; comment: string }[]; agreement: Agreement | null };
  drawing: string;
  hash: string;
  submittedAt: string;
  late: number;
  editedSince: boolean;
  points: number | null;
  comment: string;
  comments: Record<string, string>;
  /** A comment that is spoken: how long, seconds, and its words. */
  voice: { seconds: number; spoken: string } | null;
  /** What it is marked by; null: by points alone. */
  rubric: Rubric | null;
  /** For each criterion of the rubric the level that was chosen. */
  levels: (number | null)[];
  /** Grows with each save. */
  version: number;
  /** Given back, but not before this. */
  heldUntil: string | null;
  /** What the mark was before it was changed after it had come back. */
  earlier: { points: number | null; reason: string; at: string }[];
  replies: Reply[];
  questions: Question[];
  /** Wording that is close to other texts, both sides, the longest first. */
  close: {
    event: string;
    passage: string;
    words: number;
    kind: "classmate" | "text" | "quote";
    otherNames: string;
    otherTitle: string;
    other: string;
  }[];
  /** Reasons with which findings of the ready check were set aside. */
  aside: string[];
  returnedAt: string | null;
  /** It may be handed in again. */
  toImprove: boolean;
  events: DeskEvent[];
  /** The published timeline it was begun with; null where it was begun anew. */
  basedOn: BasedOn | null;
  before: {
    id: string;
    submittedAt: string;
    drawing: string;
    /** Both on one chart: what is new, changed, as before and gone since. */
    changes: string;
    points: number | null;
    comment: string;
    comments: Record<string, string>;
    /** Titles of events that were there and are no more. */
    gone: string[];
  } | null;
}
