"use client";

// Long because keys, pointer and clipboard of a grid all speak of one place, the block around it and what is being written there.

import {
  type ClipboardEvent,
  type KeyboardEvent,
  type PointerEvent,
  useCallback,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
} from "react";
import { COLUMN_ROOM, COUNTED, type LedgerColumn } from "@/core/ledger/columns";
import { cellText } from "@/core/ledger/cell-text";
import { wholesOf } from "@/core/timeline/parts";
import { mannerOf } from "@/core/timeline/read-options";
import { categoriesOf, type Item, itemsByOwner } from "@/core/timeline/timeline";
import { referencesText } from "@/core/sources/cited";
import { WORDS } from "@/core/words/editor-ledger";
import { Button } from "@/ui/controls/button";
import { dropMedia } from "../media/on-their-way";
import { useEditor, useEditorState } from "../store/editor-context";
import { insertBeside, insertChapter, moveByKey } from "../store/event-deeds";
import { duplicateEvents } from "../store/many-events";
import {
  clearCells,
  cellsOn,
  endsOf,
  fillDown,
  fillIn,
  putOnClipboard,
  rowSources,
  textsOf,
  typeInto,
} from "./cell-deeds";
import {
  blockOf,
  type GridColumn,
  HEADER,
  isOneCell,
  ownColumns,
  type Place,
  type Standing,
  stepped,
  type Way,
} from "./grid-place";
import { choicesFor } from "./choices";
import { LedgerBar } from "./ledger-bar";
import { LedgerHeader } from "./ledger-header";
import { LedgerRow, type RowTools } from "./ledger-row";
import { useLedgerRows } from "./ledger-rows";
import type { LedgerLook } from "./use-look";
import { RowDrag } from "./row-drag";
import { useMarks } from "./use-marks";

/** Narrower than this rows are cards, px. */
const CARDS = 600;
const CARD_COLUMNS: readonly LedgerColumn[] = ["when", "title", "category"];
const NONE: readonly Item[] = [];

const WAYS: Record<string, Way> = {
  ArrowUp: "up",
  ArrowDown: "down",
  ArrowLeft: "left",
  ArrowRight: "right",
  Home: "rowStart",
  End: "rowEnd",
  PageUp: "pageUp",
  PageDown: "pageDown",
};

/**
 * The events as a grid that one lives in (WAI-ARIA grid): one tab stop, arrow keys between cells, typing begins, blocks of cells go
 * to and from a clipboard. As cards where there is little room.
 */
export function Ledger({ selected, look }: { selected: string | null; look: LedgerLook }) {
  const { store, uploads, select, begin } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const mayEdit = useEditorState((s) => s.saving !== "right_lost" && s.saving !== "signed_out");
  const events = look.events;
  const body = useRef<HTMLDivElement>(null);
  const scroll = useRef<HTMLDivElement>(null);
  const [card, setCard] = useState(false);
  useEffect(() => {
    const watch = new ResizeObserver(([e]) => setCard(e!.contentRect.width < CARDS));
    watch.observe(scroll.current!);
    return () => watch.disconnect();
  }, []);

  // What rows show, looked up once for all of them.
  // biome-ignore-start lint/correctness/useExhaustiveDependencies: a change of something else alters none of these
  const items = useMemo(() => itemsByOwner(timeline), [timeline.items]);
  const categories = useMemo(() => new Map(categoriesOf(timeline).map((c) => [c.id, c])), [timeline.categories]);
  const wholes = useMemo(() => wholesOf(timeline.events), [timeline.events]);
  const manner = useMemo(() => mannerOf(timeline), [timeline.dateStyle, timeline.timesOn]);
  // biome-ignore-end lint/correctness/useExhaustiveDependencies: until here
  const columns = card ? CARD_COLUMNS : look.columns.shown;
  const template = useMemo(
    () =>
      `38px ${columns
        .map((c) => {
          const width = look.columns.widths[c];
          return width ? `${width}px` : `minmax(${COLUMN_ROOM[c].min}px, ${COLUMN_ROOM[c].share}fr)`;
        })
        .join(" ")} 66px`,
    [columns, look.columns.widths],
  );
  const room = 104 + columns.reduce((sum, c) => sum + (look.columns.widths[c] ?? COLUMN_ROOM[c].min), 0);
  const shape = useMemo(() => {
    const rows = events.map((e) => e.id);
    const all: GridColumn[] = mayEdit ? ["mark", ...columns, "more"] : [...columns];
    return { rows, rowAt: new Map(rows.map((id, i) => [id, i])), columns: all };
  }, [events, columns, mayEdit]);

  const [standing, setStanding] = useState<Standing>(() => {
    const at: Place = { row: events[0]?.id ?? HEADER, column: "when" };
    return { active: at, anchor: at };
  });
  const [editing, setEditing] = useState<{ row: string; column: LedgerColumn; typed: string | null } | null>(null);
  const marks = useMarks(shape.rows);
  const { marked } = marks;
  /** After a Tab out of a written cell Tab goes on through the row. */
  const tabbing = useRef(false);
  /** A pointer is held down on the grid. */
  const pressed = useRef(false);
  /** The focus goes where one stands after the next drawing. */
  const wantsFocus = useRef(false);

  // Where one stands may have gone: deleted, filtered away, a column no longer shown.
  const at = useMemo<Standing>(() => {
    const there = (p: Place): Place => ({
      row: p.row === HEADER || shape.rowAt.has(p.row) ? p.row : (shape.rows[0] ?? HEADER),
      column: shape.columns.includes(p.column) ? p.column : (columns[0] ?? "when"),
    });
    return { active: there(standing.active), anchor: there(standing.anchor) };
  }, [standing, shape, columns]);
  const rows = useLedgerRows(events, at.active.row === HEADER ? null : at.active.row, body, pressed);
  const block = blockOf(at, shape);

  const focusActive = useCallback(() => {
    const { row, column } = latest.current.at.active;
    const within = row === HEADER ? "[data-header]" : `[data-row="${CSS.escape(row)}"]`;
    const cell = body.current?.querySelector<HTMLElement>(`${within} [data-col="${column}"]`);
    cell?.focus({ preventScroll: true });
    if (!pressed.current) cell?.scrollIntoView({ block: "nearest", inline: "nearest" });
  }, []);
  useLayoutEffect(() => {
    if (!wantsFocus.current || editing) return;
    wantsFocus.current = false;
    focusActive();
  });

  /** Stands somewhere else; the event there is the selected one. */
  const stand = useCallback(
    (to: Standing, focus = true) => {
      setStanding(to);
      wantsFocus.current = focus;
      if (to.active.row !== HEADER) select(to.active.row);
    },
    [select],
  );
  // What is selected elsewhere is where one stands here, once: whoever has gone on to the names of the columns stays there.
  const stoodFor = useRef<string | null>(null);
  useEffect(() => {
    if (!selected) stoodFor.current = null;
    if (!selected || stoodFor.current === selected || !shape.rowAt.has(selected)) return;
    stoodFor.current = selected;
    setStanding((now) => {
      if (now.active.row === selected) return now;
      const active = { ...now.active, row: selected };
      return { active, anchor: active };
    });
  }, [selected, shape.rowAt]);

  const latest = useRef({ at, shape, editing, marked, mayEdit });
  latest.current = { at, shape, editing, marked, mayEdit };

  const beginEdit = useCallback(
    (place: Place, typed: string | null) => {
      const { column, row } = place;
      if (column === "mark" || column === "more" || row === HEADER || !latest.current.mayEdit) return;
      const event = store.getState().timeline.events.get(row);
      if (!event) return;
      if (COUNTED.has(column) || (event.chapter && column !== "title" && column !== "note")) return select(row, true);
      if (event.locked && (column === "title" || column === "when")) return store.say(WORDS.givenLeft(1));
      if (column === "emphasis") {
        const yes = typed === null ? !event.emphasis : /^[y1x!t]/i.test(typed);
        const problem = typeInto(store, row, column, yes ? "yes" : "");
        if (problem) store.say(problem);
        return;
      }
      setStanding({ active: place, anchor: place });
      setEditing({ row, column, typed });
    },
    [store, select],
  );

  // One object for all rows, so that a row is drawn again only when something of its own has changed.
  const tools = useMemo<RowTools>(
    () => ({
      textOf: (id, column) => {
        const { timeline: t } = store.getState();
        return cellText(rowSources(t), t.events.get(id)!, column);
      },
      commit: (id, column, text) => {
        return typeInto(store, id, column, text, `cell:${id}:${column}`);
      },
      end: (id, column, after) => {
        setEditing(null);
        const { shape: now } = latest.current;
        const from: Place = { row: id, column };
        tabbing.current = after === "right" || after === "left";
        if (after === "open") return select(id, true);
        if (after === "stay") {
          // The focus comes back unless it has gone elsewhere by itself.
          if (body.current?.contains(document.activeElement)) stand({ active: from, anchor: from });
          return;
        }
        const rowAt = now.rowAt.get(id) ?? 0;
        if (after === "down" && rowAt >= now.rows.length - 1) {
          document.getElementById("next-event")?.focus();
          return;
        }
        stand(stepped({ active: from, anchor: from }, after, false, now));
      },
      choices: (id, column) => choicesFor(store.getState().timeline, id, column),
      mark: (id, on, upTo) => marks.mark(id, on, upTo),
      open: (id) => select(id, true),
      menu: (id, what) => {
        if (what === "delete") store.edit([{ kind: "delete_event", id }]);
        else if (what === "duplicate") {
          const [made] = duplicateEvents(store, [id]);
          if (made) select(made);
        } else if (what === "chapter") begin(insertChapter(store, id));
        else begin(insertBeside(store, id, what));
      },
    }),
    [store, select, begin, stand, marks.mark],
  );

  /** The rows that commands are for: those marked, else those of the block. */
  const rowsOf = (): string[] => {
    if (block && !isOneCell(block)) return shape.rows.slice(block.top, block.bottom + 1);
    if (marked.size > 0) return shape.rows.filter((id) => marked.has(id));
    return block ? [shape.rows[block.top]!] : [];
  };
  const columnsOf = (): LedgerColumn[] =>
    block && (!isOneCell(block) || marked.size === 0) ? ownColumns(block, shape.columns) : [...columns];

  const keys = (k: KeyboardEvent<HTMLDivElement>) => {
    const target = k.target as HTMLElement;
    if (editing || k.defaultPrevented || !target.closest("[data-col]")) return;
    const command = k.ctrlKey || k.metaKey;
    const { active } = at;
    const done = () => {
      k.preventDefault();
      k.stopPropagation();
    };
    if (active.row === HEADER && look.headerKey(k, active.column)) return done();
    if (k.altKey && !command && active.row !== HEADER && /^Arrow/.test(k.key)) {
      if (look.isSorted) store.say(WORDS.sortedSoOrderStays);
      else moveByKey(store, active.row, k.key);
      wantsFocus.current = true;
      return done();
    }
    if (k.altKey && k.code === "KeyT") {
      look.toTimeOrder();
      return done();
    }
    if (k.altKey) return;
    const way = command && k.key === "Home" ? "first" : command && k.key === "End" ? "last" : WAYS[k.key];
    if (way && !(command && /^Arrow/.test(k.key))) {
      tabbing.current = false;
      const next = stepped(at, way, k.shiftKey, shape);
      const last = active.row === shape.rows.at(-1);
      if (way === "down" && last && !k.shiftKey) document.getElementById("next-event")?.focus();
      else stand(next);
      return done();
    }
    if (command && /^Arrow/.test(k.key)) {
      const ends: Record<string, Way> = {
        ArrowUp: "pageUp",
        ArrowDown: "pageDown",
        ArrowLeft: "rowStart",
        ArrowRight: "rowEnd",
      };
      const column = active.column;
      const row = k.key === "ArrowUp" ? shape.rows[0] : k.key === "ArrowDown" ? shape.rows.at(-1) : undefined;
      const to = row ? { row, column } : null;
      stand(to ? { active: to, anchor: k.shiftKey ? at.anchor : to } : stepped(at, ends[k.key]!, k.shiftKey, shape));
      return done();
    }
    if (k.key === "Tab" && tabbing.current) {
      const next = stepped(at, k.shiftKey ? "left" : "right", false, shape);
      if (next.active.column === at.active.column) return;
      stand(next);
      return done();
    }
    if (k.key === "Escape") {
      if (block && !isOneCell(block)) stand({ active, anchor: active });
      else if (marked.size > 0) marks.clear();
      else return;
      return done();
    }
    if (command && k.key.toLowerCase() === "a") {
      const [first, last] = [shape.rows[0], shape.rows.at(-1)];
      if (first && last)
        stand({ active: { row: last, column: columns.at(-1)! }, anchor: { row: first, column: columns[0]! } }, false);
      wantsFocus.current = true;
      return done();
    }
    if (k.key === " " && (k.shiftKey || command) && active.row !== HEADER) {
      if (k.shiftKey) for (const id of rowsOf()) marks.mark(id, !marked.has(active.row), false);
      else if (shape.rows.length > 0)
        stand({
          active: { row: shape.rows.at(-1)!, column: active.column },
          anchor: { row: shape.rows[0]!, column: active.column },
        });
      return done();
    }
    if (active.column === "mark" || active.column === "more" || active.row === HEADER) return;
    if (command && k.key.toLowerCase() === "d") {
      const list = rowsOf();
      const above = list.length === 1 ? shape.rows[(shape.rowAt.get(list[0]!) ?? 0) - 1] : undefined;
      fillDown(store, above ? [above, ...list] : list, columnsOf());
      return done();
    }
    if (k.key === "Enter" && k.shiftKey) {
      select(active.row, true);
      return done();
    }
    if (k.key === "Enter" || k.key === "F2") {
      beginEdit(active, null);
      return done();
    }
    if ((k.key === "Delete" || k.key === "Backspace") && !command) {
      if (mayEdit) clearCells(store, rowsOf(), columnsOf());
      return done();
    }
    if (command) return;
    if (k.key === " " && active.column === "emphasis") {
      beginEdit(active, null);
      return done();
    }
    // A word that an input method is about to write goes into the cell, too.
    if (k.key === "Process" || k.nativeEvent.isComposing) return beginEdit(active, "");
    if (k.key.length === 1 && k.key !== " ") {
      beginEdit(active, k.key);
      return done();
    }
  };

  // ------------------------------------------------------------ pointers
  const press = useRef<{ again: boolean; place: Place; moved: boolean } | null>(null);
  const placeAt = (target: EventTarget | Element | null): Place | null => {
    const cell = (target as Element | null)?.closest<HTMLElement>("[role=gridcell][data-col]");
    const row = cell?.closest<HTMLElement>("[data-row]");
    if (!cell || !row || !body.current?.contains(row)) return null;
    return { row: row.dataset.row!, column: cell.dataset.col as GridColumn };
  };
  const down = (e: PointerEvent) => {
    const place = placeAt(e.target);
    press.current = null;
    if (!place || e.button !== 0 || (e.target as Element).closest("input, textarea, button")) return;
    const isActive =
      at.active.row === place.row &&
      at.active.column === place.column &&
      (document.activeElement as HTMLElement | null)?.dataset.col === place.column;
    press.current = { again: isActive && block !== null && isOneCell(block) && !e.shiftKey, place, moved: false };
    if (e.pointerType === "touch") return;
    if (e.shiftKey) e.preventDefault();
    stand({ active: place, anchor: e.shiftKey ? at.anchor : place });
  };
  const drawn = (e: PointerEvent) => {
    const from = press.current;
    if (!from || e.buttons !== 1 || e.pointerType === "touch") return;
    const place = placeAt(document.elementFromPoint(e.clientX, e.clientY));
    if (!place || (place.row === at.active.row && place.column === at.active.column)) return;
    from.moved = true;
    window.getSelection()?.removeAllRanges();
    stand({ active: place, anchor: from.place });
  };
  const click = (e: { target: EventTarget }) => {
    const from = press.current;
    press.current = null;
    const place = placeAt(e.target);
    if (!from || from.moved || !place || (e.target as Element).closest("button")) return;
    if (from.again) beginEdit(place, null);
    else if (at.active.row !== place.row || at.active.column !== place.column) stand({ active: place, anchor: place });
  };

  // ------------------------------------------------------------ clipboard
  const isOurs = (e: ClipboardEvent) =>
    !editing && !(e.target as Element).closest("input:not([type=checkbox]), textarea") && block !== null;
  const copy = (e: ClipboardEvent) => {
    if (!isOurs(e)) return;
    e.preventDefault();
    putOnClipboard(e.clipboardData, textsOf(timeline, rowsOf(), columnsOf()));
  };
  const cut = (e: ClipboardEvent) => {
    if (!isOurs(e)) return;
    copy(e);
    if (mayEdit) clearCells(store, rowsOf(), columnsOf());
  };
  const [reading, setReading] = useState<{ done: number; total: number } | null>(null);
  const wanted = useRef(true);
  const paste = (e: ClipboardEvent) => {
    if (!isOurs(e) || !mayEdit || !block) return;
    e.preventDefault();
    const cells = cellsOn(e.clipboardData);
    if (!cells) return store.say(WORDS.nothingToPaste);
    const own = columns.slice(Math.max(0, block.left - 1));
    // One cell goes into all cells of a block.
    const one = cells.length === 1 && cells[0]!.length === 1 && !isOneCell(block);
    const rowsFrom = shape.rows.slice(block.top);
    wanted.current = true;
    const total = cells.length;
    void fillIn(
      store,
      one
        ? { rows: rowsOf(), columns: columnsOf(), cells: rowsOf().map(() => columnsOf().map(() => cells[0]![0]!)) }
        : { rows: rowsFrom, columns: own, cells },
      { read: (done) => setReading({ done, total }), wanted: () => wanted.current },
    ).then((filled) => {
      setReading(null);
      if (!filled || filled.length === 0 || one) return;
      const wide = Math.min(own.length, Math.max(...cells.map((r) => r.length)));
      const [first, last] = look.isSorted || look.isFiltered ? [filled[0]!, filled[0]!] : endsOf(store, filled);
      setStanding({
        anchor: { row: first, column: own[0]! },
        active: { row: last, column: own[wide - 1] ?? own[0]! },
      });
    });
  };

  const nameOf = (id: string | undefined) => (id === undefined ? "" : timeline.events.get(id)?.title || WORDS.untitled);
  const depthOf = (id: string) => {
    let depth = 0;
    for (let up = wholes.get(id); up !== undefined; up = wholes.get(up)) depth++;
    return depth;
  };
  return (
    <>
      <LedgerBar
        look={look}
        card={card}
        marks={marks}
        rowsOf={rowsOf}
        block={mayEdit && block && !isOneCell(block) ? block : null}
        onChapter={mayEdit && !look.isSorted && !look.isFiltered ? () => begin(insertChapter(store, selected)) : null}
      />
      {reading ? (
        <div role="status" className="flex items-center gap-3 border-b border-line bg-sun-wash px-4 py-1.5 text-[14px]">
          {WORDS.readingRows(reading.done, reading.total)}
          <progress value={reading.done} max={reading.total} className="h-2 flex-1" />
          <Button
            size="small"
            onClick={() => {
              wanted.current = false;
            }}
          >
            {WORDS.stopReading}
          </Button>
        </div>
      ) : null}
      <div ref={scroll} className="min-h-0 flex-1 overflow-auto" data-ledger-scroll>
        {/* What the dragging adds for screen readers stands beside the grid, not in it. */}
        <RowDrag body={body} sorted={look.isSorted}>
          {(drop) => (
            <div
              ref={body}
              role="grid"
              aria-label={WORDS.ledger}
              aria-multiselectable
              aria-rowcount={events.length + 1}
              aria-colcount={columns.length + 2}
              aria-readonly={!mayEdit || undefined}
              className="text-[14px] select-none"
              style={card ? undefined : { minWidth: room }}
              data-testid="ledger"
              onDrop={(e) => {
                const of = (e.target as Element).closest<HTMLElement>("[data-row]")?.dataset.row;
                if (uploads && of && dropMedia(uploads, of, e.dataTransfer.files)) e.preventDefault();
              }}
              onKeyDown={keys}
              onPointerDownCapture={() => {
                pressed.current = true;
                const free = () => {
                  pressed.current = false;
                  document.removeEventListener("pointerup", free, true);
                  document.removeEventListener("pointercancel", free, true);
                };
                document.addEventListener("pointerup", free, true);
                document.addEventListener("pointercancel", free, true);
              }}
              onPointerDown={down}
              onPointerMove={drawn}
              onClick={click}
              onCopy={copy}
              onCut={cut}
              onPaste={paste}
              onFocus={(e) => {
                // What has the focus by a press or by a screen reader is where one stands.
                const row = (e.target as Element).closest<HTMLElement>("[data-row]")?.dataset.row;
                const column = (e.target as HTMLElement).dataset.col as GridColumn | undefined;
                if (!row || !body.current?.contains(e.target as Node)) return;
                if (row !== at.active.row || (column && column !== at.active.column && !press.current)) {
                  const active: Place = { row, column: column ?? at.active.column };
                  setStanding((now) => (press.current ? now : { active, anchor: active }));
                }
                if (row !== selected) select(row);
              }}
            >
              <LedgerHeader
                columns={columns}
                template={template}
                card={card}
                look={look}
                marks={marks}
                active={at.active.row === HEADER ? at.active.column : null}
                readOnly={!mayEdit}
              />
              {rows.shown.map((e, i) =>
                typeof e === "number" ? (
                  // biome-ignore lint/suspicious/noArrayIndexKey: room has no name
                  <div key={`room ${i}`} aria-hidden style={{ height: e }} />
                ) : (
                  <LedgerRow
                    key={e.id}
                    event={e}
                    index={rows.indexOf(e)}
                    measure={card ? rows.measure : undefined}
                    columns={columns}
                    template={template}
                    card={card}
                    readOnly={!mayEdit}
                    category={categories.get(e.category ?? "")}
                    media={columns.includes("media") ? items(e.id, "media") : NONE}
                    sources={columns.includes("source") ? referencesText(timeline.sources, items(e.id, "source")) : ""}
                    links={columns.includes("link") ? items(e.id, "link") : NONE}
                    manner={manner}
                    language={timeline.language}
                    selected={e.id === selected}
                    marked={marked.has(e.id)}
                    active={at.active.row === e.id ? at.active.column : null}
                    {...blockIn(block, rows.indexOf(e), mayEdit)}
                    editing={editing?.row === e.id ? editing : null}
                    depth={depthOf(e.id)}
                    whole={nameOf(wholes.get(e.id))}
                    drop={drop?.id === e.id ? drop.where : null}
                    tools={tools}
                  />
                ),
              )}
            </div>
          )}
        </RowDrag>
        {events.length === 0 && timeline.events.size > 0 && look.isFiltered ? (
          <p className="px-5 py-4 text-quiet">
            {WORDS.noneFits}{" "}
            <button type="button" className="font-bold text-verdigris underline" onClick={look.toAll}>
              {WORDS.showAll}
            </button>
          </p>
        ) : null}
      </div>
    </>
  );
}

/** The columns of a block in a row; of one cell there is none to show. */
function blockIn(block: ReturnType<typeof blockOf>, row: number, marked: boolean): { from: number; to: number } {
  if (!block || isOneCell(block) || row < block.top || row > block.bottom) return { from: 0, to: -1 };
  // Without boxes to mark rows the columns begin at the first.
  const before = marked ? 0 : 1;
  return { from: block.left + before, to: block.right + before };
}
