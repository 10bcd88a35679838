/** What kinds of files are made. */
export const MADE_KINDS = ["pdf", "png", "svg", "folder", "scorm"] as const;
export type MadeKind = (typeof MADE_KINDS)[number];

/** What each kind of job is told. All of it is JSON, and small: a job reads what it works on itself. */
export interface Inputs {
  /** The chart in small, of a timeline. */
  thumbnail: { timeline: string };
  /** Thumbnails of what was altered and left alone for a minute. */
  thumbnails: Record<string, never>;
  /** The page of a version, stored under a name, with what its door says about it. */
  reader_page: { version: string; name: string; options: object };
  /** The drawings of a submission. */
  submission_drawing: { submission: string };
  /** Keeps states of the past of timelines whose log has grown. */
  past_states: Record<string, never>;
  /** Looks for wording that is close among the works of an assignment. */
  close_wording: { assignment: string };
  /** Sends the points of a submission to the learning platforms its assignment is linked from. */
  lti_scores: { submission: string };
  /** Gives back the marks whose day has come. */
  held_marks: Record<string, never>;
  /** Sends the letters with what people are to be told. */
  digests: Record<string, never>;
  /** Removes what is over. */
  prune: Record<string, never>;
  /** Moves files to where files are kept now, after that was changed. */
  move_files: Record<string, never>;
  /** Makes a file for somebody: what stands on paper, a picture, a folder. */
  made_file: { file: string; timeline: string; kind: MadeKind; paper?: object; picture?: object };
  /** Sends a letter by the mail server that is set. */
  mail: { mail: string };
  /** Makes what published pages are found by, where they were published before anything was. */
  findable: Record<string, never>;
  /** Asks every web address of a timeline whether it still answers. */
  addresses: { timeline: string };
  /** The same for what is published, a few at a time. */
  published_addresses: Record<string, never>;
}

/** Jobs that take minutes share these lanes, one at a time in each. */
export const TIDYING = "tidying";
export const ADDRESS_LANES = ["addresses 1", "addresses 2"] as const;

export type Kind = keyof Inputs;

/** How a job ended, or how far it is. */
export interface JobState {
  id: number;
  state: "waiting" | "running" | "done" | "failed" | "stopped";
  done: number;
  /** Null while nobody knows how much there is. */
  total: number | null;
  failed: string | null;
}
