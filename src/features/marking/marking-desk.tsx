"use client";

import { WORDS } from "@/core/words/marking";
import { PageLink } from "@/ui/page-link";
import { useRouter } from "next/navigation";
import { useCallback, useEffect, useRef, useState } from "react";
import { type Check, requirementKey } from "@/core/check/requirements";
import { requirementName } from "@/core/words/class-work";
import { lateText } from "@/core/words/late";
import { askServer } from "@/ui/ask-server";
import { classes } from "@/ui/classes";
import { Button, buttonLook } from "@/ui/controls/button";
import { listenLive } from "@/ui/live";
import { LocalTime } from "@/ui/local-time";
import { SHORT_INPUT } from "@/ui/controls/field";
import { useRefresh } from "@/ui/use-refresh";
import { useReady } from "@/ui/use-ready";
import type { DeskSubmission } from "./desk-submission";
import { HandedIn } from "./handed-in";
import { WORDS as PEERS } from "@/core/words/peers";
import { LotsDialog } from "./lots-dialog";
import { WORDS as MODERATION } from "@/core/words/moderation";
import { SecondMark } from "./second-mark";
import { PeersDialog } from "./peers-dialog";
import { HoldMarks, MoreTime } from "./time-dialogs";
import { MarkPanel } from "./mark-panel";
import { anyUnsaved, saveAll } from "./mark-saver";

export interface DeskRow {
  key: string;
  members: string[];
  state: "not_begun" | "working" | "submitted" | "marked" | "returned";
  checks: Check[];
  /** False: its requirements could not be checked. */
  checked: boolean;
  given: { right: number; of: number };
  submission: string | null;
  submittedAt: string | null;
  late: number;
  changedAt: string | null;
  points: number | null;
  /** The draft, which its teacher may look at; null where there is none. */
  timeline: string | null;
  toImprove: boolean;
  /** How often it was handed in before. */
  before: number;
  /** Who is in it, where their names are seen. */
  accounts: string[];
  /** Questions nobody has answered yet. */
  questions: number;
  heldUntil: string | null;
  /** Until when it has more time than the others. */
  extended: string | null;
}

const stateText = (state: DeskRow["state"]): string =>
  ({
    not_begun: WORDS.notBegun,
    working: WORDS.working,
    submitted: WORDS.submitted,
    marked: WORDS.marked,
    returned: WORDS.returned,
  })[state];

/** Where every group stands, and one submission beside it for marking. */
export function MarkingDesk({
  assignment,
  total,
  zone,
  rows,
  open,
  mayMark,
  idle,
  heldUntil,
  gallery,
  second,
}: {
  assignment: string;
  total: number;
  /** The time zone of the class. */
  zone: string;
  rows: DeskRow[];
  open: DeskSubmission | null;
  /** Assistants see and comment, and give no marks. */
  mayMark: boolean;
  /** Students who have not begun, where the teacher makes the groups; null where not. */
  idle: readonly { id: string; displayName: string }[] | null;
  /** What is given back waits until then. */
  heldUntil: string | null;
  /** What is shown to the class. */
  gallery: readonly string[];
  /** Second marking of the open one; null where it is not in the sample. */
  second: { asked: boolean; given: readonly { by: string; points: number; comment: string }[] } | null;
}) {
  const router = useRouter();
  const refresh = useRefresh();
  const ready = useReady();
  const [said, setSaid] = useState<string | null>(null);
  // What students do shows as they do it; a burst of changes is one look at the server.
  useEffect(() => {
    let waiting: ReturnType<typeof setTimeout> | null = null;
    let deaf = false;
    const stop = listenLive((m) => {
      // What happened while nothing was heard is looked at when it is again.
      const again = m.kind === "hearing" && m.hearing && deaf;
      if (m.kind === "hearing") deaf = !m.hearing;
      if (m.kind === "hearing" && !again) return;
      waiting ??= setTimeout(() => {
        waiting = null;
        void refresh();
      }, 700);
    });
    return () => {
      stop();
      if (waiting) clearTimeout(waiting);
    };
  }, [refresh]);
  // What is typed is sent at once; only while it cannot be, leaving the page asks.
  useEffect(() => {
    const leave = (e: BeforeUnloadEvent) => {
      if (anyUnsaved()) e.preventDefault();
    };
    window.addEventListener("beforeunload", leave);
    return () => window.removeEventListener("beforeunload", leave);
  }, []);
  const submitted = rows.filter((r) => r.submission);
  const path = (submission: string) => `/assignments/${assignment}?s=${submission}`;
  const step = useCallback(
    (by: 1 | -1) => {
      if (submitted.length === 0) return;
      const at = submitted.findIndex((r) => r.submission === open?.id);
      const next = submitted[at < 0 ? 0 : (at + by + submitted.length) % submitted.length]!;
      router.push(`/assignments/${assignment}?s=${next.submission}`, { scroll: false });
    },
    [submitted, open, router, assignment],
  );
  const latestStep = useRef(step);
  latestStep.current = step;
  useEffect(() => {
    const keys = (e: KeyboardEvent) => {
      if (!e.altKey || (e.key !== "ArrowDown" && e.key !== "ArrowUp")) return;
      e.preventDefault();
      latestStep.current(e.key === "ArrowDown" ? 1 : -1);
    };
    document.addEventListener("keydown", keys);
    return () => document.removeEventListener("keydown", keys);
  }, []);
  const count = (s: DeskRow["state"]) => rows.filter((r) => r.state === s).length;
  // As its teacher tells them apart; as they were called then, where they are in the table no more.
  const shown = open && { ...open, members: rows.find((r) => r.submission === open.id)?.members ?? open.members };
  const columns = rows.find((r) => r.checks.length > 0)?.checks ?? [];
  return (
    <div className="flex min-h-0 flex-1 max-lg:flex-col">
      <main className="min-w-0 flex-1 overflow-y-auto p-5 max-sm:p-3">
        <div className="mb-3 flex flex-wrap items-baseline gap-x-4 gap-y-2">
          <h2 className="text-[22px]">{WORDS.whereEveryGroupStands}</h2>
          <span className="text-[14px] text-quiet" role="status">
            {WORDS.submittedWorkingNotBegun(
              count("submitted") + count("marked") + count("returned"),
              count("working"),
              count("not_begun"),
            )}
          </span>
          <span className="ms-auto flex flex-wrap items-center gap-2">
            <PageLink href={`/assignments/${assignment}/figures`} className={buttonLook("quiet", "small")}>
              {WORDS.figures}
            </PageLink>
            {mayMark && idle ? <LotsDialog assignment={assignment} people={idle} /> : null}
            {gallery.length > 0 ? (
              <PageLink href={`/assignments/${assignment}/gallery`} className={buttonLook("quiet", "small")}>
                {PEERS.gallery}
              </PageLink>
            ) : null}
            {mayMark ? <PeersDialog assignment={assignment} /> : null}
            {mayMark ? (
              <PageLink href={`/assignments/${assignment}/moderation`} className={buttonLook("quiet", "small")}>
                {MODERATION.moderation}
              </PageLink>
            ) : null}
            {mayMark ? <HoldMarks assignment={assignment} until={heldUntil} zone={zone} /> : null}
            {mayMark ? (
              <>
                <a href={`/api/assignments/${assignment}/marks`} className={buttonLook("plain", "small")}>
                  {WORDS.marksAsASpreadsheet}
                </a>
                <select
                  aria-label={WORDS.marksOtherwise}
                  className={`${SHORT_INPUT} w-24`}
                  value=""
                  onChange={(e) => window.location.assign(e.target.value)}
                >
                  <option value="">{WORDS.marksAs}</option>
                  <option value={`/api/assignments/${assignment}/marks?as=xlsx`}>{WORDS.marksXlsx}</option>
                  <option value={`/api/assignments/${assignment}/marks?as=oneroster`}>{WORDS.marksOneRoster}</option>
                  <option value={`/api/assignments/${assignment}/sheets`}>{WORDS.marksSheets}</option>
                </select>
                <Button
                  size="small"
                  kind="main"
                  disabled={!ready || count("marked") === 0}
                  onClick={async () => {
                    // What was typed last goes back with the rest, or nothing does.
                    if (!(await saveAll())) return setSaid(WORDS.notAllSaved);
                    const answer = await askServer<{ returned: number }>(
                      "POST",
                      `/api/assignments/${assignment}/return`,
                    );
                    setSaid(answer.ok ? WORDS.returned2(answer.value.returned) : answer.sentence);
                    void refresh();
                  }}
                >
                  {WORDS.returnAllMarked}
                </Button>
              </>
            ) : null}
          </span>
          {said ? (
            <span role="status" className="text-[14px] text-verdigris">
              {said}
            </span>
          ) : null}
        </div>
        <div className="overflow-x-auto">
          <table className="w-full border-collapse text-[14px]" data-testid="groups">
            <thead>
              <tr className="border-b border-line text-start text-[13px] text-quiet">
                <th className="py-1.5 pe-3 font-normal">{WORDS.group}</th>
                {columns.map((c) => (
                  <th key={requirementKey(c.requirement)} className="py-1.5 pe-3 font-normal">
                    {requirementName(c.requirement)}
                  </th>
                ))}
                {rows.some((r) => r.given.of > 0) ? (
                  <th className="py-1.5 pe-3 font-normal">{WORDS.givenDatesRight}</th>
                ) : null}
                <th className="py-1.5 pe-3 font-normal">{WORDS.state}</th>
                <th className="py-1.5 font-normal">{WORDS.mark}</th>
                <td />
              </tr>
            </thead>
            <tbody>
              {rows.map((r) => (
                <tr
                  key={r.key}
                  className={classes(
                    "border-b border-line",
                    r.submission === open?.id && r.submission && "bg-sun-wash",
                  )}
                >
                  <td className="py-2 pe-3 font-bold">
                    {r.submission ? (
                      <PageLink
                        href={path(r.submission)}
                        scroll={false}
                        className="text-verdigris underline"
                        aria-current={r.submission === open?.id ? "true" : undefined}
                      >
                        {r.members.join(", ")}
                      </PageLink>
                    ) : (
                      r.members.join(", ")
                    )}
                    {r.timeline && (!r.submission || r.toImprove) ? (
                      <a
                        href={`/timelines/${r.timeline}/reader`}
                        target="_blank"
                        rel="noreferrer"
                        className="block w-fit text-[13px] font-normal text-verdigris underline"
                      >
                        {WORDS.lookAtTheDraft}
                      </a>
                    ) : null}
                    {r.questions > 0 && r.timeline ? (
                      <PageLink
                        href={`/assignments/${assignment}/questions/${r.timeline}`}
                        className="block w-fit text-[13px] text-copper-dark underline"
                      >
                        {WORDS.stuck(r.questions)}
                      </PageLink>
                    ) : null}
                    {r.checked ? null : (
                      <span className="block text-[13px] font-normal text-copper-dark">
                        {WORDS.thisTimelineCouldNotBe}
                      </span>
                    )}
                  </td>
                  {columns.map((c, i) => (
                    <td key={requirementKey(c.requirement)} className="py-2 pe-3 whitespace-nowrap">
                      {r.checks[i] ? <Meter check={r.checks[i]} /> : "–"}
                    </td>
                  ))}
                  {rows.some((x) => x.given.of > 0) ? (
                    <td className="py-2 pe-3 whitespace-nowrap">
                      {r.submission ? WORDS.of3(r.given.right, r.given.of) : "–"}
                    </td>
                  ) : null}
                  <td className="py-2 pe-3 whitespace-nowrap">
                    {r.before > 0 && r.state === "submitted" ? WORDS.submittedAgain : stateText(r.state)}
                    {r.toImprove ? WORDS.toImprove : ""}
                    {r.submittedAt ? (
                      <>
                        {" "}
                        <LocalTime at={r.submittedAt} day />
                      </>
                    ) : null}
                    {r.late > 0 ? <strong className="ms-1 text-copper-dark">{lateText(r.late)}</strong> : null}
                  </td>
                  <td className="py-2 whitespace-nowrap">{r.points === null ? "–" : `${r.points} / ${total}`}</td>
                  <td className="py-1 ps-3">
                    {mayMark && r.accounts.length > 0 && (!r.submission || r.toImprove) ? (
                      <MoreTime
                        assignment={assignment}
                        accounts={r.accounts}
                        names={r.members.join(", ")}
                        extended={r.extended}
                        zone={zone}
                      />
                    ) : null}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        {rows.length === 0 ? <p className="mt-4">{WORDS.nobodyHasJoinedTheClass}</p> : null}
        {shown ? <HandedIn open={shown} total={total} zone={zone} /> : null}
      </main>
      {shown && second?.asked ? (
        <SecondMark key={shown.id} open={shown} total={total} />
      ) : shown ? (
        <MarkPanel
          second={second?.given ?? []}
          key={shown.id}
          mayMark={mayMark}
          gallery={gallery}
          open={shown}
          total={total}
          zone={zone}
          onStep={step}
        />
      ) : null}
    </div>
  );
}

function Meter({ check }: { check: Check }) {
  const share = check.need === 0 ? 0 : Math.min(1, check.have / check.need);
  return (
    <span className="inline-flex items-center gap-2">
      <svg width="52" height="9" viewBox="0 0 52 9" aria-hidden="true">
        <polygon points="3,0 49,0 52,9 0,9" fill="#D5DEDC" />
        <polygon points={`3,0 ${3 + 46 * share},0 ${52 * share},9 0,9`} fill={check.met ? "#0B6E69" : "#B4481E"} />
      </svg>
      {WORDS.of4(check.have, check.need)}
    </span>
  );
}
