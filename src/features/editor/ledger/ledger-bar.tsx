"use client";

import { ArrowLeft, ArrowRight, BookMarked, Columns3, Filter, Search, TableProperties } from "lucide-react";
import { type ReactNode, useEffect, useId, useState } from "react";
import { type LedgerColumn, LEDGER_COLUMNS, moveColumn, showColumn, USUAL_COLUMNS } from "@/core/ledger/columns";
import { LACKS, tagsIn } from "@/core/ledger/look-at";
import { categoriesOf } from "@/core/timeline/timeline";
import { COLUMN_NAMES, WORDS } from "@/core/words/editor-ledger";
import { Mark } from "../mark";
import { classes } from "@/ui/classes";
import { CheckRow } from "@/ui/controls/check-row";
import { INPUT } from "@/ui/controls/field";
import { useEditor, useEditorState } from "../store/editor-context";
import type { Block } from "./grid-place";
import { BAR_BUTTON, Menu } from "./bar-menu";
import { ManyRows } from "./many-rows";
import { TakeOutButton } from "./take-out-button";
import type { LedgerLook } from "./use-look";
import type { Marks } from "./use-marks";

/** Over the ledger: which events are looked at, in which columns; while several rows are chosen, what is done with them all. */
export function LedgerBar({
  look,
  card,
  marks,
  rowsOf,
  block,
  onChapter,
}: {
  look: LedgerLook;
  card: boolean;
  marks: Marks;
  rowsOf: () => string[];
  block: Block | null;
  /** Makes a chapter; null where none can be made now. */
  onChapter: (() => void) | null;
}) {
  const rows = block ? block.bottom - block.top + 1 : marks.marked.size;
  return (
    <section
      aria-label={WORDS.lookAt}
      className="flex min-h-8 shrink-0 flex-wrap items-center gap-x-2 border-b border-line bg-panel px-[14px] text-[14px] max-sm:px-2"
    >
      {marks.marked.size > 0 || rows > 1 ? (
        <ManyRows rows={rows} ids={rowsOf} marked={!block && marks.marked.size > 0} onDone={marks.clear} />
      ) : (
        <Looking look={look} card={card} onChapter={onChapter} />
      )}
    </section>
  );
}

function Looking({ look, card, onChapter }: { look: LedgerLook; card: boolean; onChapter: (() => void) | null }) {
  const { bringIn } = useEditor();
  const mayEdit = useEditorState((s) => s.saving !== "right_lost" && s.saving !== "signed_out");
  const searchId = useId();
  const [text, setText] = useState(look.at.text);
  // A large timeline is looked through when the typing rests.
  // biome-ignore lint/correctness/useExhaustiveDependencies: another text looks anew
  useEffect(() => {
    if (text === look.at.text) return;
    const rest = setTimeout(() => look.set({ text }), 150);
    return () => clearTimeout(rest);
  }, [text]);
  useEffect(() => setText(look.at.text), [look.at.text]);
  return (
    <>
      <label htmlFor={searchId} className="sr-only">
        {WORDS.wordsToLookFor}
      </label>
      <span className="relative flex w-[210px] min-w-24 shrink items-center max-sm:w-auto max-sm:flex-1">
        <Search size={14} aria-hidden className="absolute start-2 text-quiet" />
        <input
          id={searchId}
          type="search"
          value={text}
          placeholder={WORDS.wordsAnywhere}
          className="h-7 w-full rounded-md border border-edge bg-white ps-7 pe-1 text-[14px] placeholder:text-[#5d7479] max-sm:h-11"
          onChange={(e) => setText(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === "Escape") {
              setText("");
              look.set({ text: "" });
            }
          }}
        />
      </span>
      <LookMenu look={look} card={card} />
      {card ? null : <ColumnsMenu look={look} />}
      {onChapter ? (
        <button type="button" className={BAR_BUTTON} title={WORDS.newChapter} onClick={onChapter}>
          <BookMarked size={15} aria-hidden /> {WORDS.chapter}
        </button>
      ) : null}
      {mayEdit ? (
        <button type="button" className={BAR_BUTTON} title={WORDS.bringInHint} onClick={() => bringIn()}>
          <TableProperties size={15} aria-hidden /> <span className="max-sm:sr-only">{WORDS.bringIn}</span>
        </button>
      ) : null}
      <span aria-live="polite" className="truncate text-quiet">
        {look.isFiltered ? WORDS.shownOf(look.events.length, look.total) : ""}
      </span>
      {look.isFiltered ? (
        <>
          <button type="button" className={BAR_BUTTON} onClick={look.toAll}>
            {WORDS.showAll}
          </button>
          <CheckRow label={WORDS.chartFollows} checked={look.follows} onChange={look.setFollows} />
        </>
      ) : null}
      {look.at.sort ? (
        <button
          type="button"
          className={classes(BAR_BUTTON, "ms-auto bg-sun-wash")}
          title={WORDS.altT}
          onClick={look.toTimeOrder}
        >
          {WORDS.sortedBy(COLUMN_NAMES[look.at.sort.column])}: {WORDS.backToTime.toLowerCase()}
        </button>
      ) : null}
      {/* At the far end: in the middle the divider's buttons reach into the bar. */}
      <span className={look.at.sort ? "flex" : "ms-auto flex"}>
        <TakeOutButton some={look.isFiltered ? { ids: look.events.map((e) => e.id), chosen: false } : null} />
      </span>
    </>
  );
}

function toggled<T>(list: readonly T[], value: T): T[] {
  return list.includes(value) ? list.filter((v) => v !== value) : [...list, value];
}

function LookMenu({ look, card }: { look: LedgerLook; card: boolean }) {
  const { store } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const editors = useEditorState((s) => s.editors);
  const { at } = look;
  const lit = at.categories.length + at.tags.length + at.people.length + at.lacks.length > 0;
  const part = (heading: string, list: ReactNode[]) =>
    list.length === 0 ? null : (
      <fieldset className="mb-2.5">
        <legend className="mb-1 text-[13px] text-quiet">{heading}</legend>
        <div className="flex flex-col gap-1">{list}</div>
      </fieldset>
    );
  return (
    <Menu label={WORDS.look} icon={<Filter size={15} aria-hidden />} lit={lit} onOpen={look.askWriters}>
      {card ? <SortFields look={look} /> : null}
      {part(
        WORDS.thatLack,
        LACKS.map((l) => (
          <CheckRow
            key={l}
            label={WORDS.lacks[l]}
            checked={at.lacks.includes(l)}
            onChange={() => look.set({ lacks: toggled(at.lacks, l) })}
          />
        )),
      )}
      {part(
        COLUMN_NAMES.category,
        [...categoriesOf(timeline), null].map((c) => (
          <span key={c?.id ?? ""} className="flex items-center gap-1.5">
            <CheckRow
              label={c ? c.name : WORDS.withoutCategory}
              checked={at.categories.includes(c?.id ?? "")}
              onChange={() => look.set({ categories: toggled(at.categories, c?.id ?? "") })}
            />
            {c ? <Mark colour={c.colour} pattern={c.pattern} width={18} /> : null}
          </span>
        )),
      )}
      {part(
        WORDS.withTag,
        tagsIn(timeline.events.values()).map(({ tag, events }) => (
          <CheckRow
            key={tag}
            label={`${tag} (${events})`}
            checked={at.tags.includes(tag.toLowerCase())}
            onChange={() => look.set({ tags: toggled(at.tags, tag.toLowerCase()) })}
          />
        )),
      )}
      {editors.length > 1
        ? part(
            WORDS.writtenBy,
            editors.map((e) => (
              <CheckRow
                key={e.id}
                label={e.id === store.account ? `${e.displayName} (${WORDS.you})` : e.displayName}
                checked={at.people.includes(e.id)}
                onChange={() => look.set({ people: toggled(at.people, e.id) })}
              />
            )),
          )
        : null}
    </Menu>
  );
}

/** The order the rows are looked at in, where there is no head of columns to press. */
function SortFields({ look }: { look: LedgerLook }) {
  const { sort } = look.at;
  const column = sort?.column ?? "when";
  return (
    <fieldset className="mb-2.5">
      <legend className="mb-1 text-[13px] text-quiet">{WORDS.sortRowsBy}</legend>
      <select
        aria-label={WORDS.sortRowsBy}
        className={classes(INPUT, "mb-1 min-h-11")}
        value={column}
        onChange={(e) => look.sortAs(e.target.value as LedgerColumn, sort?.down ?? false)}
      >
        {LEDGER_COLUMNS.map((c) => (
          <option key={c} value={c}>
            {COLUMN_NAMES[c]}
          </option>
        ))}
      </select>
      <CheckRow label={WORDS.lastOnTop} checked={sort?.down ?? false} onChange={(down) => look.sortAs(column, down)} />
    </fieldset>
  );
}

/** Which columns there are, and in which order: those that are shown first. */
function ColumnsMenu({ look }: { look: LedgerLook }) {
  const { columns, setColumns } = look;
  const rest = LEDGER_COLUMNS.filter((c) => !columns.shown.includes(c));
  const row = (c: LedgerColumn, at: number) => (
    <li key={c} className="flex items-center gap-1">
      <CheckRow label={COLUMN_NAMES[c]} checked={at >= 0} onChange={(on) => setColumns(showColumn(columns, c, on))} />
      {at >= 0 ? (
        <span className="ms-auto flex">
          {([-1, 1] as const).map((way) => (
            <button
              key={way}
              type="button"
              aria-label={way < 0 ? WORDS.earlierColumn(COLUMN_NAMES[c]) : WORDS.laterColumn(COLUMN_NAMES[c])}
              disabled={at + way < 0 || at + way >= columns.shown.length}
              className="flex size-6 items-center justify-center rounded hover:bg-verdigris-wash disabled:opacity-25"
              onClick={() => setColumns(moveColumn(columns, c, way))}
            >
              {way < 0 ? <ArrowLeft size={14} /> : <ArrowRight size={14} />}
            </button>
          ))}
        </span>
      ) : null}
    </li>
  );
  return (
    <Menu label={WORDS.columns} icon={<Columns3 size={15} aria-hidden />}>
      <ul aria-label={WORDS.columnsShown} className="flex flex-col gap-1">
        {columns.shown.map((c, i) => row(c, i))}
        {rest.map((c) => row(c, -1))}
      </ul>
      <button type="button" className={classes(BAR_BUTTON, "mt-2")} onClick={() => setColumns(USUAL_COLUMNS)}>
        {WORDS.columnsAsUsual}
      </button>
    </Menu>
  );
}
