"use client";

import { WORDS } from "@/core/words/editor-chart";
import { ArrowLeft, ArrowRight, LogOut, PencilLine, Redo2, Trash2, Undo2 } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { whenLabel } from "@/core/time/write-when";
import { mannerOf } from "@/core/timeline/read-options";
import type { TimelineEvent } from "@/core/timeline/timeline";
import { classes } from "@/ui/classes";
import { ChartPane } from "./chart-pane";
import { useEditor, useEditorState } from "../store/editor-context";
import { dateEvent, isWithoutDate, moveByKey } from "../store/event-deeds";
import { Hint } from "@/ui/controls/hint";
import { Notices } from "../notices";
import { savingText, TitleText } from "../top-bar";

const LARGE =
  "flex h-14 min-w-14 items-center justify-center gap-2 rounded-md border border-edge bg-white px-4 text-[20px] font-bold hover:bg-verdigris-wash disabled:opacity-40";
const LARGE_FIELD = "h-14 min-w-0 rounded-md border border-edge bg-white px-4 text-[24px]";

/**
 * The editor on an interactive whiteboard: the chart in large type, tapped to add and dragged to move, with what can be done
 * in one row of large buttons. Nothing needs to be hovered over, pressed twice or with another button.
 */
export function Board({
  selected,
  hidden,
  onLeave,
}: {
  selected: string | null;
  hidden: ReadonlySet<string>;
  onLeave: () => void;
}) {
  const { store, select } = useEditor();
  const event = useEditorState((s) => (selected ? s.timeline.events.get(selected) : undefined));
  const canUndo = useEditorState((s) => s.canUndo);
  const canRedo = useEditorState((s) => s.canRedo);
  const saving = useEditorState((s) => s.saving);
  const isKept = useEditorState((s) => s.isKept);
  const chosen = event && !event.deleted ? event : null;
  return (
    <div className="flex h-dvh flex-col overflow-hidden">
      <header className="flex h-14 shrink-0 items-center gap-4 bg-slate px-[18px] text-white">
        <h1 className="min-w-0 truncate font-head text-[26px] font-[650]">
          <TitleText />
        </h1>
        <span role="status" data-testid="saving" className="ms-auto text-[18px] whitespace-nowrap">
          {savingText(saving, store.isLocal, isKept)}
        </span>
      </header>
      <Notices />
      <main className="relative min-h-0 flex-1">
        <ChartPane selected={selected} hidden={hidden} board />
      </main>
      {chosen ? <Chosen key={chosen.id} event={chosen} /> : null}
      <section
        aria-label={WORDS.board}
        className="flex shrink-0 flex-wrap items-center gap-3 border-t border-line bg-panel p-2"
      >
        <button
          type="button"
          className={LARGE}
          disabled={!canUndo}
          aria-label={WORDS.undo}
          onClick={() => store.undo()}
        >
          <Undo2 size={28} />
        </button>
        <button
          type="button"
          className={LARGE}
          disabled={!canRedo}
          aria-label={WORDS.redo}
          onClick={() => store.redo()}
        >
          <Redo2 size={28} />
        </button>
        <div className="min-w-0 flex-1">
          {chosen ? null : (
            <Hint name="board" large>
              {WORDS.tapWhereAnEventBelongs}
            </Hint>
          )}
        </div>
        {chosen ? (
          <button type="button" className={LARGE} onClick={() => select(null)}>
            {WORDS.done}
          </button>
        ) : null}
        <button type="button" className={LARGE} onClick={onLeave}>
          <LogOut size={26} /> {WORDS.leaveTheBoard}
        </button>
        {chosen && !chosen.given ? (
          <button
            type="button"
            className={classes(LARGE, "border-copper text-copper-dark")}
            onClick={() => store.edit([{ kind: "delete_event", id: chosen.id }])}
          >
            <Trash2 size={26} /> {WORDS.delete}
          </button>
        ) : null}
      </section>
    </div>
  );
}

/** The chosen event's words in large fields, and what can be done with it. */
function Chosen({ event }: { event: TimelineEvent }) {
  const { store } = useEditor();
  const manner = useEditorState((s) => mannerOf(s.timeline));
  const [typed, setTyped] = useState<string | null>(null);
  const title = useRef<HTMLInputElement>(null);
  const isNew = event.title === "";
  useEffect(() => {
    if (isNew) title.current?.focus();
  }, [isNew]);
  const commit = (text: string) => {
    setTyped(null);
    if (text === event.when.typed) return;
    dateEvent(store, event.id, text);
  };
  const undated = isWithoutDate(store, event.id);
  return (
    <section
      aria-label={WORDS.chosenEvent}
      className="flex shrink-0 flex-wrap items-center gap-3 border-t border-line bg-sun-wash p-2"
    >
      <PencilLine size={26} aria-hidden className="text-quiet" />
      <input
        aria-label={WORDS.title}
        ref={title}
        className={classes(LARGE_FIELD, "flex-[2] font-bold")}
        value={event.title}
        readOnly={event.locked}
        placeholder={WORDS.whatHappened}
        onChange={(e) =>
          store.edit([{ kind: "set_event", id: event.id, field: "title", value: e.target.value }], `title:${event.id}`)
        }
      />
      <input
        aria-label={WORDS.when}
        className={classes(LARGE_FIELD, "flex-1")}
        value={typed ?? (whenLabel(event.when, manner) || event.when.typed)}
        readOnly={event.locked}
        placeholder={WORDS.noDateYet}
        onFocus={() => setTyped(event.when.typed)}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={(e) => commit(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === "Enter" && !e.nativeEvent.isComposing) e.currentTarget.blur();
        }}
      />
      {undated ? (
        <>
          <button type="button" className={LARGE} onClick={() => moveByKey(store, event.id, "ArrowUp")}>
            <ArrowLeft size={28} /> {WORDS.earlier}
          </button>
          <button type="button" className={LARGE} onClick={() => moveByKey(store, event.id, "ArrowDown")}>
            {WORDS.later} <ArrowRight size={28} />
          </button>
        </>
      ) : null}
    </section>
  );
}
