import type { Overlap } from "@/core/change/replica";
import type { OwnWork } from "@/core/check/own-work";
import type { Timeline } from "@/core/timeline/timeline";
import type { SetAside } from "./pending-db";
import type { EditorPerson, Publication } from "./ports";

export type Saving = "saved" | "saving" | "offline" | "signed_out" | "right_lost";

export interface EditorState {
  timeline: Timeline;
  saving: Saving;
  /** Whether this device's disk takes what waits for the server; else that is in this tab alone. */
  isKept: boolean;
  /** Whether what others do is heard of at once; else it is asked for now and then. */
  hearing: boolean;
  /** How many changes the server has not confirmed. */
  waiting: number;
  canUndo: boolean;
  canRedo: boolean;
  overlaps: readonly Overlap[];
  /** Changes the server would not take, kept on this device with their texts. */
  setAside: readonly SetAside[];
  /** A sentence for the person, such as what an undo left alone; null when there is none. */
  notice: string | null;
  editors: readonly EditorPerson[];
  publication: Publication | null;
  /** Null for a timeline of no assignment. */
  work: OwnWork | null;
}

/** What surrounds a timeline when its editor opens. */
export interface Surroundings {
  editors: readonly EditorPerson[];
  publication: Publication | null;
  work: OwnWork | null;
}
