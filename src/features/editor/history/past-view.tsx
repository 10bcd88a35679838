"use client";

import { locale } from "@/core/language/spoken";
import { ChevronLeft, ChevronRight } from "lucide-react";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { fromSnapshot, type Snapshot } from "@/core/formats/snapshot";
import { compareTimelines, type PutBack, putBack } from "@/core/history/compare";
import { differenceChart } from "@/core/history/difference-chart";
import { sittingsOf } from "@/core/history/sittings";
import { USUAL_COLUMNS } from "@/core/ledger/columns";
import type { Timeline } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/editor-history";
import { askPacked, askServer } from "@/ui/ask-server";
import { styleOf } from "@/core/looks/style";
import { CategoryMark } from "@/ui/category-mark";
import { Button } from "@/ui/controls/button";
import { CheckRow } from "@/ui/controls/check-row";
import { categoriesOf } from "@/core/timeline/timeline";
import { ChartPane } from "../chart/chart-pane";
import { Ledger } from "../ledger/ledger";
import { useLook } from "../ledger/use-look";
import { EditorContext, useEditor, useEditorState } from "../store/editor-context";
import { TitleText } from "../top-bar";
import { Differences } from "./differences";
import { PastStore } from "./past-store";
import { momentText, useMarks } from "./sitting-list";

/** While the slider moves the past is asked for when it rests so long, ms. */
const REST_MS = 140;
const NOBODY: ReadonlySet<string> = new Set();

/**
 * The timeline as it was at a moment: chart and ledger, which cannot be changed, a slider to go through time, what is different now or
 * at another moment, and ways to put it back.
 */
export function PastView({
  at,
  onChart: begins = false,
  onLeave,
}: {
  at: number;
  /** Whether it begins with what is different on the chart. */
  onChart?: boolean;
  onLeave: () => void;
}) {
  const { store } = useEditor();
  const now = useEditorState((s) => s.timeline);
  const { marks, names } = useMarks(null);
  const last = marks?.[0]?.seq ?? at;
  const [seq, setSeq] = useState(at);
  const [other, setOther] = useState<number | null>(null);
  const past = usePast(store.timelineId, seq);
  const second = usePast(store.timelineId, other);
  const [onChart, setOnChart] = useState(begins);
  const [selected, setSelected] = useState<string | null>(null);
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus({ preventScroll: true }), []);

  const sittings = useMemo(() => sittingsOf(marks ?? []), [marks]);
  const mark = marks?.find((m) => m.seq <= seq);
  const go = (way: -1 | 1) => {
    const ends = sittings.map((s) => s.last).sort((a, b) => a - b);
    const next = way < 0 ? ends.findLast((e) => e < seq) : ends.find((e) => e > seq);
    setSeq(next ?? (way < 0 ? 1 : last));
  };
  const later = other === null ? now : second.timeline;
  const compared = useMemo(
    () => (past.timeline && later ? compareTimelines(past.timeline, later) : null),
    [past.timeline, later],
  );
  const shown = useMemo(
    () =>
      onChart && compared && past.timeline && later
        ? differenceChart(past.timeline, later, compared, WORDS.states)
        : past.timeline,
    [onChart, compared, past.timeline, later],
  );

  /** What is about to be put back although others have changed it since. */
  const [asked, setAsked] = useState<{ wish: PutBack; names: string } | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const doIt = (wish: PutBack) => {
    setAsked(null);
    const ops = putBack(store.getState().timeline, past.timeline!, wish);
    setSaid((ops.length > 0 && store.edit(ops)) || WORDS.putBackDone);
  };
  const ask = async (wish: PutBack) => {
    setSaid(null);
    const query = new URLSearchParams({ after: String(seq), ...(wish.what === "all" ? {} : { event: wish.id }) });
    const answer = await askServer<{ marks: { author: string }[]; names: Record<string, string> }>(
      "GET",
      `/api/timelines/${store.timelineId}/sittings?${query}`,
    );
    if (!answer.ok) return setSaid(answer.sentence);
    const others = [...new Set(answer.value.marks.map((m) => m.author))].filter((a) => a !== store.account);
    if (others.length === 0) return doIt(wish);
    setAsked({ wish, names: others.map((a) => answer.value.names[a] ?? "").join(` ${WORDS.and} `) });
  };
  const mayEdit = useEditorState((s) => s.saving !== "right_lost" && s.saving !== "signed_out");
  return (
    <div className="flex min-h-0 flex-1 flex-col" data-testid="past">
      <section
        aria-label={WORDS.thePast}
        className="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-1.5 border-b-2 border-sun bg-sun-wash px-[14px] py-2"
      >
        <h1 className="sr-only">
          <TitleText />
        </h1>
        <h2 ref={heading} tabIndex={-1} className="font-sans text-[15px] font-bold outline-none">
          {WORDS.asItWas}
          {mark
            ? `: ${WORDS.byWhen(mark.author === store.account ? WORDS.you : (names[mark.author] ?? ""), momentText(mark.at))}`
            : ""}
        </h2>
        <span className="flex min-w-[260px] flex-1 items-center gap-1.5">
          <button
            type="button"
            aria-label={WORDS.earlierSitting}
            title={WORDS.earlierSitting}
            className="flex size-8 items-center justify-center rounded-md border border-edge bg-white hover:bg-verdigris-wash disabled:opacity-40"
            disabled={seq <= 1}
            onClick={() => go(-1)}
          >
            <ChevronLeft size={17} />
          </button>
          <input
            type="range"
            aria-label={WORDS.moment}
            aria-valuetext={WORDS.afterChange(String(seq), String(last))}
            className="min-w-0 flex-1 accent-verdigris"
            min={1}
            max={last}
            value={Math.min(seq, last)}
            onChange={(e) => setSeq(Number(e.target.value))}
          />
          <button
            type="button"
            aria-label={WORDS.laterSitting}
            title={WORDS.laterSitting}
            className="flex size-8 items-center justify-center rounded-md border border-edge bg-white hover:bg-verdigris-wash disabled:opacity-40"
            disabled={seq >= last}
            onClick={() => go(1)}
          >
            <ChevronRight size={17} />
          </button>
          <span className="text-[13px] whitespace-nowrap text-quiet">
            {WORDS.afterChange(seq.toLocaleString(locale()), last.toLocaleString(locale()))}
          </span>
        </span>
        <Button kind="main" onClick={onLeave}>
          {WORDS.backToNow}
        </Button>
      </section>
      {past.problem ? (
        <p role="alert" className="px-4 py-3">
          {past.problem}
        </p>
      ) : null}
      {/* On a phone what it was stands over what is different. */}
      <div className="flex min-h-0 flex-1 max-md:flex-col max-md:overflow-y-auto">
        <main className="flex min-w-0 flex-1 flex-col max-md:h-[74vh] max-md:flex-none">
          {shown ? (
            <PastTimeline
              key={onChart ? "difference" : "past"}
              timeline={shown}
              selected={selected}
              setSelected={setSelected}
              withKey={onChart}
            />
          ) : past.problem ? null : (
            <p role="status" className="p-5 text-quiet">
              {WORDS.fetching}
            </p>
          )}
        </main>
        <aside
          aria-label={WORDS.comparedWith}
          className="w-[428px] shrink-0 overflow-y-auto border-s-2 border-slate bg-white p-4 max-md:w-full max-md:overflow-visible max-md:border-t-2 max-md:border-s-0"
        >
          <div className="mb-3 flex flex-col gap-2">
            <label className="text-[13px] text-quiet">
              {WORDS.comparedWith}
              <select
                className="h-9 w-full rounded-md border border-edge bg-white px-2 text-[14px] text-slate"
                aria-label={WORDS.comparedWith}
                value={other === null ? "" : "other"}
                onChange={(e) => setOther(e.target.value === "" ? null : last)}
              >
                <option value="">{WORDS.now}</option>
                <option value="other">{WORDS.anotherMoment}</option>
              </select>
            </label>
            {other === null ? null : (
              <span className="flex items-center gap-2">
                <input
                  type="range"
                  aria-label={WORDS.otherMoment}
                  aria-valuetext={WORDS.afterChange(String(other), String(last))}
                  className="min-w-0 flex-1 accent-verdigris"
                  min={1}
                  max={last}
                  value={other}
                  onChange={(e) => setOther(Number(e.target.value))}
                />
                <span className="text-[13px] whitespace-nowrap text-quiet">
                  {WORDS.afterChange(other.toLocaleString(locale()), last.toLocaleString(locale()))}
                </span>
              </span>
            )}
            <CheckRow label={WORDS.onTheChart} checked={onChart} onChange={setOnChart} />
          </div>
          {asked ? (
            <div role="alert" className="mb-3 rounded-md border-s-4 border-copper bg-copper-wash px-3 py-2 text-[14px]">
              <p>{WORDS.othersSince(asked.names)}</p>
              <span className="mt-2 flex gap-2">
                <Button size="small" kind="main" onClick={() => doIt(asked.wish)}>
                  {WORDS.putBackNow}
                </Button>
                <Button size="small" onClick={() => setAsked(null)}>
                  {WORDS.leaveIt}
                </Button>
              </span>
            </div>
          ) : null}
          <p role="status" className="text-[14px] font-bold text-verdigris empty:hidden">
            {said}
          </p>
          {compared && past.timeline && later ? (
            <Differences
              compared={compared}
              before={past.timeline}
              after={later}
              selected={selected}
              onSelect={setSelected}
              onPutBack={mayEdit && other === null ? (wish) => void ask(wish) : null}
            />
          ) : null}
        </aside>
      </div>
    </div>
  );
}

/** The state after a change, fetched when the number rests; the last one stays on the screen until it comes. */
function usePast(timeline: string, seq: number | null): { timeline: Timeline | null; problem: string | null } {
  const [got, setGot] = useState<{ timeline: Timeline | null; problem: string | null }>({
    timeline: null,
    problem: null,
  });
  useEffect(() => {
    if (seq === null) return setGot({ timeline: null, problem: null });
    let wanted = true;
    const rest = setTimeout(() => {
      void askPacked<Snapshot>(`/api/timelines/${timeline}/past/${seq}`).then((answer) => {
        if (!wanted) return;
        setGot((old) =>
          answer.ok
            ? { timeline: fromSnapshot(answer.value), problem: null }
            : { timeline: old.timeline, problem: answer.sentence },
        );
      });
    }, REST_MS);
    return () => {
      wanted = false;
      clearTimeout(rest);
    };
  }, [timeline, seq]);
  return got;
}

/** Chart and ledger of a timeline that cannot be changed. */
function PastTimeline({
  timeline,
  selected,
  setSelected,
  withKey,
}: {
  timeline: Timeline;
  selected: string | null;
  setSelected: (id: string | null) => void;
  withKey: boolean;
}) {
  const { store: live } = useEditor();
  const store = useMemo(() => new PastStore(live.account, timeline), [live, timeline]);
  const select = useCallback((id: string | null) => setSelected(id), [setSelected]);
  const tools = useMemo(
    () => ({ store, select, begin: select, uploads: null, mayRecord: false, waits: false, bringIn: () => {} }),
    [store, select],
  );
  return (
    <EditorContext.Provider value={tools}>
      {withKey ? (
        <ul className="flex shrink-0 flex-wrap justify-center gap-x-4 border-b border-line bg-panel py-1 text-[14px]">
          {categoriesOf(timeline).map((c) => (
            <li key={c.id} className="flex items-center gap-1.5">
              <CategoryMark colour={c.colour} pattern={c.pattern} style={styleOf(timeline)} /> {c.name}
            </li>
          ))}
        </ul>
      ) : null}
      <div className="relative min-h-0 flex-[1.4_1_0]">
        <ChartPane selected={selected} hidden={NOBODY} />
      </div>
      <PastLedger selected={selected} />
    </EditorContext.Provider>
  );
}

function PastLedger({ selected }: { selected: string | null }) {
  const look = useLook(USUAL_COLUMNS);
  return (
    <div className="flex min-h-0 flex-1 flex-col border-t border-line">
      <Ledger selected={selected} look={look} />
    </div>
  );
}
