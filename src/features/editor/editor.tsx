"use client";

import { ChevronDown, ChevronUp, History, Redo2, Settings2, Undo2 } from "lucide-react";
import Link from "next/link";
import { type PointerEvent, useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { OwnWork } from "@/core/check/own-work";
import type { Snapshot } from "@/core/formats/snapshot";
import { inOrder } from "@/core/timeline/order";
import { categoriesOf } from "@/core/timeline/timeline";
import { CategoryMark } from "@/ui/category-mark";
import { classes } from "@/ui/classes";
import { Button, buttonLook } from "@/ui/controls/button";
import { Modal } from "@/ui/controls/modal";
import { Logo } from "@/ui/logo";
import { ChartPane } from "./chart-pane";
import { EditorContext, useEditor, useEditorState } from "./editor-context";
import { insertBeside, isBlank } from "./event-deeds";
import { EventSheet } from "./event-sheet";
import { HistoryPanel } from "./history-panel";
import { loadDescriptionField } from "./lazy-description";
import { Ledger } from "./ledger";
import { LedgerLine } from "./ledger-line";
import { ReadyCheck } from "./ready-check";
import { SettingsSheet } from "./settings-sheet";
import { ShareDialog } from "./share-dialog";
import { WorkPanel } from "./work-panel";
import { type EditorPerson, type Publication, type Saving, TimelineStore } from "./timeline-store";

type Panel = "event" | "settings" | "history" | "work" | null;

export interface EditorProps {
  account: string;
  snapshot: Snapshot;
  editors: EditorPerson[];
  publication: Publication | null;
  work: OwnWork | null;
}

/** The editor: bars, chart, ledger with its line, and the panel at the right. */
export function Editor(props: EditorProps) {
  const [store] = useState(
    () => new TimelineStore(props.account, props.snapshot, props.editors, props.publication, props.work),
  );
  const [selected, setSelected] = useState<string | null>(null);
  const [panel, setPanel] = useState<Panel>(null);
  const [sharing, setSharing] = useState(false);
  const [keysShown, setKeysShown] = useState(false);
  const [hidden, setHidden] = useState<ReadonlySet<string>>(new Set());
  const [split, setSplit] = useState(0.6);
  const main = useRef<HTMLDivElement>(null);
  useEffect(() => store.start(), [store]);

  const select = useCallback((id: string | null, open = false) => {
    setSelected(id);
    if (open) setPanel("event");
  }, []);
  const fresh = useRef<string | null>(null);
  const begin = useCallback(
    (id: string) => {
      select(id, true);
      fresh.current = id;
    },
    [select],
  );
  useEffect(() => {
    const id = fresh.current;
    if (id === null || (selected === id && panel === "event")) return;
    fresh.current = null;
    if (isBlank(store.getState().timeline, id)) store.edit([{ kind: "delete_event", id }]);
  }, [selected, panel, store]);
  const tools = useMemo(() => ({ store, select, begin }), [store, select, begin]);
  const closePanel = useCallback(() => setPanel(null), []);
  // After the panel has closed the focus goes back to what it was about.
  const hadPanel = useRef(false);
  useEffect(() => {
    if (hadPanel.current && panel === null)
      main.current?.querySelector<HTMLElement>("[data-target][aria-current]")?.focus();
    hadPanel.current = panel !== null;
  }, [panel]);

  // Keys count on the whole page, whatever has the focus, but not behind an open dialog.
  const keys = (e: KeyboardEvent) => {
    if (e.defaultPrevented || (e.target instanceof Element && e.target.closest("[role=dialog],[role=menu]"))) return;
    const typing =
      e.target instanceof HTMLElement &&
      (e.target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(e.target.tagName));
    const command = e.ctrlKey || e.metaKey;
    if (
      command &&
      !e.altKey &&
      e.key.toLowerCase() === "z" &&
      !(e.target instanceof HTMLElement && e.target.isContentEditable)
    ) {
      e.preventDefault();
      if (e.shiftKey) store.redo();
      else store.undo();
    } else if (
      command &&
      e.key.toLowerCase() === "y" &&
      !(e.target instanceof HTMLElement && e.target.isContentEditable)
    ) {
      e.preventDefault();
      store.redo();
    } else if (!typing && !command && e.key === "?") setKeysShown(true);
    else if (!typing && !command && e.key === "n") {
      e.preventDefault();
      document.getElementById("next-event")?.focus();
    } else if (!typing && !command && selected && e.key === "Delete")
      store.edit([{ kind: "delete_event", id: selected }]);
    else if (!typing && e.altKey && selected && (e.key === "b" || e.key === "a")) {
      e.preventDefault();
      select(insertBeside(store, selected, e.key === "b" ? "before" : "after"), true);
    }
  };
  const latestKeys = useRef(keys);
  latestKeys.current = keys;
  useEffect(() => {
    const listen = (e: KeyboardEvent) => latestKeys.current(e);
    document.addEventListener("keydown", listen);
    // Fetched now, so that the sheet opens at once, also when the network has gone by then.
    void loadDescriptionField().catch(() => {});
    return () => document.removeEventListener("keydown", listen);
  }, []);
  return (
    <EditorContext.Provider value={tools}>
      <div className="flex h-dvh flex-col overflow-hidden">
        <TopBar onShare={() => setSharing(true)} onTitle={() => setPanel("settings")} />
        <ToolBar
          hidden={hidden}
          setHidden={setHidden}
          panel={panel}
          setPanel={setPanel}
          onKeys={() => setKeysShown(true)}
        />
        <Notices />
        <div className="flex min-h-0 flex-1">
          <main ref={main} className={classes("flex min-w-0 flex-1 flex-col", panel && "max-md:hidden")}>
            <h1 className="sr-only">
              <TitleText />
            </h1>
            <div className="relative min-h-0" style={{ flex: `${split} 1 0` }} hidden={split <= 0.02}>
              <ChartPane selected={selected} hidden={hidden} />
            </div>
            <Divider split={split} setSplit={setSplit} within={main} />
            <div className="flex min-h-0 flex-col" style={{ flex: split >= 0.98 ? "0 0 auto" : `${1 - split} 1 0` }}>
              {split < 0.98 ? (
                <div className="min-h-0 flex-1 overflow-y-auto">
                  <Ledger selected={selected} />
                </div>
              ) : null}
              <LedgerLine />
            </div>
          </main>
          {panel ? (
            <div className="w-[428px] shrink-0 max-md:w-full">
              {panel === "event" && selected ? <EventSheet key={selected} id={selected} onClose={closePanel} /> : null}
              {panel === "settings" ? <SettingsSheet onClose={closePanel} /> : null}
              {panel === "history" ? <HistoryPanel onClose={closePanel} /> : null}
              {panel === "work" ? <WorkPanel onClose={closePanel} /> : null}
            </div>
          ) : null}
        </div>
        <ReadyCheck onWork={() => setPanel("work")} />
        <ShareDialog open={sharing} onOpenChange={setSharing} />
        <KeysDialog open={keysShown} onOpenChange={setKeysShown} />
      </div>
    </EditorContext.Provider>
  );
}

function TitleText() {
  return useEditorState((s) => s.timeline.title) || "Untitled";
}

const SAVING: Record<Saving, string> = {
  saved: "Saved",
  saving: "Saving",
  offline: "Not connected – kept on this device",
  signed_out: "Signed out – kept on this device",
  right_lost: "You can no longer edit this",
};

function TopBar({ onShare, onTitle }: { onShare: () => void; onTitle: () => void }) {
  const { store } = useEditor();
  const saving = useEditorState((s) => s.saving);
  const editors = useEditorState((s) => s.editors);
  const publication = useEditorState((s) => s.publication);
  const state = !publication
    ? "Draft"
    : publication.takenBack
      ? "Taken back"
      : publication.laterChanges > 0
        ? `Published, ${publication.laterChanges} later ${publication.laterChanges === 1 ? "change" : "changes"} not shown`
        : "Published";
  return (
    <header className="flex h-14 shrink-0 items-center gap-3 bg-slate px-[18px] text-white max-sm:gap-2 max-sm:px-3">
      <Link href="/" aria-label="Your timelines" className="rounded-md">
        <Logo />
      </Link>
      <div className="min-w-0">
        <button
          type="button"
          onClick={onTitle}
          title="About this timeline"
          className="block max-w-full truncate rounded font-head text-[19px] leading-tight font-[650] hover:underline max-sm:text-[16px]"
        >
          <TitleText />
        </button>
        <p className="truncate text-[13px] text-[#c5d3d3]">{state}</p>
      </div>
      <div className="ml-auto flex shrink-0 items-center gap-3 max-sm:gap-1.5">
        <span
          role="status"
          data-testid="saving"
          className={classes(
            "text-[13px] max-sm:max-w-[84px] max-sm:text-[12px]",
            saving === "saved" || saving === "saving" ? "text-[#c5d3d3]" : "font-bold text-sun",
          )}
        >
          {SAVING[saving]}
        </span>
        {editors.length > 1 ? (
          <ul className="flex max-md:hidden" aria-label="Who can edit">
            {editors.slice(0, 5).map((e) => (
              <li
                key={e.id}
                title={e.displayName}
                className="-ml-1.5 flex size-8 items-center justify-center rounded-full border-2 border-slate bg-verdigris-light text-[12px] font-bold text-slate first:ml-0"
              >
                <span className="sr-only">{e.displayName}</span>
                <span aria-hidden="true">{e.displayName.slice(0, 2).toUpperCase()}</span>
              </li>
            ))}
          </ul>
        ) : null}
        <a
          href={`/timelines/${store.timelineId}/reader`}
          target="_blank"
          rel="noreferrer"
          className={classes(buttonLook("dark"), "max-sm:px-2")}
        >
          <span className="max-sm:hidden">See it as a reader</span>
          <span className="sm:hidden">Read</span>
        </a>
        <Button kind="sun" onClick={onShare} className="max-sm:px-2.5">
          Share
        </Button>
      </div>
    </header>
  );
}

function ToolBar({
  hidden,
  setHidden,
  panel,
  setPanel,
  onKeys,
}: {
  hidden: ReadonlySet<string>;
  setHidden: (h: ReadonlySet<string>) => void;
  panel: Panel;
  setPanel: (p: Panel) => void;
  onKeys: () => void;
}) {
  const { store } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const canUndo = useEditorState((s) => s.canUndo);
  const canRedo = useEditorState((s) => s.canRedo);
  const categories = categoriesOf(timeline);
  const count = useMemo(() => inOrder(timeline.events.values()).length, [timeline.events]);
  const tool =
    "flex min-w-7 items-center justify-center gap-1 rounded-md px-2 py-1 font-bold hover:bg-verdigris-wash disabled:opacity-40 disabled:hover:bg-transparent";
  return (
    <section
      aria-label="Tools"
      className="flex min-h-9 shrink-0 items-center gap-x-3 gap-y-0.5 overflow-x-auto border-b border-line bg-panel px-[14px] text-[14px] max-sm:px-1.5"
    >
      <div className="flex items-center">
        <button
          type="button"
          className={tool}
          disabled={!canUndo}
          onClick={() => store.undo()}
          aria-label="Undo"
          title="Undo (Ctrl+Z)"
        >
          <Undo2 size={17} />
        </button>
        <button
          type="button"
          className={tool}
          disabled={!canRedo}
          onClick={() => store.redo()}
          aria-label="Redo"
          title="Redo (Ctrl+Shift+Z)"
        >
          <Redo2 size={17} />
        </button>
      </div>
      <span className="whitespace-nowrap text-quiet max-sm:hidden">
        {count} {count === 1 ? "event" : "events"}
      </span>
      <ul aria-label="Categories shown" className="mx-auto flex items-center gap-1">
        {categories.map((c) => {
          const on = !hidden.has(c.id);
          return (
            <li key={c.id}>
              <button
                type="button"
                aria-pressed={on}
                title={on ? `Hide ${c.name} on the chart` : `Show ${c.name} on the chart`}
                className={classes(
                  "flex items-center gap-1.5 rounded-md px-1.5 py-1 whitespace-nowrap hover:bg-verdigris-wash",
                  !on && "text-quiet line-through",
                )}
                onClick={() => {
                  const next = new Set(hidden);
                  if (on) next.add(c.id);
                  else next.delete(c.id);
                  setHidden(next);
                }}
              >
                <CategoryMark colour={on ? c.colour : null} pattern={on ? c.pattern : "solid"} />
                {c.name}
              </button>
            </li>
          );
        })}
      </ul>
      <div className="flex items-center">
        <button
          type="button"
          className={tool}
          aria-pressed={panel === "settings"}
          onClick={() => setPanel(panel === "settings" ? null : "settings")}
        >
          <Settings2 size={16} /> About
        </button>
        <button
          type="button"
          className={tool}
          aria-pressed={panel === "history"}
          onClick={() => setPanel(panel === "history" ? null : "history")}
        >
          <History size={16} /> History
        </button>
        <button type="button" className={tool} onClick={onKeys} aria-label="Keys" title="Keys (?)">
          ?
        </button>
      </div>
    </section>
  );
}

function Notices() {
  const { store } = useEditor();
  const notice = useEditorState((s) => s.notice);
  const saving = useEditorState((s) => s.saving);
  const waiting = useEditorState((s) => s.waiting);
  if (saving === "signed_out")
    return (
      <Banner>
        You are signed out.{" "}
        {waiting > 0
          ? `${waiting} ${waiting === 1 ? "change is" : "changes are"} kept in this browser and sent when you have signed in again.`
          : ""}{" "}
        <a className="font-bold underline" href={`/sign-in?to=${encodeURIComponent(`/timelines/${store.timelineId}`)}`}>
          Sign in
        </a>
      </Banner>
    );
  if (saving === "right_lost")
    return (
      <Banner>
        You can no longer edit this timeline: it was deleted, or its owner has taken the right away.{" "}
        {waiting > 0 ? "What was not sent is kept in this browser; copy what you need." : ""}
      </Banner>
    );
  if (!notice) return null;
  return (
    <Banner>
      {notice}
      <button type="button" className="ml-3 font-bold underline" onClick={() => store.dismissNotice()}>
        Close
      </button>
    </Banner>
  );
}

function Banner({ children }: { children: React.ReactNode }) {
  return (
    <div role="status" className="shrink-0 border-b border-line bg-sun-wash px-[18px] py-2">
      {children}
    </div>
  );
}

/** Between chart and ledger: dragged, moved by keys, or folded to either side. */
function Divider({
  split,
  setSplit,
  within,
}: {
  split: number;
  setSplit: (s: number) => void;
  within: React.RefObject<HTMLDivElement | null>;
}) {
  const drag = (e: PointerEvent<HTMLDivElement>) => {
    if (!e.currentTarget.hasPointerCapture(e.pointerId)) return;
    const box = within.current!.getBoundingClientRect();
    setSplit(Math.min(0.95, Math.max(0.1, (e.clientY - box.top) / box.height)));
  };
  const folded = split <= 0.02 ? "chart" : split >= 0.98 ? "ledger" : null;
  return (
    <div className="relative z-[3] flex h-2 shrink-0 items-center border-y border-line bg-panel">
      <div
        role="separator"
        aria-label="Between chart and ledger"
        aria-orientation="horizontal"
        aria-valuenow={Math.round(split * 100)}
        aria-valuemin={0}
        aria-valuemax={100}
        tabIndex={0}
        className="h-full flex-1 cursor-row-resize touch-none"
        onPointerDown={(e) => e.currentTarget.setPointerCapture(e.pointerId)}
        onPointerMove={drag}
        onKeyDown={(e) => {
          if (e.key === "ArrowUp") setSplit(Math.max(0.1, split - 0.05));
          if (e.key === "ArrowDown") setSplit(Math.min(0.95, split + 0.05));
        }}
      />
      <div className="absolute left-1/2 flex -translate-x-1/2 max-sm:left-[80px] rounded-md border border-edge bg-white">
        <button
          type="button"
          aria-label={folded === "ledger" ? "Show the ledger" : "Fold the chart away"}
          disabled={folded === "chart"}
          className="px-1.5 py-0.5 disabled:opacity-30"
          onClick={() => setSplit(folded === "ledger" ? 0.6 : 0)}
        >
          <ChevronUp size={14} />
        </button>
        <button
          type="button"
          aria-label={folded === "chart" ? "Show the chart" : "Fold the ledger away"}
          disabled={folded === "ledger"}
          className="px-1.5 py-0.5 disabled:opacity-30"
          onClick={() => setSplit(folded === "chart" ? 0.6 : 1)}
        >
          <ChevronDown size={14} />
        </button>
      </div>
    </div>
  );
}

const KEYS: [string, string][] = [
  ["N", "Write the next event"],
  ["Enter", "Add the line; in the ledger, go to the next row"],
  ["Arrow keys", "On the chart: walk the events in time order. In the ledger: move between rows"],
  ["Home, End", "On the chart: the first event, the last event"],
  ["Enter on an event", "Open its sheet"],
  ["+, -, 0", "On the chart: zoom in, zoom out, see the whole"],
  ["Z", "On the chart: zoom to the selected event"],
  ["Shift Arrow, Page Up, Page Down", "On the chart: move along"],
  ["Esc", "Close the sheet"],
  ["Alt B, Alt A", "Insert before, insert after the selected event"],
  ["Delete", "Delete the selected event"],
  ["Ctrl Z, Ctrl Shift Z", "Undo, redo"],
  ["?", "This list"],
];

function KeysDialog({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Modal title="Keys" open={open} onOpenChange={onOpenChange}>
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
        {KEYS.map(([key, what]) => (
          <div key={key} className="contents">
            <dt className="font-bold">{key}</dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </Modal>
  );
}
