import type { LookName } from "@/core/timeline/looks";
import type { ChartStyle } from "@/core/looks/style";
import type { Frozen } from "@/core/formats/frozen";
import type { OutsideRule, PlayerSite } from "@/core/outside/players";
import type { Work } from "@/core/sources/cited";
import type { Run } from "@/core/sources/runs";

/** The whole page; to stand in a frame of another page; or on paper, without scripts and with everything that can be printed. */
export const VARIANTS = ["page", "embed", "print"] as const;
export type Variant = (typeof VARIANTS)[number];

/** What stands over a page that is stored: said in the language of the page, whoever had it made. */
export type StoredNote =
  | { frozenAt: string; hash: string; file: string }
  | { submittedAt: string; zone: string; by: string };

export interface ReaderPage {
  frozen: Frozen;
  sources: PageSources;
  variant: Variant;
  /** Where a media file is: `${mediaPath}/${media}/${size}`, and the ending of its name. */
  mediaPath: string;
  /** Endings of names, by `${media}/${size}`, where files have any: as they lie in a folder. */
  endings?: Readonly<Record<string, string>>;
  /** A sentence over the page, such as that it is a draft; null for none. */
  note: {
    text: string | StoredNote;
    link: { to: string; text: string } | null;
    more?: { to: string; text: string };
  } | null;
  /** Another look than its own, where one is only tried. */
  tried?: LookName | null;
  /** Whether search engines may list it. */
  listed: boolean;
  /** The address of the script that makes the chart movable. */
  chartScript: string;
  /** The script that shows one view at a time (`reader-views.ts`, bundled); it stands in the page. */
  viewsScript: string;
  /** How players of other sites are shown to whoever looks, and which are allowed. */
  outside: { rule: OutsideRule; sites: readonly PlayerSite[] };
  /** The address it has for good; null for a page nobody links to. The picture for links lies under it. */
  address: string | null;
  /** Where the notes of editors are asked for, in an editor's preview; null anywhere else. */
  notes: string | null;
  /** The day it was published, in words or as the instant it was; null for a draft. */
  published: string | { at: string; zone: string } | null;
}

/** A page with the style all of it is painted in. */
export interface StyledPage extends ReaderPage {
  look: ChartStyle;
}

/** The address of a media file as the page asks for it. */
export const mediaUrl = (p: Pick<ReaderPage, "mediaPath" | "endings">, media: string, size: string): string =>
  `${p.mediaPath}/${media}/${size}${p.endings?.[`${media}/${size}`] ?? ""}`;

export type FrozenItem = Frozen["items"][number];

/** The sources of a page, each once. */
export interface PageSources {
  /** The list as it stands at the end: its lines, and the events that name each. */
  entries: { anchor: string; runs: Run[]; number: number | null; address: string; of: string[] }[];
  /** How an event names one, and where in the list that stands; null where it says nothing. */
  cited: (item: FrozenItem) => { text: string | null; anchor: string; work: Work<FrozenItem> } | null;
}
