/** The number of the form in which a class is packed; raised when its meaning changes. */
export const CLASS_FORMAT = 1;
export const CLASS_NAME = "class";

/** A row of a table, as JSON: times as ISO 8601, bytes in base64. */
export type ArchivedRow = Record<string, unknown>;

/** `classes/N/class.json`: a class as its teacher takes it away. Ids are those of where it was. */
export interface ArchivedClass {
  fastigo: typeof CLASS_NAME;
  format: number;
  name: string;
  zone: string;
  publishLimit: string;
  retentionMonths: number;
  outsidePlayers: boolean;
  recording: boolean;
  notice: string;
  bylines: string;
  createdAt: string;
  archivedAt: string | null;
  /** Whoever took it away. */
  teacher: string;
  /** Everybody who is named anywhere in it. */
  people: { id: string; name: string }[];
  /** Its students, with what tells them from others of the same name. */
  members: { id: string; note: string; rosterId: string; joinedAt: string }[];
  /** The timelines of its groups, each at the number of its last change. */
  works: { timeline: string; seq: number }[];
  /** Which events of a work are those its assignment gave. */
  given: { timeline: string; event: string; given: string }[];
  /** By table, each after those it refers to. */
  rows: Record<string, ArchivedRow[]>;
}

/** A work of a class that was made a timeline already, and what its files are called there. */
export interface RestoredWork {
  work: string;
  timeline: string;
  /** What each was called, and is. */
  media: [was: string, is: string][];
}
