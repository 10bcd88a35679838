"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import { useCallback, useEffect, useRef, useState, useSyncExternalStore } from "react";
import { GIVEN_WORDS, type GivenResult } from "@/core/check/given-dates";
import { type Check, requirementName } from "@/core/check/requirements";
import { lateText } from "@/core/time/late";
import { askServer } from "@/ui/ask-server";
import { classes } from "@/ui/classes";
import { Button, buttonLook } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { listenLive } from "@/ui/live";
import { LocalTime } from "@/ui/local-time";
import { useReady } from "@/ui/use-ready";
import { anyUnsaved, type MarkValues, saverOf } from "./mark-saver";

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
}

export interface DeskSubmission {
  id: string;
  members: string[];
  checks: Check[];
  given: {
    title: string;
    locked: boolean;
    right: string;
    answer: string;
    result: GivenResult;
    override: { result: GivenResult; reason: string } | null;
  }[];
  drawing: string;
  hash: string;
  submittedAt: string;
  late: number;
  editedSince: boolean;
  points: number | null;
  comment: string;
  comments: Record<string, string>;
  returnedAt: string | null;
  events: { id: string; title: string; when: string }[];
}

const STATE: Record<DeskRow["state"], string> = {
  not_begun: "Not begun",
  working: "Working",
  submitted: "Submitted",
  marked: "Marked",
  returned: "Returned",
};

/** Where every group stands, and one submission beside it for marking. */
export function MarkingDesk({
  assignment,
  total,
  rows,
  open,
}: {
  assignment: string;
  total: number;
  rows: DeskRow[];
  open: DeskSubmission | null;
}) {
  const router = useRouter();
  const ready = useReady();
  const [said, setSaid] = useState<string | null>(null);
  // What students do shows as they do it; a burst of changes is one look at the server.
  useEffect(() => {
    let waiting: ReturnType<typeof setTimeout> | null = null;
    const stop = listenLive((m) => {
      if (m.kind === "hearing") return;
      waiting ??= setTimeout(() => {
        waiting = null;
        router.refresh();
      }, 700);
    });
    return () => {
      stop();
      if (waiting) clearTimeout(waiting);
    };
  }, [router]);
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
  const columns = rows.find((r) => r.checks.length > 0)?.checks ?? [];
  return (
    <div className="flex min-h-0 flex-1 max-lg:flex-col">
      <main className="min-w-0 flex-1 overflow-y-auto p-5 max-sm:p-3">
        <div className="mb-3 flex flex-wrap items-baseline gap-x-4 gap-y-2">
          <h2 className="text-[22px]">Where every group stands</h2>
          <span className="text-[14px] text-quiet" role="status">
            {count("submitted") + count("marked") + count("returned")} submitted · {count("working")} working ·{" "}
            {count("not_begun")} not begun
          </span>
          <span className="ml-auto flex gap-2">
            <a href={`/api/assignments/${assignment}/marks`} className={buttonLook("plain", "small")}>
              Marks as a spreadsheet
            </a>
            <Button
              size="small"
              kind="main"
              disabled={!ready || count("marked") === 0}
              onClick={async () => {
                const answer = await askServer<{ returned: number }>("POST", `/api/assignments/${assignment}/return`);
                setSaid(answer.ok ? `${answer.value.returned} returned` : answer.sentence);
                router.refresh();
              }}
            >
              Return all marked
            </Button>
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
              <tr className="border-b border-line text-left text-[13px] text-quiet">
                <th className="py-1.5 pr-3 font-normal">Group</th>
                {columns.map((c) => (
                  <th key={c.requirement.kind} className="py-1.5 pr-3 font-normal">
                    {requirementName(c.requirement)}
                  </th>
                ))}
                {rows.some((r) => r.given.of > 0) ? (
                  <th className="py-1.5 pr-3 font-normal">Given dates right</th>
                ) : null}
                <th className="py-1.5 pr-3 font-normal">State</th>
                <th className="py-1.5 font-normal">Mark</th>
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
                  <td className="py-2 pr-3 font-bold">
                    {r.submission ? (
                      <Link
                        href={path(r.submission)}
                        scroll={false}
                        className="text-verdigris underline"
                        aria-current={r.submission === open?.id ? "true" : undefined}
                      >
                        {r.members.join(", ")}
                      </Link>
                    ) : (
                      r.members.join(", ")
                    )}
                    {r.checked ? null : (
                      <span className="block text-[13px] font-normal text-copper-dark">
                        This timeline could not be checked. Its events are kept.
                      </span>
                    )}
                  </td>
                  {columns.map((c, i) => (
                    <td key={c.requirement.kind} className="py-2 pr-3 whitespace-nowrap">
                      {r.checks[i] ? <Meter check={r.checks[i]} /> : "–"}
                    </td>
                  ))}
                  {rows.some((x) => x.given.of > 0) ? (
                    <td className="py-2 pr-3 whitespace-nowrap">
                      {r.submission ? `${r.given.right} of ${r.given.of}` : "–"}
                    </td>
                  ) : null}
                  <td className="py-2 pr-3 whitespace-nowrap">
                    {STATE[r.state]}
                    {r.submittedAt ? (
                      <>
                        {" "}
                        <LocalTime at={r.submittedAt} day />
                      </>
                    ) : null}
                    {r.late > 0 ? <strong className="ml-1 text-copper-dark">{lateText(r.late)}</strong> : null}
                  </td>
                  <td className="py-2 whitespace-nowrap">{r.points === null ? "–" : `${r.points} / ${total}`}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        {rows.length === 0 ? <p className="mt-4">Nobody has joined the class yet.</p> : null}
        {open ? (
          <section aria-label="As submitted" className="mt-5 rounded-lg border border-line">
            {/* Drawn by our own painter, which escapes every text, when it was submitted. */}
            <div
              className="overflow-x-auto p-2 [&>svg]:h-auto [&>svg]:max-w-full"
              dangerouslySetInnerHTML={{ __html: open.drawing }}
            />
            <p className="border-t border-line px-3 py-2 text-[14px]">
              <a
                className="font-bold text-verdigris underline"
                href={`/submissions/${open.id}/reader`}
                target="_blank"
                rel="noreferrer"
              >
                Chart and read view as submitted
              </a>
            </p>
          </section>
        ) : null}
      </main>
      {open ? <MarkPanel key={open.id} open={open} total={total} onStep={step} /> : null}
    </div>
  );
}

/** One given date: what was answered, what was worked out of it, and what the teacher says instead. */
function GivenLine({
  n,
  submission,
  given: g,
}: {
  n: number;
  submission: string;
  given: DeskSubmission["given"][number];
}) {
  const router = useRouter();
  const [asking, setAsking] = useState(false);
  const [result, setResult] = useState<GivenResult>(g.override?.result ?? "right");
  const [reason, setReason] = useState(g.override?.reason ?? "");
  const [problem, setProblem] = useState<string | null>(null);
  const path = `/api/submissions/${submission}/given/${n}`;
  const counts = g.override?.result ?? g.result;
  const set = async (method: "PUT" | "DELETE", body?: object) => {
    const answer = await askServer(method, path, body);
    setProblem(answer.ok ? null : answer.sentence);
    if (!answer.ok) return;
    setAsking(false);
    router.refresh();
  };
  return (
    <li className="border-b border-line py-1">
      {g.title}:{" "}
      <strong className={counts === "right" ? "text-verdigris" : "text-copper-dark"}>
        {g.locked ? "given with its date" : GIVEN_WORDS[counts]}
      </strong>
      {g.locked ? null : (
        <span className="block text-quiet">
          {g.answer || "nothing"} {g.result === "right" ? "" : `– right is ${g.right}`}
        </span>
      )}
      {g.override ? (
        <span className="block">
          Set by you: {g.override.reason}{" "}
          <button type="button" className="font-bold underline" onClick={() => void set("DELETE")}>
            Take it back
          </button>
        </span>
      ) : null}
      {g.locked ? null : asking ? (
        <span className="mt-1 flex flex-col gap-1.5">
          <select
            aria-label={`${g.title}: counts as`}
            className={INPUT}
            value={result}
            onChange={(e) => setResult(e.target.value as GivenResult)}
          >
            {(["right", "less_exact", "wrong"] as const).map((r) => (
              <option key={r} value={r}>
                {GIVEN_WORDS[r]}
              </option>
            ))}
          </select>
          <input
            aria-label={`${g.title}: why`}
            className={INPUT}
            placeholder="Why – the group reads it"
            value={reason}
            onChange={(e) => setReason(e.target.value)}
          />
          <span className="flex gap-1.5">
            <Button size="small" kind="main" onClick={() => void set("PUT", { result, reason })}>
              Let it count so
            </Button>
            <Button size="small" onClick={() => setAsking(false)}>
              Cancel
            </Button>
          </span>
          {problem ? <span className="font-bold text-copper-dark">{problem}</span> : null}
        </span>
      ) : g.override ? null : (
        <button
          type="button"
          className="text-[13px] font-bold text-verdigris underline"
          onClick={() => setAsking(true)}
        >
          Let it count otherwise
        </button>
      )}
    </li>
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
      {check.have} of {check.need}
    </span>
  );
}

function MarkPanel({ open, total, onStep }: { open: DeskSubmission; total: number; onStep: (by: 1 | -1) => void }) {
  const router = useRouter();
  const ready = useReady();
  // What could not be saved yet is found again when one comes back.
  const kept = saverOf(open.id, total).unsaved;
  const [points, setPoints] = useState(kept?.points ?? (open.points === null ? "" : String(open.points)));
  const [comment, setComment] = useState(kept?.comment ?? open.comment);
  const [comments, setComments] = useState(kept?.comments ?? open.comments);
  const [failed, setFailed] = useState<string | null>(null);
  const saver = saverOf(open.id, total);
  const state = useSyncExternalStore(saver.subscribe, saver.getState, saver.getState);
  /** What is typed is with the saver at once, which keeps it wherever one goes next. */
  const change = (part: Partial<MarkValues>) => {
    const next = { points, comment, comments, ...part };
    setPoints(next.points);
    setComment(next.comment);
    setComments(next.comments);
    saver.set(next);
  };
  return (
    <aside
      aria-label="Marking"
      className="w-[360px] shrink-0 overflow-y-auto border-l border-line bg-panel p-5 max-lg:w-full max-lg:border-t max-lg:border-l-0"
    >
      <div className="flex items-center gap-2">
        <h2 className="text-[20px]">{open.members.join(", ")}</h2>
        <span className="ml-auto flex gap-1">
          <Button size="small" onClick={() => onStep(-1)} title="Alt and the up arrow">
            Previous
          </Button>
          <Button size="small" onClick={() => onStep(1)} title="Alt and the down arrow">
            Next
          </Button>
        </span>
      </div>
      <p className="mt-1 text-[14px] text-quiet">
        Kept as submitted, <LocalTime at={open.submittedAt} />
        {open.late > 0 ? <strong className="text-copper-dark"> · {lateText(open.late)}</strong> : null} · edited since:{" "}
        {open.editedSince ? "yes" : "no"}
      </p>
      {open.given.length > 0 ? (
        <section aria-label="Given dates" className="mt-4">
          <h3 className="font-sans text-[14px] font-bold">Given dates</h3>
          <ul className="mt-1 text-[14px]">
            {open.given.map((g, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a frozen list
              <GivenLine key={i} n={i} submission={open.id} given={g} />
            ))}
          </ul>
        </section>
      ) : null}
      <section aria-label="Requirements" className="mt-4">
        <h3 className="font-sans text-[14px] font-bold">Requirements</h3>
        <ul className="mt-1 text-[14px]">
          {open.checks.map((c) => (
            <li key={c.requirement.kind} className={c.met ? "" : "font-bold text-copper-dark"}>
              {requirementName(c.requirement)}: {c.have} of {c.need}
              {c.met ? "" : ` – ${c.missing}`}
            </li>
          ))}
        </ul>
      </section>
      <div className="mt-4 flex items-end gap-2">
        <Field
          label={`Points of ${total}`}
          problem={failed ?? (state.kind === "refused" || state.kind === "waiting" ? state.sentence : null)}
          className="w-full"
        >
          {(ids) => (
            <input
              id={ids.id}
              aria-describedby={ids.describedBy}
              inputMode="decimal"
              className={INPUT}
              value={points}
              onChange={(e) => change({ points: e.target.value })}
            />
          )}
        </Field>
      </div>
      <Field label="Comment on the whole" className="mt-3">
        {(ids) => (
          <textarea
            id={ids.id}
            rows={3}
            className={`${INPUT} h-auto py-2`}
            value={comment}
            onChange={(e) => change({ comment: e.target.value })}
          />
        )}
      </Field>
      <details className="mt-3" open={Object.values(comments).some(Boolean)}>
        <summary className="cursor-pointer font-bold">Comments on single events</summary>
        <ul className="mt-2 flex flex-col gap-2">
          {open.events.map((e) => (
            <li key={e.id}>
              <Field label={`${e.when ? `${e.when} · ` : ""}${e.title || "Untitled"}`}>
                {(ids) => (
                  <textarea
                    id={ids.id}
                    rows={1}
                    className={`${INPUT} h-auto py-1.5`}
                    value={comments[e.id] ?? ""}
                    onChange={(x) => change({ comments: { ...comments, [e.id]: x.target.value } })}
                  />
                )}
              </Field>
            </li>
          ))}
        </ul>
      </details>
      <div className="mt-4 flex items-center gap-3 border-t border-line pt-3">
        {open.returnedAt ? (
          <span>
            Returned <LocalTime at={open.returnedAt} />
          </span>
        ) : (
          <Button
            kind="main"
            disabled={!ready || points.trim() === ""}
            onClick={async () => {
              if (!(await saver.flush())) return;
              const answer = await askServer("POST", `/api/submissions/${open.id}/return`);
              setFailed(answer.ok ? null : answer.sentence);
              router.refresh();
            }}
          >
            Return this
          </Button>
        )}
        <span role="status" className="text-[14px] text-verdigris">
          {state.kind === "saved" ? "Saved" : state.kind === "saving" ? "Saving" : ""}
        </span>
      </div>
      <p className="mt-3 text-[12px] text-quiet [overflow-wrap:anywhere]">Fingerprint {open.hash}</p>
    </aside>
  );
}
