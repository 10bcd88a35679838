import type { Visibility } from "../timeline/visibility";

/** Whether a page is there for those it is for; else why not. */
export type PageState = "open" | "taken_back" | "hidden" | "not_yet" | "over";

/** What is published of a timeline, as its editors know it. */
export interface Publication {
  address: string;
  /** The word it can be reached by too; null: none was chosen. */
  word: string | null;
  /** Who may see it as it is, which may be fewer than was chosen: its class lets it go only so far. */
  visibility: Visibility;
  /** The class it is given to, or was made in. */
  classId: string | null;
  /** The school it is given to, or of the class it was made in. */
  organisationId: string | null;
  takenBack: boolean;
  state: PageState;
  publishedAt: string;
  /** The time zone of its author when it was published. */
  zone: string;
  /** Changes made since that are not shown yet. */
  laterChanges: number;
  /** The number of the last change that is shown. */
  seq: number;
  /** From when and until when it is seen, ISO 8601; null: at once, and for good. */
  opensAt: string | null;
  closesAt: string | null;
  hasPassword: boolean;
  /** Whether others may begin a timeline of their own with it. */
  copies: boolean;
  /** The sites in whose pages it may stand in a frame; "*" for all. */
  embedSites: string[];
  /** How often it was opened. */
  opened: number;
}
