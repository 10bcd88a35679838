"use client";

import { WORDS } from "@/core/words/editor";
import { COMMENTS } from "@/core/words/together";
import { WORDS as LOOK } from "@/core/words/looks";
import { WORDS as PAPER } from "@/core/words/paper";
import { WORDS as PLACES } from "@/core/words/places";
import {
  Earth,
  History,
  MessageSquareText,
  MonitorPlay,
  PaintRoller,
  Presentation,
  Printer,
  Redo2,
  Settings2,
  TextSearch,
  Undo2,
} from "lucide-react";
import { useDeferredValue, useMemo } from "react";
import { orderOf } from "@/core/timeline/order";
import { keyOf } from "@/core/looks/key";
import { categoriesOf } from "@/core/timeline/timeline";
import { Mark } from "./mark";
import { classes } from "@/ui/classes";
import { useReady } from "@/ui/use-ready";
import { useEditor, useEditorState } from "./store/editor-context";

export type Panel = "event" | "settings" | "history" | "work" | "find" | "sources" | "map" | "look" | "comments" | null;

export function ToolBar({
  hidden,
  setHidden,
  panel,
  setPanel,
  onKeys,
  onBoard,
  onPaper,
}: {
  hidden: ReadonlySet<string>;
  setHidden: (h: ReadonlySet<string>) => void;
  panel: Panel;
  setPanel: (p: Panel) => void;
  onKeys: () => void;
  onBoard: () => void;
  onPaper: () => void;
}) {
  const { store } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  // Before the page has woken up a press would be lost.
  const ready = useReady();
  const canUndo = useEditorState((s) => s.canUndo);
  const canRedo = useEditorState((s) => s.canRedo);
  const categories = categoriesOf(timeline);
  // Spans with parts and without a category, and what has a colour of its own, are listed too.
  const settled = useDeferredValue(timeline);
  const others = useMemo(() => keyOf(settled).filter((k) => !k.isCategory), [settled]);
  const count = useMemo(() => orderOf(timeline.events).length, [timeline.events]);
  const tool =
    "flex min-w-7 items-center justify-center gap-1 rounded-md px-2 py-1 font-bold hover:bg-verdigris-wash disabled:opacity-40 disabled:hover:bg-transparent max-sm:h-11 max-sm:min-w-10 max-sm:px-1";
  return (
    <section
      aria-label={WORDS.tools}
      className="flex min-h-9 shrink-0 items-center gap-x-3 gap-y-0.5 border-b max-sm:gap-x-1 border-line bg-panel px-[14px] text-[14px] max-sm:px-1.5"
    >
      <div className="flex items-center">
        <button
          type="button"
          className={tool}
          disabled={!canUndo}
          onClick={() => store.undo()}
          aria-label={WORDS.undo}
          title={WORDS.undoCtrlZ}
        >
          <Undo2 size={17} />
        </button>
        <button
          type="button"
          className={tool}
          disabled={!canRedo}
          onClick={() => store.redo()}
          aria-label={WORDS.redo}
          title={WORDS.redoCtrlShiftZ}
        >
          <Redo2 size={17} />
        </button>
      </div>
      <span className="whitespace-nowrap text-quiet max-sm:hidden">
        {count} {count === 1 ? WORDS.event : WORDS.events}
      </span>
      {/* Where there is little room the key scrolls by itself; what is beside it stays. */}
      <ul aria-label={WORDS.categoriesShown} className="mx-auto flex min-w-0 items-center gap-1 overflow-x-auto">
        {categories.map((c) => {
          const on = !hidden.has(c.id);
          return (
            <li key={c.id}>
              <button
                type="button"
                aria-pressed={on}
                title={on ? WORDS.hideOnTheChart(c.name) : WORDS.showOnTheChart(c.name)}
                className={classes(
                  "flex items-center gap-1.5 rounded-md px-1.5 py-1 whitespace-nowrap hover:bg-verdigris-wash max-sm:h-11",
                  !on && "text-quiet line-through",
                )}
                onClick={() => {
                  const next = new Set(hidden);
                  if (on) next.add(c.id);
                  else next.delete(c.id);
                  setHidden(next);
                }}
              >
                <Mark colour={on ? c.colour : null} pattern={on ? c.pattern : "solid"} />
                {c.name}
              </button>
            </li>
          );
        })}
        {others.map((k) => (
          <li key={k.id} className="flex items-center gap-1.5 px-1.5 py-1 whitespace-nowrap text-quiet">
            <Mark colour={k.colour} pattern={k.pattern} />
            {k.name || WORDS.untitled}
          </li>
        ))}
      </ul>
      <div className="flex shrink-0 items-center">
        <button
          type="button"
          className={tool}
          aria-pressed={panel === "find"}
          aria-label={WORDS.findAndReplace}
          title={WORDS.findCtrlF}
          disabled={!ready}
          onClick={() => setPanel(panel === "find" ? null : "find")}
        >
          <TextSearch size={17} />
        </button>
        <button
          type="button"
          className={tool}
          aria-pressed={panel === "map"}
          aria-label={PLACES.map}
          title={PLACES.map}
          disabled={!ready}
          onClick={() => setPanel(panel === "map" ? null : "map")}
        >
          <Earth size={17} />
        </button>
        <button
          type="button"
          className={tool}
          aria-pressed={panel === "look"}
          disabled={!ready}
          onClick={() => setPanel(panel === "look" ? null : "look")}
        >
          <PaintRoller size={16} /> <span className="max-sm:sr-only">{LOOK.look}</span>
        </button>
        <button
          type="button"
          className={tool}
          aria-pressed={panel === "settings"}
          disabled={!ready}
          onClick={() => setPanel(panel === "settings" ? null : "settings")}
        >
          <Settings2 size={16} /> <span className="max-sm:sr-only">{WORDS.about}</span>
        </button>
        {store.isLocal ? null : (
          <button
            type="button"
            className={tool}
            aria-pressed={panel === "comments"}
            aria-label={COMMENTS.comments}
            title={COMMENTS.comments}
            disabled={!ready}
            onClick={() => setPanel(panel === "comments" ? null : "comments")}
          >
            <MessageSquareText size={16} />
          </button>
        )}
        {store.isLocal ? null : (
          <button
            type="button"
            className={tool}
            aria-pressed={panel === "history"}
            disabled={!ready}
            onClick={() => setPanel(panel === "history" ? null : "history")}
          >
            <History size={16} /> <span className="max-sm:sr-only">{WORDS.history}</span>
          </button>
        )}
        <button
          type="button"
          className={classes(tool, "max-md:hidden")}
          disabled={!ready}
          onClick={onBoard}
          title={WORDS.largeForAnInteractiveWhiteboard}
        >
          <Presentation size={16} /> {WORDS.board}
        </button>
        {store.isLocal ? null : (
          <button
            type="button"
            className={tool}
            disabled={!ready}
            onClick={onPaper}
            aria-label={PAPER.onPaper}
            title={PAPER.onPaper}
          >
            <Printer size={16} />
          </button>
        )}
        {store.isLocal ? null : (
          <a
            href={`/timelines/${store.timelineId}/reader#present`}
            target="_blank"
            rel="noreferrer"
            className={classes(tool, "max-lg:hidden")}
            title={WORDS.presentTitle}
          >
            <MonitorPlay size={16} /> {WORDS.present}
          </a>
        )}
        <button type="button" className={tool} onClick={onKeys} aria-label={WORDS.keys} title={WORDS.keys2}>
          ?
        </button>
      </div>
    </section>
  );
}
