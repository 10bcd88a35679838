"use client";

import { WORDS as LACKS } from "@/core/words/checks";

import { WORDS } from "@/core/words/editor-class-work";
import { ChevronDown, ClipboardList } from "lucide-react";
import { useEffect, useMemo, useRef, useState } from "react";
import { checkRequirements, requirementKey, unmet } from "@/core/check/requirements";
import { WORKS_SHOWN } from "@/core/words/peers";
import { requirementName, requirementText } from "@/core/words/class-work";
import { lateText } from "@/core/words/late";
import { orderOf } from "@/core/timeline/order";
import { itemsOf } from "@/core/timeline/timeline";
import { askServer } from "@/ui/ask-server";
import { classes } from "@/ui/classes";
import { Button } from "@/ui/controls/button";
import { Modal } from "@/ui/controls/modal";
import { useReady } from "@/ui/use-ready";
import { ZonedTime } from "@/ui/zoned-time";
import { OnceSaved } from "../once-saved";
import { useEditor, useEditorState } from "../store/editor-context";
import { Problem } from "@/ui/controls/problem";

/** The live state of every requirement, at the foot of the editor; what is missing is a click away. */
export function ReadyCheck({ onWork }: { onWork: () => void }) {
  // Before the page has woken up a press would be lost.
  const ready = useReady();
  const { store, select } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const work = useEditorState((s) => s.work);
  const [receipt, setReceipt] = useState<{ at: string; hash: string } | null>(null);
  const [asking, setAsking] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const checks = useMemo(
    () => (work ? checkRequirements(timeline, work.assignment.requirements, LACKS) : []),
    [timeline, work],
  );
  const [unfolded, setUnfolded] = useState(false);
  // What the teacher alters while one works is said, not just there.
  const asked = work && JSON.stringify(work.assignment);
  const before = useRef(asked);
  useEffect(() => {
    if (asked && before.current && before.current !== asked) store.say(WORDS.yourTeacherHasChangedThe);
    before.current = asked;
  }, [asked, store]);
  if (!work) return null;
  const { submission, returned } = work;
  const { zone } = work.assignment;
  const missing = unmet(checks);
  // Having handed in opens the work of others: it stays handed in.
  const forGood = work.assignment.worksShown === "handed_in";
  const mayHandIn = !submission || returned?.toImprove === true;
  const submit = async () => {
    setAsking(false);
    const answer = await askServer<{ receipt: { at: string; hash: string } }>(
      "POST",
      `/api/timelines/${store.timelineId}/submission`,
    );
    setProblem(answer.ok ? null : answer.sentence);
    if (answer.ok) setReceipt(answer.value.receipt);
    await store.refresh();
  };
  return (
    <section
      aria-label={WORDS.readyCheck}
      className="flex min-h-11 shrink-0 flex-wrap items-center gap-x-4 gap-y-1 border-t border-line bg-verdigris-wash px-[18px] py-1 text-[14px] max-sm:px-3"
    >
      <Button size="small" className="max-sm:h-11" onClick={onWork}>
        <ClipboardList size={15} aria-hidden /> {WORDS.theTask}
      </Button>
      <strong className="max-sm:hidden">{WORDS.readyCheck}</strong>
      {/* On a phone it is one line that opens. */}
      <button
        type="button"
        className="flex min-h-11 flex-1 items-center gap-2 text-start sm:hidden"
        aria-expanded={unfolded}
        onClick={() => setUnfolded(!unfolded)}
      >
        <strong>{WORDS.readyCheck}</strong>
        <span className={missing.length > 0 ? "text-copper-dark" : ""}>
          {WORDS.ofMet(checks.filter((c) => c.met).length, checks.length)}
        </span>
        <ChevronDown size={16} aria-hidden className={unfolded ? "rotate-180" : ""} />
      </button>
      {checks.map((c) => (
        <button
          type="button"
          key={requirementKey(c.requirement)}
          title={requirementText(c.requirement)}
          className={classes(
            "flex min-h-7 items-center gap-2 rounded-md px-1 hover:bg-white max-sm:min-h-11 max-sm:w-full",
            !unfolded && "max-sm:hidden",
          )}
          onClick={() => {
            // To what is missing: the first event at fault, or the line where the next one is written.
            if (c.events[0]) select(c.events[0], true);
            else if (!c.met && c.requirement.kind === "events") document.getElementById("next-event")?.focus();
            else if (!c.met && c.requirement.kind === "media") {
              const bare = orderOf(timeline.events).find((e) => itemsOf(timeline, e.id, "media").length === 0);
              if (bare) select(bare.id, true);
              else onWork();
            } else onWork();
          }}
        >
          {requirementName(c.requirement)}
          <Roofs have={c.have} need={c.need} met={c.met} />
          {c.met ? (
            <span>{WORDS.of(c.have, c.need)}</span>
          ) : c.requirement.wished ? (
            <span className="text-quiet">{WORDS.wished(c.missing)}</span>
          ) : (
            <strong className="text-copper-dark">{c.missing}</strong>
          )}
        </button>
      ))}
      <span className={classes("ms-auto flex flex-wrap items-center gap-3", !unfolded && "max-sm:hidden")}>
        {returned ? (
          <button type="button" className="min-h-7 font-bold text-verdigris underline" onClick={onWork}>
            {WORDS.returned(returned.toImprove ? WORDS.toImprove : "")} {returned.points}{" "}
            {WORDS.of2(work.assignment.total)}
          </button>
        ) : null}
        {mayHandIn || returned ? null : submission ? (
          <>
            <span>
              {WORDS.submitted} <ZonedTime at={submission.at} zone={zone} />
              {submission.late > 0 ? (
                <strong className="text-copper-dark"> · {lateText(submission.late)}</strong>
              ) : null}
            </span>
            {Date.parse(work.assignment.dueAt) > Date.now() && !forGood ? (
              <Button
                size="small"
                onClick={async () => {
                  const answer = await askServer("DELETE", `/api/timelines/${store.timelineId}/submission`);
                  setProblem(answer.ok ? null : answer.sentence);
                  await store.refresh();
                }}
              >
                {WORDS.takeItBack}
              </Button>
            ) : null}
          </>
        ) : null}
        {mayHandIn ? (
          <>
            {returned ? null : (
              <button type="button" className="min-h-7 underline" onClick={onWork}>
                {WORDS.due} <ZonedTime at={work.assignment.dueAt} zone={zone} short />
              </button>
            )}
            <OnceSaved
              size="small"
              kind="main"
              disabled={!ready}
              onPress={() => (missing.length > 0 || forGood ? setAsking(true) : void submit())}
            >
              {returned ? WORDS.submitAgain : WORDS.submit}
            </OnceSaved>
          </>
        ) : null}
      </span>
      <Problem text={problem} className="w-full" />
      <Modal
        title={missing.length > 0 ? WORDS.notEverythingIsMet : WORDS.submit}
        open={asking}
        onOpenChange={setAsking}
      >
        <ul className="list-disc ps-5">
          {missing.map((c) => (
            <li key={requirementKey(c.requirement)}>
              {requirementText(c.requirement)}: {c.missing}
            </li>
          ))}
        </ul>
        {WORKS_SHOWN[work.assignment.worksShown] ? (
          <p className="mt-3">{WORKS_SHOWN[work.assignment.worksShown]}</p>
        ) : null}
        <p className="mt-3">
          {forGood ? WORDS.youCanSubmitItOnce : returned ? WORDS.youCanSubmitItAgain : WORDS.youCanSubmitItAs}
        </p>
        <div className="mt-4 flex gap-2">
          <OnceSaved kind="main" onPress={() => void submit()}>
            {missing.length > 0 ? WORDS.submitAsItIs : WORDS.submit}
          </OnceSaved>
          <Button onClick={() => setAsking(false)}>{WORDS.goOnWorking}</Button>
        </div>
      </Modal>
      <Modal title={WORDS.submitted} open={receipt !== null} onOpenChange={() => setReceipt(null)}>
        {receipt ? (
          <div data-testid="receipt">
            <p>
              {WORDS.yourWorkWasHandedIn} <ZonedTime at={receipt.at} zone={zone} />
              {WORDS.itIsKeptExactlyAs(
                submission && submission.late > 0 ? `, ${lateText(submission.late)}` : WORDS.inTime,
              )}
            </p>
            <p className="mt-3 text-[13px] text-quiet">{WORDS.fingerprintOfWhatWasHanded}</p>
            <p className="text-[13px] [overflow-wrap:anywhere]">{receipt.hash}</p>
          </div>
        ) : null}
      </Modal>
    </section>
  );
}

/** One small roof for each that is needed, filled for each there is; a single bar when there are many. */
function Roofs({ have, need, met }: { have: number; need: number; met: boolean }) {
  const n = Math.min(need, 16);
  const filled = need > 16 ? Math.round((have / need) * n) : Math.min(have, n);
  return (
    <svg
      width={n * 6.5}
      height={10}
      viewBox={`0 0 ${n * 9} 10`}
      preserveAspectRatio="none"
      aria-hidden="true"
      className="max-md:hidden"
    >
      {Array.from({ length: n }, (_, i) => (
        <polygon
          // biome-ignore lint/suspicious/noArrayIndexKey: a row of equal marks
          key={i}
          points={`${i * 9 + 2.5},0 ${i * 9 + 5.5},0 ${i * 9 + 8},10 ${i * 9},10`}
          fill={i < filled ? (met ? "#0B6E69" : "#B4481E") : "#C3D0CE"}
        />
      ))}
    </svg>
  );
}
