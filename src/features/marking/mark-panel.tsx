"use client";

import { WORDS as COMMON } from "@/core/words/common";

import { BegunWith } from "@/ui/begun-with";
import { WORDS } from "@/core/words/marking";
import { useRefresh } from "@/ui/use-refresh";
import { useState } from "react";
import { requirementKey } from "@/core/check/requirements";
import { requirementName } from "@/core/words/class-work";
import { lateText } from "@/core/words/late";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { useReady } from "@/ui/use-ready";
import { ZonedTime } from "@/ui/zoned-time";
import type { DeskSubmission } from "./desk-submission";
import { ReviewsSaid } from "@/ui/reviews-said";
import { WORDS as MODERATION } from "@/core/words/moderation";
import { ChangeMark } from "./change-mark";
import { CloseWording } from "./close-wording";
import { CommentBank } from "./comment-bank";
import { GalleryBox } from "./gallery-box";
import { GivenLine } from "./given-line";
import { MarkVoice } from "./mark-voice";
import { RubricMarks } from "./rubric-marks";
import { Questions, Replies } from "./talk";
import { useFocusWhenOpened } from "./use-focus";
import { useMark } from "./use-mark";

/** Beside what was handed in: what is known of it, the points, the comment on the whole, and giving it back. */
export function MarkPanel({
  open,
  total,
  zone,
  mayMark,
  gallery,
  second,
  onStep,
}: {
  open: DeskSubmission;
  /** Assistants comment, and give no marks. */
  mayMark: boolean;
  /** What is shown to the class. */
  gallery: readonly string[];
  /** What second markers gave. */
  second: readonly { by: string; points: number; comment: string }[];
  total: number;
  zone: string;
  onStep: (by: 1 | -1) => void;
}) {
  const heading = useFocusWhenOpened<HTMLHeadingElement>();
  const refresh = useRefresh();
  const ready = useReady();
  const [failed, setFailed] = useState<string | null>(null);
  const { values, state, saver, change } = useMark(open, total);
  const locked = open.returnedAt !== null && open.points !== null;
  const giveBack = async (toImprove: boolean) => {
    if (!(await saver.flush())) return;
    const answer = await askServer("PUT", `/api/submissions/${open.id}/return`, { toImprove });
    setFailed(answer.ok ? null : answer.sentence);
    void refresh();
  };
  return (
    <aside
      aria-label={WORDS.marking}
      // Where both do not stand beside each other, what is being marked comes first.
      className="w-[340px] shrink-0 overflow-y-auto border-s border-line bg-panel p-5 max-lg:order-first max-lg:w-full max-lg:border-b max-lg:border-s-0"
    >
      <div className="flex items-center gap-2">
        <h2 ref={heading} tabIndex={-1} className="text-[20px]">
          {open.members.join(", ")}
        </h2>
        <span className="ms-auto flex gap-1">
          <Button size="small" onClick={() => onStep(-1)} title={WORDS.altAndTheUpArrow}>
            {WORDS.previous}
          </Button>
          <Button size="small" onClick={() => onStep(1)} title={WORDS.altAndTheDownArrow}>
            {WORDS.next}
          </Button>
        </span>
      </div>
      <p className="mt-1 text-[14px] text-quiet">
        {WORDS.keptAsSubmitted} <ZonedTime at={open.submittedAt} zone={zone} />
        {open.late > 0 ? <strong className="text-copper-dark"> · {lateText(open.late)}</strong> : null}{" "}
        {WORDS.editedSince(open.editedSince ? WORDS.yes : WORDS.no)}
      </p>
      {open.before ? (
        <p className="mt-2 rounded-md bg-sun-wash px-2.5 py-2 text-[14px]">
          {WORDS.handedInAgainBeforeOn} <ZonedTime at={open.before.submittedAt} zone={zone} />:{" "}
          <strong>{open.before.points === null ? WORDS.noPoints : WORDS.of(open.before.points, total)}</strong>
          {open.before.comment ? (
            <span className="block whitespace-pre-line">{COMMON.named(open.before.comment)}</span>
          ) : null}
        </p>
      ) : null}
      <div className="mt-4 flex items-end gap-2">
        <Field
          label={WORDS.pointsOf(total)}
          problem={failed ?? (state.kind === "refused" || state.kind === "waiting" ? state.sentence : null)}
          className="w-full"
        >
          {(ids) => (
            <input
              id={ids.id}
              aria-describedby={ids.describedBy}
              inputMode="decimal"
              className={INPUT}
              value={locked ? String(open.points) : values.points}
              disabled={locked || !mayMark}
              onChange={(e) => change({ points: e.target.value })}
            />
          )}
        </Field>
        {locked && mayMark ? <ChangeMark open={open} total={total} /> : null}
      </div>
      {open.earlier.map((m) => (
        <p key={m.at} className="mt-1 text-[13px]">
          {WORDS.changedBefore} <ZonedTime at={m.at} zone={zone} />: {WORDS.was(m.points, total)}.{" "}
          {COMMON.named(m.reason)}
        </p>
      ))}
      {open.rubric ? (
        <RubricMarks
          rubric={open.rubric}
          chosen={locked ? open.levels : values.levels}
          points={locked ? String(open.points) : values.points}
          total={total}
          disabled={locked || !mayMark}
          name="mark"
          onChoose={(levels, sum) => change(sum === null ? { levels } : { levels, points: String(sum) })}
        />
      ) : null}
      <Field label={WORDS.commentOnTheWhole} className="mt-3">
        {(ids) => (
          <textarea
            id={ids.id}
            rows={3}
            className={`${INPUT} h-auto py-2`}
            value={values.comment}
            onChange={(e) => change({ comment: e.target.value })}
          />
        )}
      </Field>
      <CommentBank text={values.comment} onInsert={(comment) => change({ comment })} />
      <MarkVoice submission={open.id} voice={open.voice} />
      <div className="mt-3 flex flex-wrap items-center gap-2">
        {!mayMark ? null : open.heldUntil ? (
          <span className="text-[14px]">
            {WORDS.held} <ZonedTime at={open.heldUntil} zone={zone} />
          </span>
        ) : open.returnedAt ? (
          <>
            <span className="text-[14px]">
              {WORDS.returned} <ZonedTime at={open.returnedAt} zone={zone} />
              {open.toImprove ? WORDS.toImproveItCanBe : "."}
            </span>
            <Button size="small" disabled={!ready} onClick={() => void giveBack(!open.toImprove)}>
              {open.toImprove ? WORDS.itStandsAsItIs : WORDS.letItBeHandedIn}
            </Button>
          </>
        ) : (
          <>
            <Button kind="main" disabled={!ready || values.points.trim() === ""} onClick={() => void giveBack(false)}>
              {WORDS.returnThis}
            </Button>
            <Button
              disabled={!ready || values.points.trim() === ""}
              title={WORDS.itsGroupCanHandIt}
              onClick={() => void giveBack(true)}
            >
              {WORDS.returnToImprove}
            </Button>
          </>
        )}
        <span role="status" className="text-[14px] text-verdigris">
          {state.kind === "saved" ? WORDS.saved : state.kind === "saving" ? WORDS.saving : ""}
        </span>
      </div>
      {open.returnedAt ? <Replies submission={open.id} replies={open.replies} may={mayMark} /> : null}
      {open.questions.length > 0 ? (
        <Questions
          questions={open.questions}
          titles={Object.fromEntries(open.events.map((e) => [e.id, e.title || WORDS.untitled]))}
        />
      ) : null}
      {second.length > 0 ? (
        <section aria-label={MODERATION.seconds} className="mt-4 border-t border-line pt-3 text-[14px]">
          <h3 className="font-sans text-[14px] font-bold">{MODERATION.seconds}</h3>
          <ul>
            {second.map((s) => (
              <li key={s.by}>
                <strong>{MODERATION.of(s.by, s.points, total)}</strong>
                {s.comment ? ` – ${s.comment}` : ""}
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      {open.reviews.said.length > 0 ? <ReviewsSaid {...open.reviews} total={total} /> : null}
      {open.close.length > 0 ? <CloseWording open={open} /> : null}
      {open.aside.length > 0 ? (
        <section aria-label={WORDS.asideTitle} className="mt-4 text-[14px]">
          <h3 className="font-sans text-[14px] font-bold">{WORDS.asideTitle}</h3>
          <ul className="list-disc ps-5">
            {open.aside.map((reason) => (
              <li key={reason}>{reason}</li>
            ))}
          </ul>
        </section>
      ) : null}
      {open.given.length > 0 ? (
        <section aria-label={WORDS.givenDates} className="mt-4 border-t border-line pt-3">
          <h3 className="font-sans text-[14px] font-bold">{WORDS.givenDates}</h3>
          <ul className="mt-1 text-[14px]">
            {open.given.map((g, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a frozen list
              <GivenLine key={i} n={i} submission={open.id} given={g} />
            ))}
          </ul>
        </section>
      ) : null}
      <section aria-label={WORDS.requirements} className="mt-4">
        <h3 className="font-sans text-[14px] font-bold">{WORDS.requirements}</h3>
        <ul className="mt-1 text-[14px]">
          {open.checks.map((c) => (
            <li key={requirementKey(c.requirement)} className={c.met ? "" : "font-bold text-copper-dark"}>
              {WORDS.of2(requirementName(c.requirement), c.have, c.need, c.met ? "" : ` – ${c.missing}`)}
            </li>
          ))}
        </ul>
      </section>
      {mayMark && open.returnedAt ? (
        <GalleryBox assignment={open.assignment} submission={open.id} gallery={gallery} />
      ) : null}
      {open.timeline ? (
        <p className="mt-3 text-[14px]">
          <a
            className="font-bold text-verdigris underline"
            href={`/timelines/${open.timeline}/who`}
            target="_blank"
            rel="noreferrer"
          >
            {WORDS.whoDidWhat}
          </a>
        </p>
      ) : null}
      <BegunWith of={open.basedOn} className="mt-3 rounded-md bg-sun-wash px-2.5 py-1.5 text-[14px]" />
      <p className="mt-3 text-[12px] text-quiet [overflow-wrap:anywhere]">{WORDS.fingerprint(open.hash)}</p>
    </aside>
  );
}
