"use client";

import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { LookAnswer, ReadAnswer } from "@/core/bring-in/asked";
import type { BroughtIn } from "@/core/bring-in/bring-in";
import type { ReadFileOptions } from "@/core/bring-in/files/found";
import { REPEATED, type Use } from "@/core/bring-in/guess-uses";
import type { LookWish } from "@/core/bring-in/look-at-rows";
import type { BroughtRow } from "@/core/bring-in/put-together";
import { inOrder } from "@/core/timeline/order";
import { readOptionsOf } from "@/core/timeline/read-options";
import type { Timeline } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/bring-in";
import { Button } from "@/ui/controls/button";
import { CheckRow } from "@/ui/controls/check-row";
import { tooLongCell } from "../ledger/cell-deeds";
import { useEditor } from "../store/editor-context";
import type { Desk } from "./desk";
import { type Fetching, fetchPictures } from "./fetch-pictures";
import { HowRead } from "./how-read";
import { planOf } from "./plan";
import { Preview } from "./preview";
import { RefusedRows } from "./refused-rows";
import { rowStates } from "./row-states";

/** So many rows come from the worker at once. */
const PIECE = 500;
const CENTURIES = [20, 19, 18, 17, 16, 15];
const SELECT = "h-9 rounded-md border border-edge bg-white px-2 font-bold";

/** What is being done after somebody has said that rows come in. */
type Work = { kind: "pictures"; now: Fetching } | { kind: "rows"; done: number; of: number };

/** The rows that were found, as the events they would be, with everything that can be said of them before they come in. */
export function Look({
  desk,
  found,
  options,
  problem: readProblem,
  readAgain,
  onClose,
}: {
  desk: Desk;
  found: Extract<ReadAnswer, { kind: "rows" }>;
  options: ReadFileOptions;
  problem: string | null;
  readAgain: (options: ReadFileOptions) => void;
  onClose: () => void;
}) {
  const { store, select } = useEditor();
  // What was there when the screen opened: what others write meanwhile does not move the rows under one's hand.
  const [here] = useState(() => store.getState().timeline);
  const [sheet, setSheet] = useState(0);
  const [wish, setWish] = useState<LookWish>({});
  const [looked, setLooked] = useState<LookAnswer | null>(null);
  const [opening, setOpening] = useState<number | null>(null);
  const [update, setUpdate] = useState(true);
  const [remove, setRemove] = useState(false);
  const [work, setWork] = useState<Work | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const wanted = useRef({});
  // Who leaves the screen wants nothing of it any more, whatever is under way.
  useEffect(
    () => () => {
      wanted.current = {};
    },
    [],
  );

  const mend = useCallback(
    (row: number, text: string) => setWish((w) => ({ ...w, mended: new Map([...(w.mended ?? []), [row, text]]) })),
    [],
  );
  const asked = useRef(0);
  useEffect(() => {
    const number = ++asked.current;
    const events = number === 1 ? known(here) : null;
    desk
      .ask<"look">({ kind: "look", sheet, dates: readOptionsOf(here), events, wish })
      .then((answer) => number === asked.current && setLooked(answer))
      .catch(() => number === asked.current && setProblem(WORDS.notReadNow));
  }, [desk, here, sheet, wish]);

  const again = looked && update && looked.matched.events.size > 0 ? looked : null;
  const states = useStates(desk, here, again, opening);
  if (!looked)
    return (
      <p role="status" className="m-auto p-6">
        {WORDS.reading("")}
      </p>
    );
  const { counts, refused } = looked;
  const say = (more: LookWish) => setWish({ ...wish, ...more });
  const use = (at: number, next: Use) =>
    say({
      named: looked.named,
      uses: looked.uses.map((u, i) => (i === at ? next : u === next && !REPEATED.has(next) ? "more" : u)),
    });
  const events = counts.events - (opening === null ? 0 : 1);
  const there = again ? [...again.matched.events.keys()].filter((row) => row !== opening).length : 0;
  const fresh = events - there;
  const taken = remove && again ? again.matched.absent.length : 0;

  const add = async () => {
    const own = {};
    wanted.current = own;
    const isWanted = () => wanted.current === own;
    setProblem(null);
    try {
      setWork({ kind: "rows", done: 0, of: counts.events });
      const rows = await allRows(desk, counts.events);
      if (!isWanted()) return;
      let failed: { address: string; why: string }[] = [];
      let fetched = new Map();
      if (looked.pictures > 0 && !store.isLocal) {
        const got = await fetchPictures(store.timelineId, rows, (now) => setWork({ kind: "pictures", now }), isWanted);
        if (!got) return;
        ({ fetched, failed } = got);
      }
      const { timeline } = store.getState();
      setWork({ kind: "rows", done: 0, of: rows.length });
      const wished = { ...wishOf(looked, again, opening, taken > 0), fetched };
      const came = await planOf(timeline, rows, wished, isWanted, (done) =>
        setWork({ kind: "rows", done, of: rows.length }),
      );
      if (!came || !isWanted()) return;
      const refusal = "tooLong" in came ? tooLongCell(came) : store.edit(came.ops);
      setWork(null);
      if (refusal || "tooLong" in came) return setProblem(refusal);
      store.say(
        [
          WORDS.done(came.added, came.changed, came.removed),
          ...(failed.length > 0 ? [WORDS.picturesFailed(failed.length, failed[0]!.address, failed[0]!.why)] : []),
        ].join(" "),
      );
      onClose();
      if (came.rows[0]) select(came.rows[0]);
    } catch {
      if (!isWanted()) return;
      setWork(null);
      setProblem(WORDS.notReadNow);
    }
  };
  const cancelWork = () => {
    wanted.current = {};
    setWork(null);
  };
  return (
    <>
      <div
        inert={work !== null}
        className="flex max-h-[45vh] shrink-0 flex-wrap items-center gap-x-6 gap-y-1 overflow-y-auto border-b border-line bg-panel px-[22px] py-3"
      >
        <p role="status" className="flex flex-wrap gap-x-5 gap-y-1">
          <span className="font-bold">{WORDS.rows(counts.events)}</span>
          <span className="font-bold text-verdigris">
            {WORDS.understood(counts.events - counts.notUnderstood - counts.undated)}
          </span>
          {counts.notUnderstood > 0 ? (
            <span className="font-bold text-copper-dark">{WORDS.notUnderstood(counts.notUnderstood)}</span>
          ) : null}
          {counts.undated > 0 ? <span>{WORDS.undated(counts.undated)}</span> : null}
          {counts.empty > 0 ? <span>{WORDS.empty(counts.empty)}</span> : null}
          {looked.pictures > 0 ? <span>{WORDS.pictures(looked.pictures)}</span> : null}
        </p>
        <span className="ms-auto flex flex-wrap items-center gap-x-5 gap-y-1 max-sm:ms-0">
          <HowRead
            found={found}
            options={options}
            sheet={sheet}
            setSheet={(n) => {
              setSheet(n);
              setWish({});
              setOpening(null);
            }}
            readAgain={readAgain}
          />
          {looked.orderFound === null ? null : (
            <label className="flex items-center gap-2">
              {WORDS.numbersMean}
              <select
                className={SELECT}
                value={looked.order ?? "open"}
                onChange={(e) => say({ order: e.target.value === "open" ? null : (e.target.value as "dmy") })}
              >
                {(["open", "dmy", "mdy"] as const).map((o) => (
                  <option key={o} value={o}>
                    {WORDS.orders[o]}
                  </option>
                ))}
              </select>
            </label>
          )}
          {counts.twoDigitYears > 0 ? (
            <label className="flex items-center gap-2">
              {WORDS.twoDigitYears(counts.twoDigitYears)}
              <select
                className={SELECT}
                value={wish.century ?? ""}
                onChange={(e) => say({ century: e.target.value === "" ? null : Number(e.target.value) })}
              >
                <option value="">{WORDS.orders.open}</option>
                {CENTURIES.map((c) => (
                  <option key={c} value={c}>
                    {WORDS.century(c)}
                  </option>
                ))}
              </select>
            </label>
          ) : null}
          <CheckRow
            label={WORDS.namesFirst}
            checked={looked.named}
            onChange={(named) => say({ named, uses: looked.uses })}
          />
        </span>
        {looked.matched.events.size > 0 ? (
          <div className="flex w-full flex-wrap items-center gap-x-5 gap-y-1 text-[14px]">
            <CheckRow
              small
              label={WORDS.updateThem(looked.matched.events.size)}
              checked={update}
              onChange={(on) => {
                setUpdate(on);
                if (!on) setRemove(false);
              }}
            />
            {again ? (
              <span aria-live="polite">{states ? WORDS.changes(fresh, states.changed) : WORDS.comparing}</span>
            ) : null}
            {again && again.matched.absent.length > 0 ? (
              <CheckRow
                small
                label={WORDS.removeThem(
                  again.matched.absent.length,
                  again.matched.absent.slice(0, 3).map((id) => here.events.get(id)?.title || WORDS.untitled),
                )}
                checked={remove}
                onChange={setRemove}
              />
            ) : null}
          </div>
        ) : null}
        {looked.hasDates ? null : <p className="w-full text-[14px] font-bold text-copper-dark">{WORDS.noDates}</p>}
        {looked.orderFound === "mixed" ? <p className="w-full text-[14px]">{WORDS.mixedOrders}</p> : null}
        {store.isLocal && looked.pictures > 0 ? (
          <p className="w-full text-[14px]">{WORDS.picturesNeedAccount}</p>
        ) : null}
        {found.notes.map((note) => (
          <p key={note} className="w-full text-[14px]">
            {note}
          </p>
        ))}
        {refused.length > 0 ? <RefusedRows refused={refused} /> : null}
      </div>
      <Preview
        looked={looked}
        still={work !== null}
        states={states?.rows ?? null}
        opening={opening}
        setUse={use}
        setOpening={setOpening}
        mend={mend}
      />
      <footer className="flex shrink-0 flex-wrap items-center gap-x-5 gap-y-2 border-t border-line bg-verdigris-wash px-[18px] py-3">
        {work ? (
          <>
            <span role="status">
              {work.kind === "pictures" ? WORDS.fetching(work.now.done + 1, work.now.of) : WORDS.adding}
            </span>
            {work.kind === "rows" ? (
              <progress aria-label={WORDS.adding} value={work.done} max={work.of} className="h-2 flex-1" />
            ) : null}
            <Button className="ms-auto" onClick={cancelWork}>
              {WORDS.stopReading}
            </Button>
          </>
        ) : (
          <>
            <span>{WORDS.nothingYet}</span>
            <span role="alert" className="ms-auto font-bold text-copper-dark">
              {problem ?? readProblem ?? (counts.notUnderstood > 0 ? WORDS.withoutDate(counts.notUnderstood) : "")}
            </span>
            <Button kind="main" disabled={counts.events === 0} onClick={() => void add()}>
              {again ? WORDS.bringUpToDate(fresh, taken) : WORDS.add(events)}
            </Button>
          </>
        )}
      </footer>
    </>
  );
}

const known = (t: Timeline) =>
  inOrder(t.events.values()).map(({ id, title, origin, given, when }) => ({ id, title, origin, given, when }));

async function allRows(desk: Desk, count: number): Promise<BroughtRow[]> {
  const rows: BroughtRow[] = [];
  for (let from = 0; from < count; from += PIECE)
    rows.push(...(await desk.ask<"rows">({ kind: "rows", from, to: from + PIECE })));
  return rows;
}

function wishOf(looked: LookAnswer, again: LookAnswer | null, opening: number | null, remove: boolean) {
  return {
    order: looked.orderFound === null ? null : looked.order,
    opening,
    ...(again ? { again: { events: again.matched.events, uses: new Set(again.uses) } } : {}),
    ...(remove && again ? { remove: again.matched.absent } : {}),
  };
}

/** What becomes of rows that are events already: worked out as it will be done, in slices. */
function useStates(desk: Desk, here: Timeline, again: LookAnswer | null, opening: number | null) {
  const [states, setStates] = useState<{ of: LookAnswer; rows: ReturnType<typeof rowStates>; changed: number } | null>(
    null,
  );
  useEffect(() => {
    if (!again) return;
    let isWanted = true;
    void (async () => {
      const rows = await allRows(desk, again.counts.events);
      const came = isWanted ? await planOf(here, rows, wishOf(again, again, opening, false), () => isWanted) : null;
      if (!isWanted || !came || "tooLong" in came) return;
      const plan: BroughtIn = came;
      setStates({ of: again, rows: rowStates(here, again.matched.events, plan), changed: plan.changed });
    })().catch(() => {});
    return () => {
      isWanted = false;
    };
  }, [desk, here, again, opening]);
  return useMemo(() => (states && states.of === again ? states : null), [states, again]);
}
