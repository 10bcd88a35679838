import type { When } from "../time/when";
import type { GivenResult } from "./given-dates";
import type { Instructions } from "../classes/instructions";
import type { Rubric } from "../classes/rubric";
import type { Requirement } from "./requirements";

/** A group is stuck, and asks. `event`: at which; "" for the whole. Times are ISO 8601, UTC. */
export interface Question {
  id: number;
  event: string;
  by: string;
  text: string;
  at: string;
  answer: string;
  answeredBy: string;
  answeredAt: string | null;
}

/** What was answered to a mark. */
export interface Reply {
  id: number;
  by: string;
  byTeacher: boolean;
  text: string;
  at: string;
}

/** What a group sees of its own work: no right date, no result and no mark before the work is returned. */
export interface OwnWork {
  assignment: {
    id: string;
    title: string;
    instructions: Instructions;
    className: string;
    requirements: Requirement[];
    total: number;
    /** ISO 8601, UTC. */
    dueAt: string;
    /** The time zone of the class, in which its times are said. */
    zone: string;
    /** What it is marked by; null: by points alone. */
    rubric: Rubric | null;
    /** What is read beside the work. */
    texts: { title: string; text: string }[];
    /** Whether anything is taken after the due time. */
    takesLate: boolean;
    /** When others of the class see what is handed in. */
    worksShown: "chosen" | "handed_in" | "due";
    /** A timeline that shows how it may be done, where it is shown now. */
    model: string | null;
  };
  /** What the group has asked, and the answers. */
  questions: Question[];
  /** Findings that were looked at and set aside, with the reasons. */
  aside: Record<string, string>;
  publishLimit: string;
  /** The name of the school its class belongs to; null: to none. */
  school: string | null;
  /** How long the class keeps what is handed in, months. */
  keptMonths: number;
  /** Who could still be taken into the group. */
  classmates: { id: string; displayName: string }[];
  /** `late` in seconds; `before`: how often it was handed in before that. */
  submission: { id: string; at: string; hash: string; late: number; before: number } | null;
  returned: {
    /** It can be handed in again. */
    toImprove: boolean;
    /** Null: taken away again after it was returned. */
    points: number | null;
    comment: string;
    /** A comment that is spoken: how long, seconds, and its words. */
    voice: { seconds: number; spoken: string } | null;
    rubric: Rubric | null;
    /** For each criterion of the rubric the level it reached. */
    levels: (number | null)[];
    /** What the mark was before it was changed, and why. */
    earlier: { points: number | null; reason: string; at: string }[];
    replies: Reply[];
    /** What others of the class said of it. */
    reviews: { by: string; points: number | null; comment: string }[];
    comments: { event: string; text: string }[];
    given: { event: string | null; title: string; locked: boolean; right: When; result: GivenResult; reason: string }[];
    at: string;
  } | null;
}
