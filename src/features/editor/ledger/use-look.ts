import { type KeyboardEvent, useCallback, useEffect, useMemo, useRef, useState } from "react";
import { COLUMN_ROOM, type LedgerColumn, type LedgerColumns, moveColumn, widenColumn } from "@/core/ledger/columns";
import { isFiltered, LOOK_AT_ALL, type LookAt, lookedAt } from "@/core/ledger/look-at";
import { orderOf, rowsOf } from "@/core/timeline/order";
import type { TimelineEvent } from "@/core/timeline/timeline";
import { askServer } from "@/ui/ask-server";
import { useEditor, useEditorState } from "../store/editor-context";
import { plainTextIn } from "../words";
import { rowSources } from "./cell-deeds";
import type { GridColumn } from "./grid-place";

/** What of a timeline is looked at in the ledger, in which order and columns. */
export interface LedgerLook {
  /** The events that are shown, in their order here. */
  events: readonly TimelineEvent[];
  /** How many there are in all. */
  total: number;
  at: LookAt;
  set: (part: Partial<LookAt>) => void;
  isFiltered: boolean;
  isSorted: boolean;
  toAll: () => void;
  toTimeOrder: () => void;
  /** Whether the chart shows no other events. */
  follows: boolean;
  setFollows: (on: boolean) => void;
  columns: LedgerColumns;
  setColumns: (columns: LedgerColumns) => void;
  /** By columns: up, down, as it was. */
  sortBy: (column: LedgerColumn) => void;
  /** By just this column and way; upwards by their dates they stand in the order of time. */
  sortAs: (column: LedgerColumn, down: boolean) => void;
  /** What a key does on a column's name; true: it did something. */
  headerKey: (k: KeyboardEvent, column: GridColumn) => boolean;
  /** Asks who wrote what; by account, once it is known. */
  askWriters: () => void;
  writers: ReadonlyMap<string, string> | null;
}

const STEP_PX = 16;
const SAVE_MS = 300;

export function useLook(begun: LedgerColumns): LedgerLook {
  const { store } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const seq = useEditorState((s) => s.waiting);
  const [at, setAt] = useState<LookAt>(LOOK_AT_ALL);
  const [follows, setFollows] = useState(false);
  const [columns, setOwn] = useState(begun);
  const [writers, setWriters] = useState<ReadonlyMap<string, string> | null>(null);

  const rows = rowsOf(timeline.events);
  const order = orderOf(timeline.events);
  const events = useMemo(() => {
    // Chapters stand between the events in the order of time only.
    if (!isFiltered(at) && !at.sort) return rows;
    return lookedAt(
      {
        ...rowSources(timeline),
        plainText: plainTextIn,
        // What was added since one asked is one's own until the answer comes.
        writerOf: (id) => writers?.get(id) ?? store.account,
      },
      order,
      at,
    );
  }, [rows, order, at, timeline, writers, store]);

  const askWriters = useCallback(() => {
    if (store.isLocal) return;
    void askServer<{ writers: [string, string][] }>("GET", `/api/timelines/${store.timelineId}/writers`).then(
      (answer) => {
        if (answer.ok) setWriters(new Map(answer.value.writers));
        else store.say(answer.sentence);
      },
    );
  }, [store]);
  // Others add events too: who wrote them is asked again while one looks at some by who wrote them.
  const byPeople = at.people.length > 0;
  const count = order.length;
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked when events come, or were confirmed
  useEffect(() => {
    if (byPeople && seq === 0) askWriters();
  }, [byPeople, count, seq === 0]);

  // Columns are kept by person, once one has come to rest.
  const saving = useRef<ReturnType<typeof setTimeout> | null>(null);
  /** As they are now: keys follow each other faster than they are drawn. */
  const own = useRef(begun);
  /** One is kept after the other, so that the last one stays. */
  const kept = useRef(Promise.resolve());
  const setColumns = useCallback(
    (next: LedgerColumns) => {
      own.current = next;
      setOwn(next);
      // Without an account it is as it is until the page goes.
      if (store.isLocal) return;
      if (saving.current) clearTimeout(saving.current);
      saving.current = setTimeout(() => {
        kept.current = kept.current.then(async () => {
          const answer = await askServer("PUT", "/api/account/ledger", own.current);
          if (!answer.ok) store.say(answer.sentence);
        });
      }, SAVE_MS);
    },
    [store],
  );
  const sortBy = useCallback(
    (column: LedgerColumn) =>
      setAt((now) => {
        const { sort } = now;
        if (column === "when") return { ...now, sort: sort?.column === "when" ? null : { column, down: true } };
        if (sort?.column !== column) return { ...now, sort: { column, down: false } };
        return { ...now, sort: sort.down ? null : { column, down: true } };
      }),
    [],
  );
  const sortAs = useCallback(
    (column: LedgerColumn, down: boolean) =>
      setAt((now) => ({ ...now, sort: column === "when" && !down ? null : { column, down } })),
    [],
  );
  const headerKey = (k: KeyboardEvent, column: GridColumn): boolean => {
    if (column === "mark" || column === "more" || (k.key !== "ArrowLeft" && k.key !== "ArrowRight")) return false;
    const way = k.key === "ArrowRight" ? 1 : -1;
    const now = own.current;
    if (k.altKey) setColumns(moveColumn(now, column, way));
    else if (k.shiftKey)
      setColumns(widenColumn(now, column, (now.widths[column] ?? COLUMN_ROOM[column].min) + way * STEP_PX));
    else return false;
    return true;
  };
  return {
    events,
    total: order.length,
    at,
    set: (part) => setAt((now) => ({ ...now, ...part })),
    isFiltered: isFiltered(at),
    isSorted: at.sort !== null,
    toAll: () => setAt((now) => ({ ...LOOK_AT_ALL, sort: now.sort })),
    toTimeOrder: () => setAt((now) => ({ ...now, sort: null })),
    follows,
    setFollows,
    columns,
    setColumns,
    sortBy,
    sortAs,
    headerKey,
    askWriters,
    writers,
  };
}
