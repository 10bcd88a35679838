"use client";

import type { LookName } from "@/core/timeline/looks";
import { late } from "./late";
import type { SeenBy } from "./look/seen-by";
import { LazyDescription } from "./sheet/lazy-description";
import type { Panel } from "./tool-bar";

// With its description: a sheet that grew under a pointer would take the press away.
const withDescription = <T,>(part: Promise<T>) => Promise.all([part, LazyDescription.fetch().catch(() => null)]);
const EventSheet = late(() => withDescription(import("./sheet/event-sheet")).then(([m]) => m.EventSheet));
const FindPanel = late(() => import("./find/find-panel").then((m) => m.FindPanel));
const HistoryPanel = late(() => import("./history/history-panel").then((m) => m.HistoryPanel));
const LookPanel = late(() => import("./look/look-panel").then((m) => m.LookPanel));
const MapPanel = late(() => import("./map/map-panel").then((m) => m.MapPanel));
const SettingsSheet = late(() => withDescription(import("./about/about-sheet")).then(([m]) => m.SettingsSheet));
const SourcesPanel = late(() => import("./sources/sources-panel").then((m) => m.SourcesPanel));
const WorkPanel = late(() => import("./class-work/work-panel").then((m) => m.WorkPanel));
const CommentsPanel = late(() => import("./comments/comments-panel").then((m) => m.CommentsPanel));
/** What is fetched after the editor, since it may be asked for without a network. */
export const PANEL_PARTS = [
  EventSheet,
  LookPanel,
  FindPanel,
  MapPanel,
  HistoryPanel,
  SettingsSheet,
  SourcesPanel,
  WorkPanel,
  CommentsPanel,
];

/** The panel at the right: one at a time. */
export function SidePanel(p: {
  panel: Panel;
  selected: string | null;
  /** The event's sheet was opened by somebody, not only selected. */
  takesFocus: boolean;
  build: string;
  seenBy: SeenBy;
  onSeenBy: (by: SeenBy) => void;
  onTry: (look: LookName | null) => void;
  onPast: (seq: number) => void;
  onSources: () => void;
  onLook: () => void;
  onClose: () => void;
}) {
  return (
    <>
      {p.panel === "event" && p.selected ? (
        <EventSheet
          key={p.selected}
          id={p.selected}
          takesFocus={p.takesFocus}
          onPast={p.onPast}
          onSources={p.onSources}
          onClose={p.onClose}
        />
      ) : null}
      {p.panel === "settings" ? <SettingsSheet build={p.build} onSources={p.onSources} onClose={p.onClose} /> : null}
      {p.panel === "history" ? <HistoryPanel selected={p.selected} onShow={p.onPast} onClose={p.onClose} /> : null}
      {p.panel === "map" ? <MapPanel selected={p.selected} onClose={p.onClose} /> : null}
      {p.panel === "look" ? (
        <LookPanel onTry={p.onTry} seenBy={p.seenBy} onSeenBy={p.onSeenBy} onClose={p.onClose} />
      ) : null}
      {p.panel === "sources" ? <SourcesPanel onClose={p.onClose} /> : null}
      {p.panel === "find" ? <FindPanel onClose={p.onClose} /> : null}
      {p.panel === "comments" ? <CommentsPanel selected={p.selected} onClose={p.onClose} /> : null}
      {p.panel === "work" ? <WorkPanel onLook={p.onLook} onClose={p.onClose} /> : null}
    </>
  );
}
