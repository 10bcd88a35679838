"use client";

import { locale } from "@/core/language/spoken";
import { useCallback, useEffect, useMemo, useState } from "react";
import type { Op } from "@/core/change/change";
import { type ChangeMark, type Deed, DEEDS, type Sitting, sittingsOf } from "@/core/history/sittings";
import { DEED_WORDS, WORDS } from "@/core/words/editor-history";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { useLatest } from "@/ui/use-latest";
import { useEditor, useEditorState } from "../store/editor-context";
import { inWords, isSpoken, type StepWas } from "./step-words";

interface Answer {
  marks: ChangeMark[];
  names: Record<string, string>;
  more: boolean;
}

/** Changes in short, as the server has them, read again when one of one's own was confirmed. */
export function useMarks(event: string | null): {
  marks: readonly ChangeMark[] | null;
  names: Readonly<Record<string, string>>;
  more: boolean;
  problem: string | null;
  loadMore: () => void;
} {
  const { store } = useEditor();
  const waiting = useEditorState((s) => s.waiting);
  const [got, setGot] = useState<Answer | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const asked = useLatest();
  const load = useCallback(
    async (before?: number) => {
      const isLast = asked();
      const query = new URLSearchParams({ ...(before ? { before: String(before) } : {}), ...(event ? { event } : {}) });
      const answer = await askServer<Answer>("GET", `/api/timelines/${store.timelineId}/sittings?${query}`);
      if (!isLast()) return;
      if (!answer.ok) return setProblem(answer.sentence);
      setProblem(null);
      setGot((old) =>
        before && old
          ? {
              ...answer.value,
              marks: [...old.marks, ...answer.value.marks],
              names: { ...old.names, ...answer.value.names },
            }
          : answer.value,
      );
    },
    [store.timelineId, event, asked],
  );
  // biome-ignore lint/correctness/useExhaustiveDependencies: read again when a change has been confirmed
  useEffect(() => {
    void load();
  }, [load, waiting === 0]);
  return {
    marks: got?.marks ?? null,
    names: got?.names ?? {},
    more: got?.more ?? false,
    problem,
    loadMore: () => {
      const last = got?.marks.at(-1);
      if (last) void load(last.seq);
    },
  };
}

const KINDS: Record<keyof typeof WORDS.kinds, readonly Deed[]> = {
  added: ["eventsAdded", "eventsDeleted", "eventsPutBack"],
  written: ["titlesWritten", "descriptionsWritten", "introductionWritten", "noted"],
  dates: ["datesSet"],
  media: ["mediaAltered", "sourcesAltered"],
  rest: ["categorised", "arranged", "categoriesAltered", "settingsAltered"],
};
type Kind = keyof typeof KINDS;

/** The sittings of a timeline, or of one event: in sentences, opened into single steps. */
export function SittingList({
  event,
  person,
  kind,
  onShow,
}: {
  event: string | null;
  person: string;
  kind: Kind | "";
  onShow: (seq: number) => void;
}) {
  const { store } = useEditor();
  const items = useEditorState((s) => s.timeline.items);
  const { marks, names, more, problem, loadMore } = useMarks(event);
  const all = useMemo(() => sittingsOf(marks ?? [], (id) => items.get(id)?.list), [marks, items]);
  const shown = all.filter(
    (s) => (person === "" || s.author === person) && (kind === "" || KINDS[kind].some((d) => s.deeds[d])),
  );
  if (problem) return <p role="alert">{problem}</p>;
  if (!marks) return <p role="status">{WORDS.fetching}</p>;
  if (shown.length === 0)
    return <p className="text-quiet">{all.length === 0 ? WORDS.nothingYet : WORDS.nothingFits}</p>;
  return (
    <>
      <ol className="flex flex-col divide-y divide-line text-[14px]">
        {shown.map((s) => (
          <SittingItem
            key={`${s.author} ${s.first}`}
            sitting={s}
            name={s.author === store.account ? WORDS.you : (names[s.author] ?? "")}
            event={event}
            onShow={onShow}
          />
        ))}
      </ol>
      {more ? (
        <Button className="mt-3" onClick={loadMore}>
          {WORDS.showEarlierOnes}
        </Button>
      ) : null}
    </>
  );
}

const DAY = { weekday: "short", day: "numeric", month: "short", year: "numeric" } as const;
export const clockText = (ms: number) =>
  new Date(ms).toLocaleTimeString(locale(), { hour: "2-digit", minute: "2-digit" });
export const momentText = (ms: number) => `${new Date(ms).toLocaleDateString(locale(), DAY)}, ${clockText(ms)}`;

export function deedsText(s: Pick<Sitting, "deeds">): string {
  return DEEDS.flatMap((d) => (s.deeds[d] ? [DEED_WORDS[d](s.deeds[d])] : [])).join(", ");
}

function SittingItem({
  sitting: s,
  name,
  event,
  onShow,
}: {
  sitting: Sitting;
  name: string;
  event: string | null;
  onShow: (seq: number) => void;
}) {
  const [open, setOpen] = useState(false);
  return (
    <li className="py-2">
      <p className="text-[13px] text-quiet">{new Date(s.to).toLocaleDateString(locale(), DAY)}</p>
      <p>
        <strong>{WORDS.sitting(name, clockText(s.from), clockText(s.to))}:</strong> {deedsText(s)}
      </p>
      <p className="mt-0.5 flex flex-wrap gap-x-4">
        <button
          type="button"
          aria-expanded={open}
          className="min-h-6 text-[13px] font-bold text-verdigris underline"
          onClick={() => setOpen(!open)}
        >
          {WORDS.singleSteps}
        </button>
        <button
          type="button"
          className="min-h-6 text-[13px] font-bold text-verdigris underline"
          onClick={() => onShow(s.last)}
        >
          {WORDS.showAsItWasThen}
        </button>
      </p>
      {open ? <Steps sitting={s} event={event} onShow={onShow} /> : null}
    </li>
  );
}

interface Row {
  seq: number;
  at: string;
  ops: Op[] | null;
  was: StepWas[] | null;
  steps: number;
}
const STEPS_AT_ONCE = 2_000;

/** The single steps of a sitting, each change with its time. */
function Steps({
  sitting: s,
  event,
  onShow,
}: {
  sitting: Sitting;
  event: string | null;
  onShow: (seq: number) => void;
}) {
  const { store } = useEditor();
  const timeline = useEditorState((x) => x.timeline);
  const [rows, setRows] = useState<Row[]>([]);
  const [ended, setEnded] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const load = useCallback(
    async (before: number) => {
      const query = new URLSearchParams({
        before: String(before),
        after: String(s.first - 1),
        author: s.author,
        steps: String(STEPS_AT_ONCE),
      });
      const answer = await askServer<{ rows: Row[] }>("GET", `/api/timelines/${store.timelineId}/history?${query}`);
      if (!answer.ok) return setProblem(answer.sentence);
      setRows((old) => [...old, ...answer.value.rows]);
      if (answer.value.rows.length < 100) setEnded(true);
    },
    [store, s.first, s.author],
  );
  // What a sitting holds is fetched page by page, to its end.
  useEffect(() => {
    const last = rows.at(-1);
    if (!ended && !problem) void load(last ? last.seq : s.last + 1);
  }, [rows, ended, problem, load, s.last]);
  const more = async (row: Row) => {
    const query = new URLSearchParams({
      before: String(row.seq + 1),
      after: String(row.seq - 1),
      steps: String(STEPS_AT_ONCE),
      from: String(row.ops?.length ?? 0),
    });
    const answer = await askServer<{ rows: Row[] }>("GET", `/api/timelines/${store.timelineId}/history?${query}`);
    const next = answer.ok ? answer.value.rows[0] : undefined;
    if (next)
      setRows((old) =>
        old.map((r) =>
          r === row
            ? { ...r, ops: [...(r.ops ?? []), ...(next.ops ?? [])], was: [...(r.was ?? []), ...(next.was ?? [])] }
            : r,
        ),
      );
  };
  const touches = (op: Op) => {
    if (event === null) return true;
    const id = "id" in op ? op.id : op.kind === "describe" ? op.of : "";
    return id === event || timeline.items.get(id)?.of === event;
  };
  return (
    <div className="mt-1 border-s-2 border-line ps-2.5 text-[13px]">
      {problem ? <p role="alert">{problem}</p> : null}
      <ol className="flex flex-col gap-1.5">
        {rows.map((r) => (
          <li key={r.seq} className="[content-visibility:auto]">
            <button
              type="button"
              className="min-h-6 text-quiet underline"
              title={WORDS.showAsItWasThen}
              onClick={() => onShow(r.seq)}
            >
              {clockText(new Date(r.at).getTime())}
            </button>
            <ul>
              {(r.ops ?? []).map((op, i) =>
                touches(op) && !(op.kind === "set_item" && !isSpoken("item", op.field)) ? (
                  // biome-ignore lint/suspicious/noArrayIndexKey: the steps of a confirmed change never move
                  <li key={`${r.seq}-${i}`}>{inWords(op, r.was?.[i] ?? null, timeline)}</li>
                ) : null,
              )}
            </ul>
            {r.steps > (r.ops?.length ?? 0) ? (
              <Button size="small" onClick={() => void more(r)}>
                {WORDS.moreSteps(Math.min(STEPS_AT_ONCE, r.steps - (r.ops?.length ?? 0)))}
              </Button>
            ) : null}
          </li>
        ))}
      </ol>
    </div>
  );
}

/** Who, and of what kind: chosen over the list. */
export function SittingFilters({
  person,
  setPerson,
  kind,
  setKind,
}: {
  person: string;
  setPerson: (p: string) => void;
  kind: Kind | "";
  setKind: (k: Kind | "") => void;
}) {
  const editors = useEditorState((s) => s.editors);
  const select = "h-9 w-full rounded-md border border-edge bg-white px-2 text-[14px]";
  return (
    <div className="grid grid-cols-2 gap-2">
      <label className="text-[13px] text-quiet">
        {WORDS.who}
        <select aria-label={WORDS.who} className={select} value={person} onChange={(e) => setPerson(e.target.value)}>
          <option value="">{WORDS.everybody}</option>
          {editors.map((e) => (
            <option key={e.id} value={e.id}>
              {e.displayName}
            </option>
          ))}
        </select>
      </label>
      <label className="text-[13px] text-quiet">
        {WORDS.what}
        <select
          aria-label={WORDS.what}
          className={select}
          value={kind}
          onChange={(e) => setKind(e.target.value as Kind | "")}
        >
          <option value="">{WORDS.anything}</option>
          {(Object.keys(KINDS) as Kind[]).map((k) => (
            <option key={k} value={k}>
              {WORDS.kinds[k]}
            </option>
          ))}
        </select>
      </label>
    </div>
  );
}
