import type { When } from "../time/when";
import type { GivenResult } from "./given-dates";
import type { Requirement } from "./requirements";

/** What a group sees of its own work: no right date, no result and no mark before the work is returned. */
export interface OwnWork {
  assignment: {
    id: string;
    title: string;
    instructions: string;
    className: string;
    requirements: Requirement[];
    total: number;
    /** ISO 8601, UTC. */
    dueAt: string;
    /** The time zone of the class, in which its times are said. */
    zone: string;
  };
  publishLimit: string;
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
    comments: { event: string; text: string }[];
    given: { event: string | null; title: string; locked: boolean; right: When; result: GivenResult; reason: string }[];
    at: string;
  } | null;
}
