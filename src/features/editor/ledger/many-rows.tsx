"use client";

import { WORDS as COMMON } from "@/core/words/common";

import { CalendarClock, Copy, CopyPlus, PencilLine, Trash2 } from "lucide-react";
import { useId, useMemo, useState } from "react";
import { tagsIn } from "@/core/ledger/look-at";
import type { Shift } from "@/core/time/shift";
import { MOST_TAG } from "@/core/timeline/fields";
import { SIGNS } from "@/core/timeline/looks";
import { orderOf } from "@/core/timeline/order";
import { categoriesOf } from "@/core/timeline/timeline";
import { COLUMN_NAMES, WORDS } from "@/core/words/editor-ledger";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { INPUT } from "@/ui/controls/field";
import { OnceSaved } from "../once-saved";
import { useEditor, useEditorState } from "../store/editor-context";
import { deleteEvents, duplicateEvents, type ManyField, moveDates, setMany } from "../store/many-events";
import { BAR_BUTTON, Menu } from "./bar-menu";
import { TakeOutButton } from "./take-out-button";

/** What is done with several rows at once: each is one change, and one undo. */
export function ManyRows({
  rows,
  ids,
  marked,
  onDone,
}: {
  rows: number;
  ids: () => string[];
  /** Whether rows are marked; else they are those of a block. */
  marked: boolean;
  onDone: () => void;
}) {
  const { store, select } = useEditor();
  return (
    <>
      <strong aria-live="polite">{marked ? WORDS.rowsMarked(rows) : WORDS.rowsChosen(rows)}</strong>
      <Menu label={WORDS.changeAll} icon={<PencilLine size={15} aria-hidden />}>
        {(close) => <ChangeAll ids={ids} onDone={close} />}
      </Menu>
      <Menu label={WORDS.moveDates} icon={<CalendarClock size={15} aria-hidden />}>
        {(close) => <MoveDates ids={ids} onDone={close} />}
      </Menu>
      <button
        type="button"
        className={BAR_BUTTON}
        onClick={() => {
          const [first] = duplicateEvents(store, ids());
          onDone();
          if (first) select(first);
        }}
      >
        <CopyPlus size={15} aria-hidden /> {WORDS.duplicate}
      </button>
      {store.isLocal ? null : <CopyTo ids={ids} />}
      <TakeOutButton some={() => ({ ids: ids(), chosen: true })} />
      <button
        type="button"
        className={BAR_BUTTON}
        onClick={() => {
          const stayed = deleteEvents(store, ids());
          if (stayed > 0) store.say(WORDS.givenNotDeleted(stayed));
          onDone();
        }}
      >
        <Trash2 size={15} aria-hidden /> {WORDS.delete}
      </button>
      {marked ? (
        <button type="button" className={`${BAR_BUTTON} ms-auto`} onClick={onDone}>
          {WORDS.unmark}
        </button>
      ) : null}
    </>
  );
}

const fields = (): [ManyField, string][] => [
  ["category", COLUMN_NAMES.category],
  ["partOf", COLUMN_NAMES.partOf],
  ["emphasis", COLUMN_NAMES.emphasis],
  ["sign", COLUMN_NAMES.sign],
  ["addTag", WORDS.addTag],
  ["takeTag", WORDS.takeTag],
  ["done", COLUMN_NAMES.done],
];

function ChangeAll({ ids, onDone }: { ids: () => string[]; onDone: () => void }) {
  const { store } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const [field, setField] = useState<ManyField>("category");
  const [value, setValue] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const [fieldId, valueId, listId] = [useId(), useId(), useId()];
  const choices = useMemo((): [string, string][] | null => {
    switch (field) {
      case "category":
        return [["", WORDS.none], ...categoriesOf(timeline).map((c): [string, string] => [c.id, c.name])];
      case "partOf": {
        const spans = orderOf(timeline.events).filter((e) => e.when.readAs.kind === "span");
        return [["", WORDS.none], ...spans.map((e): [string, string] => [e.id, e.title || WORDS.untitled])];
      }
      case "emphasis":
        return [
          ["yes", WORDS.yes],
          ["", COMMON.no],
        ];
      case "sign":
        return [["", WORDS.none], ...SIGNS.map((s): [string, string] => [s, s])];
      default:
        return null;
    }
  }, [field, timeline]);
  const run = () => {
    const text = value.trim();
    if ((field === "addTag" || field === "takeTag") && text === "") return;
    const number = Math.round(Number(text));
    if (field === "done" && text !== "" && !(number >= 0 && number <= 100)) {
      setProblem(WORDS.notAValue("done", text));
      return;
    }
    const refused = setMany(
      store,
      ids(),
      field,
      field === "emphasis"
        ? value === "yes"
        : field === "done"
          ? text === ""
            ? null
            : number
          : field === "category" || field === "partOf"
            ? value || null
            : text,
    );
    setProblem(refused);
    if (!refused) onDone();
  };
  return (
    <form
      className="flex flex-col gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        run();
      }}
    >
      <label htmlFor={fieldId} className="text-[13px] text-quiet">
        {WORDS.whatToChange}
      </label>
      <select
        id={fieldId}
        className={INPUT}
        value={field}
        onChange={(e) => {
          setField(e.target.value as ManyField);
          setValue(e.target.value === "emphasis" ? "yes" : "");
          setProblem(null);
        }}
      >
        {fields().map(([f, name]) => (
          <option key={f} value={f}>
            {name}
          </option>
        ))}
      </select>
      <label htmlFor={valueId} className="text-[13px] text-quiet">
        {WORDS.to}
      </label>
      {choices ? (
        <select id={valueId} className={INPUT} value={value} onChange={(e) => setValue(e.target.value)}>
          {choices.map(([v, name]) => (
            <option key={v} value={v}>
              {name}
            </option>
          ))}
        </select>
      ) : (
        <>
          <input
            id={valueId}
            className={INPUT}
            value={value}
            maxLength={MOST_TAG}
            list={field === "done" ? undefined : listId}
            inputMode={field === "done" ? "numeric" : undefined}
            onChange={(e) => setValue(e.target.value)}
          />
          <datalist id={listId}>
            {tagsIn(timeline.events.values()).map(({ tag }) => (
              <option key={tag} value={tag} />
            ))}
          </datalist>
        </>
      )}
      {problem ? (
        <p role="alert" className="font-bold text-copper-dark">
          {problem}
        </p>
      ) : null}
      <Button kind="main" type="submit">
        {WORDS.change}
      </Button>
    </form>
  );
}

const UNITS = Object.keys(WORDS.units) as Shift["unit"][];

function MoveDates({ ids, onDone }: { ids: () => string[]; onDone: () => void }) {
  const { store } = useEditor();
  const [amount, setAmount] = useState("1");
  const [unit, setUnit] = useState<Shift["unit"]>("years");
  const [amountId, unitId] = [useId(), useId()];
  const n = Math.round(Number(amount));
  const valid = Number.isFinite(n) && n > 0 && n <= 1_000_000;
  const run = (way: 1 | -1) => {
    const done = moveDates(store, ids(), { amount: way * n, unit });
    const said = [
      done.problem ?? (done.moved > 0 ? WORDS.datesMoved(done.moved) : ""),
      done.stayed > 0 ? WORDS.datesTooCoarse(done.stayed) : "",
      done.without > 0 ? WORDS.datesNotMoved(done.without) : "",
    ];
    store.say(said.filter(Boolean).join(" "));
    onDone();
  };
  return (
    <div className="flex flex-col gap-2">
      <div className="grid grid-cols-2 gap-2">
        <span>
          <label htmlFor={amountId} className="text-[13px] text-quiet">
            {WORDS.moveBy}
          </label>
          <input
            id={amountId}
            type="number"
            min={1}
            className={INPUT}
            value={amount}
            onChange={(e) => setAmount(e.target.value)}
          />
        </span>
        <span>
          <label htmlFor={unitId} className="text-[13px] text-quiet">
            {WORDS.unit}
          </label>
          <select id={unitId} className={INPUT} value={unit} onChange={(e) => setUnit(e.target.value as Shift["unit"])}>
            {UNITS.map((u) => (
              <option key={u} value={u}>
                {WORDS.units[u]}
              </option>
            ))}
          </select>
        </span>
      </div>
      <div className="grid grid-cols-2 gap-2">
        <Button disabled={!valid} onClick={() => run(-1)}>
          {WORDS.earlier}
        </Button>
        <Button disabled={!valid} onClick={() => run(1)}>
          {WORDS.later}
        </Button>
      </div>
    </div>
  );
}

function CopyTo({ ids }: { ids: () => string[] }) {
  const { store } = useEditor();
  const [all, setAll] = useState<{ id: string; title: string }[] | null>(null);
  const [to, setTo] = useState("");
  const [busy, setBusy] = useState(false);
  const selectId = useId();
  const ask = () =>
    void askServer<{ timelines: { id: string; title: string }[] }>("GET", "/api/timelines").then((answer) => {
      if (answer.ok) setAll(answer.value.timelines.filter((t) => t.id !== store.timelineId));
      else store.say(answer.sentence);
    });
  const copy = async (close: () => void) => {
    setBusy(true);
    const answer = await askServer<{ copied: number; title: string }>(
      "POST",
      `/api/timelines/${store.timelineId}/copies`,
      {
        to,
        events: ids(),
      },
    );
    setBusy(false);
    store.say(answer.ok ? WORDS.copied(answer.value.copied, answer.value.title || WORDS.untitled) : answer.sentence);
    if (answer.ok) close();
  };
  return (
    <Menu label={WORDS.copyTo} icon={<Copy size={15} aria-hidden />} onOpen={ask}>
      {(close) =>
        all && all.length === 0 ? (
          <p>{WORDS.noOtherTimeline}</p>
        ) : (
          <div className="flex flex-col gap-2">
            <label htmlFor={selectId} className="text-[13px] text-quiet">
              {WORDS.copyIntoTimeline}
            </label>
            <select id={selectId} className={INPUT} value={to} onChange={(e) => setTo(e.target.value)}>
              <option value="">{WORDS.chooseATimeline}</option>
              {(all ?? []).map((t) => (
                <option key={t.id} value={t.id}>
                  {t.title || WORDS.untitled}
                </option>
              ))}
            </select>
            <OnceSaved kind="main" disabled={to === "" || busy} onPress={() => void copy(close)}>
              {WORDS.copyThem}
            </OnceSaved>
          </div>
        )
      }
    </Menu>
  );
}
