"use client";

import { WORDS } from "@/core/words/en/editor-ledger";
import { CornerDownRight, MoreHorizontal, PanelRightOpen } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import { memo, type ReactNode, useMemo, useRef, useState } from "react";
import { whenLabel } from "@/core/time/write-when";
import { inOrder } from "@/core/timeline/order";
import { wholesFor, wholesOf } from "@/core/timeline/parts";
import { mannerOf } from "@/core/timeline/read-options";
import { type Category, categoriesOf, type Item, type TimelineEvent } from "@/core/timeline/timeline";
import { classes } from "@/ui/classes";
import { CategoryMark } from "@/ui/category-mark";
import { useEditor, useEditorState } from "../store/editor-context";
import { dateEvent, insertBeside, moveByKey } from "../store/event-deeds";
import { CELL, CellInput } from "./cell-input";
import { Grip, RowDrag } from "./row-drag";
import { useLedgerRows } from "./ledger-rows";
import { wordsIn } from "../words";

/** Columns by the room there is: all, without description and source beside an open sheet, cards on a phone. */
const COLUMNS =
  "grid grid-cols-[minmax(0,1.2fr)_minmax(0,1.6fr)_60px] gap-2 @2xl:grid-cols-[minmax(150px,0.9fr)_minmax(150px,1.4fr)_170px_90px_60px] @5xl:grid-cols-[190px_minmax(160px,1fr)_170px_150px_90px_80px_minmax(90px,0.5fr)_60px]";

/** The events as a table that one can type in; as cards on a phone. */
export function Ledger({ selected }: { selected: string | null }) {
  const timeline = useEditorState((s) => s.timeline);
  const events = useMemo(() => inOrder(timeline.events.values()), [timeline.events]);
  const categories = useMemo(() => categoriesOf(timeline), [timeline]);
  const items = useMemo(() => {
    const of = new Map<string, Item[]>();
    for (const i of timeline.items.values()) if (!i.deleted) of.set(i.of, [...(of.get(i.of) ?? []), i]);
    return of;
  }, [timeline.items]);
  const wholes = useMemo(() => wholesOf(timeline.events), [timeline.events]);
  const depthOf = (id: string) => {
    let depth = 0;
    for (let at = wholes.get(id); at !== undefined; at = wholes.get(at)) depth++;
    return depth;
  };
  const nameOf = (id: string | undefined) => (id === undefined ? "" : timeline.events.get(id)?.title || "Untitled");
  const body = useRef<HTMLDivElement>(null);
  const rows = useLedgerRows(events, selected, body);
  // What the dragging adds for screen readers stands beside the table, not in it.
  return (
    <RowDrag body={body}>
      {(drop) => (
        <div
          ref={body}
          role="table"
          aria-label={WORDS.ledger}
          aria-rowcount={events.length + 1}
          className="@container text-[14px]"
          data-testid="ledger"
        >
          <div
            role="row"
            className={classes(
              COLUMNS,
              "sticky top-0 z-[2] border-b border-line bg-white px-[14px] py-1.5 text-[13px] text-quiet @max-2xl:hidden",
            )}
          >
            {["When", "Title", "Category", WORDS.partOf, "Media", "Description", "Source"].map((h, i) => (
              <span key={h} role="columnheader" className={classes("px-1", (i === 3 || i > 4) && "@max-5xl:hidden")}>
                {h}
              </span>
            ))}
            <span role="columnheader" className="sr-only">
              {WORDS.more}
            </span>
          </div>
          {rows.shown.map((e, i) =>
            typeof e === "number" ? (
              // biome-ignore lint/suspicious/noArrayIndexKey: room has no name
              <div key={`room ${i}`} aria-hidden style={{ height: e }} />
            ) : (
              <Row
                key={e.id}
                event={e}
                index={rows.indexOf(e)}
                measure={rows.measure}
                categories={categories}
                items={items.get(e.id) ?? NONE}
                selected={e.id === selected}
                depth={depthOf(e.id)}
                whole={nameOf(wholes.get(e.id))}
                drop={drop?.id === e.id ? drop.where : null}
              />
            ),
          )}
        </div>
      )}
    </RowDrag>
  );
}

const NONE: Item[] = [];

const Row = memo(function Row({
  event: e,
  index,
  measure,
  categories,
  items,
  selected,
  depth,
  whole,
  drop,
}: {
  event: TimelineEvent;
  /** Its place among all events, from 0. */
  index: number;
  measure: ((row: HTMLElement | null) => void) | undefined;
  categories: readonly Category[];
  items: readonly Item[];
  selected: boolean;
  /** How deep it lies within others; and what it is part of, "" for nothing. */
  depth: number;
  whole: string;
  /** Where what is being dragged would go. */
  drop: "before" | "after" | "into" | null;
}) {
  const { store, select, begin } = useEditor();
  /** What was chosen is done when the menu has gone, so that the focus it gives stays; else the row has it again. */
  const chosen = useRef<(() => void) | null>(null);
  const choose = (run: () => void) => () => {
    chosen.current = run;
  };
  const manner = useEditorState((s) => mannerOf(s.timeline));
  const category = categories.find((c) => c.id === e.category);
  const media = items.filter((i) => i.list === "media");
  const source = items.find((i) => i.list === "source");
  const name = e.title || "Untitled";
  const misread = e.when.readAs.kind === "not_understood";
  return (
    <div
      role="row"
      ref={measure}
      data-row={e.id}
      data-index={index}
      aria-rowindex={index + 2}
      aria-selected={selected}
      // What lies in the row's menu is elsewhere on the page: its focus is not the row's.
      onFocus={(x) => {
        if (x.currentTarget.contains(x.target)) select(e.id);
      }}
      // In a field two clicks choose a word; anywhere else in the row they open its event.
      onDoubleClick={(x) => {
        if (!(x.target as HTMLElement).closest("input, select, button")) select(e.id, true);
      }}
      onKeyDown={(k) => {
        if (!k.altKey || !moveByKey(store, e.id, k.key)) return;
        k.preventDefault();
        k.stopPropagation();
      }}
      className={classes(
        COLUMNS,
        // The header of the columns sticks to the top: no row is brought into view under it.
        "group/row relative scroll-mt-9 items-center border-b border-line px-[14px] py-0.5 [contain-intrinsic-size:auto_35px] [content-visibility:auto] @max-2xl:grid-cols-[minmax(0,1fr)_auto] @max-2xl:gap-y-0 @max-2xl:px-3 @max-2xl:py-2",
        selected && "bg-sun-wash",
        drop === "into" && "outline-2 -outline-offset-2 outline-sun",
        drop === "before" && "shadow-[inset_0_3px_0_#F2B632]",
        drop === "after" && "shadow-[inset_0_-3px_0_#F2B632]",
      )}
    >
      <Grip id={e.id} name={name} />
      <Cell className="font-bold @max-2xl:col-start-1">
        <CellInput
          label={WORDS.when(name)}
          locked={e.locked}
          value={e.when.typed}
          shown={whenLabel(e.when, manner)}
          className={misread ? "text-copper-dark" : "text-slate"}
          placeholder={WORDS.noDateYet}
          onCommit={(typed) => dateEvent(store, e.id, typed)}
        />
        {misread ? (
          <button
            type="button"
            className="ml-1 min-h-6 text-[12px] font-bold text-copper-dark underline"
            onClick={() => select(e.id, true)}
          >
            {WORDS.notUnderstood}
          </button>
        ) : null}
      </Cell>
      <Cell className={classes("flex items-center font-bold @max-2xl:col-start-1", INDENT[Math.min(depth, 3)])}>
        {depth > 0 ? <CornerDownRight size={13} aria-hidden className="shrink-0 text-quiet" /> : null}
        <CellInput
          label={WORDS.title2(whenLabel(e.when, manner) || WORDS.noDate)}
          value={e.title}
          live
          locked={e.locked}
          placeholder={WORDS.untitled}
          onCommit={(title) =>
            store.edit([{ kind: "set_event", id: e.id, field: "title", value: title }], `title:${e.id}`)
          }
        />
      </Cell>
      <Cell className="flex items-center gap-1.5 @max-2xl:col-start-1">
        {category ? <CategoryMark colour={category.colour} pattern={category.pattern} width={20} /> : null}
        <select
          aria-label={WORDS.category2(name)}
          value={category?.id ?? ""}
          className={classes(CELL, "max-w-[150px]")}
          onChange={(x) =>
            store.edit([{ kind: "set_event", id: e.id, field: "category", value: x.target.value || null }])
          }
        >
          <option value="">{WORDS.none}</option>
          {categories.map((c) => (
            <option key={c.id} value={c.id}>
              {c.name}
            </option>
          ))}
        </select>
      </Cell>
      <Cell className="@max-5xl:hidden">
        <PartOfCell event={e} name={name} whole={whole} />
      </Cell>
      <Cell className="truncate px-1 @max-2xl:hidden">{mediaWords(media)}</Cell>
      <Cell className="px-1 @max-5xl:hidden">
        {wordsIn(e.description) > 0 ? WORDS.words(wordsIn(e.description)) : "–"}
      </Cell>
      <Cell className="truncate px-1 @max-5xl:hidden">{source ? source.text || source.address : "–"}</Cell>
      <Cell className="flex items-center gap-1 @max-2xl:col-start-2 @max-2xl:row-span-3 @max-2xl:row-start-1">
        <button
          type="button"
          aria-label={WORDS.open(name)}
          title={WORDS.openTheEventSheet}
          className="flex min-h-6 min-w-6 items-center justify-center rounded-md p-1 font-bold hover:bg-verdigris-wash max-sm:min-h-11 max-sm:border max-sm:border-edge max-sm:px-3 max-sm:text-[14px]"
          onClick={() => select(e.id, true)}
        >
          <PanelRightOpen size={16} aria-hidden className="max-sm:hidden" />
          <span className="sm:hidden">{WORDS.open2}</span>
        </button>
        <DropdownMenu.Root>
          <DropdownMenu.Trigger aria-label={WORDS.moreAbout(name)} className="rounded-md p-1.5 hover:bg-verdigris-wash">
            <MoreHorizontal size={18} />
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content
              align="end"
              onCloseAutoFocus={(x) => {
                if (chosen.current) x.preventDefault();
                chosen.current?.();
                chosen.current = null;
              }}
              className="z-50 min-w-44 rounded-md border border-line bg-white p-1 text-[14px]"
            >
              <Choice run={choose(() => select(e.id, true))}>{WORDS.openTheEventSheet}</Choice>
              <Choice run={choose(() => begin(insertBeside(store, e.id, "before")))}>{WORDS.insertBefore}</Choice>
              <Choice run={choose(() => begin(insertBeside(store, e.id, "after")))}>{WORDS.insertAfter}</Choice>
              {e.given ? null : (
                <Choice run={choose(() => store.edit([{ kind: "delete_event", id: e.id }]))}>{WORDS.delete}</Choice>
              )}
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      </Cell>
    </div>
  );
});

const INDENT = ["", "pl-2", "pl-5", "pl-8"];

/** What an event is part of. The choices are looked up when one is about to choose. */
function PartOfCell({ event, name, whole }: { event: TimelineEvent; name: string; whole: string }) {
  const { store } = useEditor();
  const [asked, setAsked] = useState(false);
  const { holding, others } = asked ? wholesFor(store.getState().timeline, event.id) : { holding: [], others: [] };
  const now = whole ? (event.partOf ?? "") : "";
  const listed = [...holding, ...others];
  return (
    <select
      aria-label={WORDS.partOf2(name)}
      value={now}
      className={classes(CELL, "max-w-[150px]")}
      onFocus={() => setAsked(true)}
      onPointerDown={() => setAsked(true)}
      onBlur={() => setAsked(false)}
      onChange={(x) =>
        store.edit([{ kind: "set_event", id: event.id, field: "partOf", value: x.target.value || null }])
      }
    >
      <option value="">{WORDS.nothing}</option>
      {now && !listed.some((e) => e.id === now) ? <option value={now}>{whole}</option> : null}
      {listed.map((e) => (
        <option key={e.id} value={e.id}>
          {e.title || WORDS.untitled}
        </option>
      ))}
    </select>
  );
}

function Choice({ run, children }: { run: () => void; children: ReactNode }) {
  return (
    <DropdownMenu.Item
      className="cursor-pointer rounded px-2.5 py-1.5 outline-none data-[highlighted]:bg-verdigris-wash"
      onSelect={run}
    >
      {children}
    </DropdownMenu.Item>
  );
}

function Cell({ children, className }: { children: ReactNode; className?: string }) {
  return (
    <div role="cell" className={classes("min-w-0", className)}>
      {children}
    </div>
  );
}

function mediaWords(media: readonly Item[]): string {
  const count = (kind: Item["kind"], one: string) => {
    const n = media.filter((m) => m.kind === kind).length;
    return n === 0 ? [] : [`${n} ${one}${n === 1 ? "" : "s"}`];
  };
  return [...count("picture", "picture"), ...count("video", "video"), ...count("sound", "sound")].join(", ") || "–";
}
