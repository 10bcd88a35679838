"use client";

import { CornerDownRight, MoreHorizontal, PanelRightOpen } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import { memo, type ReactNode, type RefObject, useEffect, useRef, useState } from "react";
import { lineOf, mediaText } from "@/core/ledger/cell-text";
import { COUNTED, type LedgerColumn } from "@/core/ledger/columns";
import { HereAt } from "../presence/here";
import { SignMark } from "../sheet/sign-field";
import type { Manner } from "@/core/time/write-when";
import { whenLabel } from "@/core/time/write-when";
import type { Category, Item, TimelineEvent } from "@/core/timeline/timeline";
import { COLUMN_NAMES, WORDS } from "@/core/words/editor-ledger";
import { Mark } from "../mark";
import { classes } from "@/ui/classes";
import { wordsIn } from "../words";
import type { After } from "./cell-editor";
import { CellEditor, type Choice } from "./cell-editor";
import type { GridColumn } from "./grid-place";
import { Grip } from "./row-drag";

/** What rows ask of the ledger they stand in. */
export interface RowTools {
  commit: (id: string, column: LedgerColumn, text: string) => string | null;
  end: (id: string, column: LedgerColumn, after: After) => void;
  choices: (id: string, column: LedgerColumn) => ((text: string) => readonly Choice[]) | null;
  mark: (id: string, on: boolean, upTo: boolean) => void;
  open: (id: string) => void;
  menu: (id: string, what: "before" | "after" | "chapter" | "duplicate" | "delete") => void;
  textOf: (id: string, column: LedgerColumn) => string;
}

export interface RowProps {
  event: TimelineEvent;
  /** Its place among the rows, from 0. */
  index: number;
  measure: ((row: HTMLElement | null) => void) | undefined;
  columns: readonly LedgerColumn[];
  template: string;
  /** Nothing can be changed. */
  readOnly: boolean;
  /** As a card: only some columns, under each other. */
  card: boolean;
  category: Category | undefined;
  media: readonly Item[];
  /** Its sources, a line each. */
  sources: string;
  links: readonly Item[];
  manner: Manner;
  language: string;
  selected: boolean;
  marked: boolean;
  /** Where one stands in this row. */
  active: GridColumn | null;
  /** The columns of a block in this row, by their first and last number. */
  from: number;
  to: number;
  editing: { column: LedgerColumn; typed: string | null } | null;
  /** How deep it lies within others; and what it is part of, "" for nothing. */
  depth: number;
  whole: string;
  /** Where what is being dragged would go. */
  drop: "before" | "after" | "into" | null;
  tools: RowTools;
}

const INDENT = ["", "ps-2", "ps-5", "ps-8"];

/** One event: its cells, the box that marks it, and what else can be done with it. */
export const LedgerRow = memo(function LedgerRow(p: RowProps) {
  const { event: e, tools } = p;
  const name = e.title || WORDS.untitled;
  return (
    <div
      role="row"
      tabIndex={-1}
      ref={p.measure}
      data-row={e.id}
      data-drop={p.drop ?? undefined}
      data-index={p.index}
      aria-rowindex={p.index + 2}
      aria-selected={p.selected}
      style={p.card ? undefined : { gridTemplateColumns: p.template }}
      className={classes(
        // The header of the columns sticks to the top: no row is brought into view under it.
        "group/row relative scroll-mt-9 border-b border-line outline-none",
        p.card
          ? "grid grid-cols-[44px_minmax(0,1fr)_auto] items-start py-1.5 pe-2"
          : "grid min-w-fit [contain-intrinsic-size:auto_33px] [content-visibility:auto]",
        e.chapter && "bg-panel",
        p.selected && "bg-sun-wash",
        p.marked && "bg-verdigris-wash",
        p.drop === "into" && "outline-2 -outline-offset-2 outline-sun",
        p.drop === "before" && "shadow-[inset_0_3px_0_#F2B632]",
        p.drop === "after" && "shadow-[inset_0_-3px_0_#F2B632]",
      )}
    >
      <HereAt event={e.id} />
      {p.readOnly ? null : <Grip id={e.id} name={name} />}
      <div role="gridcell" aria-colindex={1} className="flex items-center justify-center ps-[13px]">
        {p.readOnly ? null : (
          <input
            type="checkbox"
            data-col="mark"
            tabIndex={p.active === "mark" ? 0 : -1}
            aria-label={WORDS.mark(name)}
            checked={p.marked}
            onChange={() => {}}
            onClick={(x) => tools.mark(e.id, !p.marked, x.shiftKey)}
            className={classes(
              "size-4 shrink-0 accent-verdigris max-sm:size-6",
              !p.marked && p.active !== "mark" && "opacity-0 group-hover/row:opacity-100 pointer-coarse:opacity-100",
            )}
          />
        )}
      </div>
      <CardStack card={p.card}>
        {p.columns.map((column, i) => (
          <Cell key={column} {...p} column={column} at={i + 1} name={name} />
        ))}
      </CardStack>
      <div
        role="gridcell"
        aria-colindex={p.columns.length + 2}
        className="flex items-center justify-end gap-0.5 pe-1.5"
      >
        <button
          type="button"
          tabIndex={-1}
          aria-label={WORDS.open(name)}
          title={WORDS.openTheEventSheet}
          className="flex min-h-6 min-w-6 items-center justify-center rounded-md p-1 font-bold hover:bg-verdigris-wash max-sm:min-h-11 max-sm:border max-sm:border-edge max-sm:bg-white max-sm:px-3 max-sm:text-[14px]"
          onClick={() => tools.open(e.id)}
        >
          <PanelRightOpen size={16} aria-hidden className="max-sm:hidden" />
          <span className="sm:hidden">{WORDS.open2}</span>
        </button>
        {p.readOnly ? null : <RowMenu event={e} name={name} active={p.active === "more"} tools={tools} />}
      </div>
    </div>
  );
});

/** A card shows its cells under each other; a row has them side by side. */
function CardStack({ card, children }: { card: boolean; children: ReactNode }) {
  return card ? <div className="flex min-w-0 flex-col">{children}</div> : children;
}

function Cell(p: RowProps & { column: LedgerColumn; at: number; name: string }) {
  const { event: e, column, tools } = p;
  const editing = p.editing?.column === column ? p.editing : null;
  const inBlock = p.at >= p.from && p.at <= p.to && p.to > 0;
  const misread = column === "when" && e.when.readAs.kind === "not_understood";
  const locked = COUNTED.has(column) || (e.locked && (column === "when" || column === "title"));
  return (
    <div
      role="gridcell"
      data-col={column}
      tabIndex={p.active === column && !editing ? 0 : -1}
      aria-colindex={p.at + 1}
      aria-selected={inBlock || undefined}
      aria-readonly={locked || undefined}
      aria-invalid={misread || undefined}
      className={classes(
        "relative flex min-h-8 min-w-0 scroll-m-9 items-center gap-1.5 px-1.5 text-[14px] focus-visible:z-[1] focus-visible:outline-2 focus-visible:-outline-offset-2 focus-visible:shadow-none",
        p.card && "min-h-7",
        inBlock && "bg-sun/20",
        (column === "when" || column === "title") && "font-bold",
        column === "title" && INDENT[Math.min(p.depth, 3)],
        misread && "text-copper-dark",
      )}
    >
      {editing ? (
        <CellEditor
          label={WORDS.cellOf(COLUMN_NAMES[column], p.name)}
          column={column}
          value={tools.textOf(e.id, column)}
          typed={editing.typed}
          live={column === "title" || column === "shortTitle" || column === "place" || column === "note"}
          choices={tools.choices(e.id, column)}
          lang={p.language}
          onCommit={(text) => tools.commit(e.id, column, text)}
          onEnd={(after) => tools.end(e.id, column, after)}
        />
      ) : (
        <Content {...p} misread={misread} />
      )}
    </div>
  );
}

/** What is shown of a chapter. */
const CHAPTER_COLUMNS: ReadonlySet<LedgerColumn> = new Set(["when", "title", "words", "note"]);

function Content(p: RowProps & { column: LedgerColumn; name: string; misread: boolean }) {
  const { event: e, column } = p;
  const plain = (text: string, empty = "") => (
    <span className={classes("truncate", text === "" && "font-normal text-quiet")}>{text || empty}</span>
  );
  if (e.chapter && !CHAPTER_COLUMNS.has(column)) return null;
  switch (column) {
    case "when":
      if (e.chapter) return <span className="text-[13px] font-normal text-quiet">{WORDS.chapter}</span>;
      return (
        <>
          {plain(whenLabel(e.when, p.manner), WORDS.noDateYet)}
          {p.misread ? (
            <button
              type="button"
              tabIndex={-1}
              className="min-h-6 shrink-0 text-[12px] font-bold text-copper-dark underline"
              onClick={() => p.tools.open(e.id)}
            >
              {WORDS.notUnderstood}
            </button>
          ) : null}
        </>
      );
    case "title":
      return (
        <>
          {p.depth > 0 ? <CornerDownRight size={13} aria-hidden className="shrink-0 text-quiet" /> : null}
          <span
            lang={p.language}
            className={classes("truncate", !e.title && "font-normal text-quiet", e.chapter && "font-head text-[15px]")}
          >
            {e.title || WORDS.untitled}
          </span>
        </>
      );
    case "category":
      return (
        <>
          {p.category ? <Mark colour={p.category.colour} pattern={p.category.pattern} width={20} /> : null}
          {plain(p.category?.name ?? "")}
        </>
      );
    case "partOf":
      return plain(p.whole);
    case "tags":
      return (
        <span className="flex min-w-0 gap-1 overflow-hidden">
          {e.tags.map((t) => (
            <span key={t} className="shrink-0 rounded-sm border border-line bg-panel px-1 text-[13px]">
              {t}
            </span>
          ))}
        </span>
      );
    case "media":
      return plain(mediaText(p.media));
    case "words": {
      const n = wordsIn(e.description);
      return plain(n > 0 ? WORDS.words(n) : "");
    }
    case "source":
    case "link": {
      const lines = column === "source" ? p.sources.split("\n").filter(Boolean) : p.links.map(lineOf);
      return (
        <>
          {plain(lines[0] ?? "")}
          {lines.length > 1 ? <span className="shrink-0 text-[13px] text-quiet">+{lines.length - 1}</span> : null}
        </>
      );
    }
    case "emphasis":
      return plain(e.emphasis ? WORDS.yes : "");
    case "sign":
      return e.sign === "" ? null : (
        <>
          <SignMark sign={e.sign} size={15} />
          {plain(e.sign)}
        </>
      );
    case "done":
      return plain(e.done === null ? "" : `${e.done} %`);
    default:
      return plain(e[column].replaceAll("\n", " "));
  }
}

/** The button of a row's menu. The menu itself comes when it is opened: hundreds of closed ones would be most of what a ledger costs. */
function RowMenu(p: { event: TimelineEvent; name: string; active: boolean; tools: RowTools }) {
  const [open, setOpen] = useState<"press" | "key" | null>(null);
  const button = useRef<HTMLButtonElement>(null);
  return (
    <>
      <button
        ref={button}
        type="button"
        data-col="more"
        tabIndex={p.active ? 0 : -1}
        aria-label={WORDS.moreAbout(p.name)}
        aria-haspopup="menu"
        aria-expanded={open !== null}
        className="relative rounded-md p-1.5 hover:bg-verdigris-wash"
        onClick={(e) => setOpen(e.detail === 0 ? "key" : "press")}
        onKeyDown={(e) => {
          if (e.key !== "ArrowDown" || e.altKey || e.shiftKey || e.ctrlKey || e.metaKey) return;
          e.preventDefault();
          e.stopPropagation();
          setOpen("key");
        }}
      >
        <MoreHorizontal size={18} />
      </button>
      {open ? <OpenRowMenu {...p} by={open} button={button} onClose={() => setOpen(null)} /> : null}
    </>
  );
}

function OpenRowMenu({
  event: e,
  name,
  tools,
  by,
  button,
  onClose,
}: {
  event: TimelineEvent;
  name: string;
  tools: RowTools;
  by: "press" | "key";
  button: RefObject<HTMLButtonElement | null>;
  onClose: () => void;
}) {
  /** What was chosen is done when the menu has gone, so that the focus it gives stays; else the row has it again. */
  const chosen = useRef<(() => void) | null>(null);
  const [open, setOpen] = useState(true);
  const menu = useRef<HTMLDivElement>(null);
  // Opened by a key, its first line has the focus.
  useEffect(() => {
    if (by === "press") return;
    const frame = requestAnimationFrame(() => menu.current?.querySelector<HTMLElement>("[role=menuitem]")?.focus());
    return () => cancelAnimationFrame(frame);
  }, [by]);
  const item = (text: string, run: () => void) => (
    <DropdownMenu.Item
      className="cursor-pointer rounded px-2.5 py-1.5 outline-none data-[highlighted]:bg-verdigris-wash"
      onSelect={() => {
        chosen.current = run;
      }}
    >
      {text}
    </DropdownMenu.Item>
  );
  return (
    <DropdownMenu.Root open={open} onOpenChange={setOpen}>
      {/* Where the menu hangs: over the row's own button. */}
      <DropdownMenu.Trigger asChild>
        <span
          aria-hidden
          tabIndex={-1}
          className="pointer-events-none absolute end-1.5 top-1/2 size-7 -translate-y-1/2"
        />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          ref={menu}
          align="end"
          aria-label={WORDS.moreAbout(name)}
          aria-labelledby={undefined}
          onCloseAutoFocus={(x) => {
            x.preventDefault();
            if (chosen.current) chosen.current();
            else button.current?.focus();
            onClose();
          }}
          className="z-50 min-w-44 rounded-md border border-line bg-white p-1 text-[14px]"
        >
          {item(WORDS.openTheEventSheet, () => tools.open(e.id))}
          {item(WORDS.insertBefore, () => tools.menu(e.id, "before"))}
          {item(WORDS.insertAfter, () => tools.menu(e.id, "after"))}
          {item(WORDS.insertChapter, () => tools.menu(e.id, "chapter"))}
          {item(WORDS.duplicate, () => tools.menu(e.id, "duplicate"))}
          {e.given ? null : item(WORDS.delete, () => tools.menu(e.id, "delete"))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
