"use client";

import { WORDS as LACKS } from "@/core/words/checks";

import { WORDS } from "@/core/words/editor-class-work";
import { useState } from "react";
import { GIVEN_WORDS } from "@/core/words/class-work";
import { checkRequirements, requirementKey } from "@/core/check/requirements";
import { WORKS_SHOWN } from "@/core/words/peers";
import { requirementText } from "@/core/words/class-work";
import { lateText } from "@/core/words/late";
import { whenLabel } from "@/core/time/write-when";
import { rubricSum } from "@/core/classes/rubric";
import { rubricSumText } from "@/core/words/setting";
import { RubricTable } from "@/ui/rubric-table";
import { SendLine } from "@/ui/controls/send-line";
import { LookOverSection } from "./look-over-section";
import { ReviewsSaid } from "@/ui/reviews-said";
import { Stuck } from "./stuck";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { INPUT } from "@/ui/controls/field";
import { SpokenComment } from "@/ui/voice/spoken-comment";
import { InstructionsView } from "@/ui/text/instructions-view";
import { ZonedTime } from "@/ui/zoned-time";
import { useEditor, useEditorState } from "../store/editor-context";
import { Frame } from "../sheet/frame";
import { mannerOf } from "@/core/timeline/read-options";
import { Problem } from "@/ui/controls/problem";

/** The assignment beside one's work: what is asked, who is in the group, the receipt, and the mark when it is back. */
export function WorkPanel({ onLook, onClose }: { onLook: () => void; onClose: () => void }) {
  const { store, select } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const work = useEditorState((s) => s.work);
  const editors = useEditorState((s) => s.editors);
  const [mate, setMate] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  if (!work) return null;
  const { assignment, submission, returned, keptMonths } = work;
  const mayHandIn = !submission || returned?.toImprove === true;
  const open = (id: string) => select(id, true);
  return (
    <Frame title={assignment.title} onClose={onClose}>
      <div className="flex flex-col gap-4">
        <p className="text-[14px] text-quiet">
          {WORDS.due2(assignment.className)} <ZonedTime at={assignment.dueAt} zone={assignment.zone} />{" "}
          {WORDS.points(assignment.total)}
        </p>
        {returned ? (
          <section
            aria-label={WORDS.returned2}
            className="rounded-md border-s-4 border-verdigris bg-verdigris-wash p-3"
          >
            <p className="font-head text-[22px] font-[650]">
              {returned.points === null ? WORDS.noPointsYet : WORDS.of3(returned.points, assignment.total)}
            </p>
            {returned.toImprove ? <p className="font-bold">{WORDS.returnedToImproveGoOn}</p> : null}
            {returned.comment ? <p className="mt-1 whitespace-pre-line">{returned.comment}</p> : null}
            {returned.voice && submission ? <SpokenComment submission={submission.id} voice={returned.voice} /> : null}
            {returned.earlier.map((m) => (
              <p key={m.at} className="mt-1 text-[14px]">
                {WORDS.changed(m.points, m.reason)}
              </p>
            ))}
            {returned.rubric ? (
              <>
                <p className="mt-2 text-[14px]">
                  {rubricSumText(rubricSum(returned.rubric, returned.levels, assignment.total), assignment.total)}
                </p>
                <RubricTable rubric={returned.rubric} chosen={returned.levels} className="mt-2" />
              </>
            ) : null}
            {returned.given.some((g) => !g.locked) ? (
              <>
                <h3 className="mt-3 font-sans text-[14px] font-bold">{WORDS.givenDates}</h3>
                <ul>
                  {returned.given
                    .filter((g) => !g.locked)
                    .map((g) => (
                      <li key={g.title}>
                        {g.title}: <strong>{GIVEN_WORDS[g.result]}</strong>
                        {g.result === "right" ? "" : WORDS.rightIs(whenLabel(g.right, mannerOf(timeline)))}
                        {g.reason ? <span className="block text-[13px]">{g.reason}</span> : null}
                      </li>
                    ))}
                </ul>
              </>
            ) : null}
            {returned.comments.length > 0 ? (
              <>
                <h3 className="mt-3 font-sans text-[14px] font-bold">{WORDS.commentsOnEvents}</h3>
                <ul className="flex flex-col gap-1.5">
                  {returned.comments.map((c) => (
                    <li key={c.event}>
                      <button
                        type="button"
                        className="min-h-6 font-bold text-verdigris underline"
                        onClick={() => open(c.event)}
                      >
                        {timeline.events.get(c.event)?.title || WORDS.untitled}
                      </button>
                      : {c.text}
                    </li>
                  ))}
                </ul>
              </>
            ) : null}
            {returned.reviews.length > 0 ? (
              <ReviewsSaid said={returned.reviews} agreement={null} total={assignment.total} />
            ) : null}
            {submission ? (
              <div className="mt-3">
                {returned.replies.length > 0 ? (
                  <h3 className="font-sans text-[14px] font-bold">{WORDS.answers}</h3>
                ) : null}
                <ul className="text-[14px]">
                  {returned.replies.map((r) => (
                    <li key={r.id}>
                      <strong>{r.by}:</strong> <span className="whitespace-pre-line">{r.text}</span>
                    </li>
                  ))}
                </ul>
                <SendLine
                  label={WORDS.yourAnswer}
                  button={WORDS.answer}
                  path={`/api/submissions/${submission.id}/replies`}
                  method="POST"
                  onSent={() => void store.refresh()}
                />
              </div>
            ) : null}
          </section>
        ) : null}
        {WORKS_SHOWN[assignment.worksShown] ? <p>{WORKS_SHOWN[assignment.worksShown]}</p> : null}
        {assignment.takesLate || submission ? null : <p className="font-bold">{WORDS.nothingAfter}</p>}
        <InstructionsView assignment={assignment.id} of={assignment.instructions} className="" />
        <section aria-label={WORDS.requirements}>
          <h3 className="mb-1 font-sans text-[14px] font-bold">{WORDS.whatIsAsked}</h3>
          <ul className="flex flex-col gap-1.5">
            {checkRequirements(timeline, assignment.requirements, LACKS).map((c) => (
              <li key={requirementKey(c.requirement)}>
                <span className={c.met ? "text-verdigris" : "font-bold text-copper-dark"}>{c.met ? "✓" : "–"}</span>{" "}
                {requirementText(c.requirement)}
                {c.met ? null : <span className="text-copper-dark"> ({c.missing})</span>}
                {c.events.length > 0 ? (
                  <ul className="ms-5 text-[14px]">
                    {c.events.slice(0, 12).map((id) => (
                      <li key={id}>
                        <button type="button" className="min-h-6 text-verdigris underline" onClick={() => open(id)}>
                          {timeline.events.get(id)?.title || WORDS.untitled}
                        </button>
                      </li>
                    ))}
                  </ul>
                ) : null}
              </li>
            ))}
          </ul>
        </section>
        {assignment.texts.length > 0 ? (
          <section aria-label={WORDS.textsToRead}>
            <h3 className="mb-1 font-sans text-[14px] font-bold">{WORDS.textsToRead}</h3>
            {assignment.texts.map((t, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a list that is only read
              <details key={i} className="mb-1">
                <summary className="min-h-6 cursor-pointer text-verdigris underline">
                  {t.title || WORDS.textN(i + 1)}
                </summary>
                <p className="mt-1 text-[15px] whitespace-pre-line">{t.text}</p>
              </details>
            ))}
          </section>
        ) : null}
        {assignment.model ? (
          <a
            className="w-fit font-bold text-verdigris underline"
            href={`/timelines/${assignment.model}/reader`}
            target="_blank"
            rel="noreferrer"
          >
            {WORDS.anExample}
          </a>
        ) : null}
        {assignment.rubric && !returned ? <RubricTable rubric={assignment.rubric} /> : null}
        {mayHandIn ? <LookOverSection onLook={onLook} /> : null}
        <Stuck event="" />
        {submission ? (
          <section aria-label={WORDS.receipt} className="text-[14px]">
            <h3 className="mb-1 font-sans font-bold">{WORDS.handedIn(submission.before > 0 ? WORDS.again : "")}</h3>
            <p>
              <ZonedTime at={submission.at} zone={assignment.zone} />
              {submission.late > 0 ? `, ${lateText(submission.late)}` : WORDS.inTime}.{" "}
              <a
                className="font-bold text-verdigris underline"
                href={`/submissions/${submission.id}/reader`}
                target="_blank"
                rel="noreferrer"
              >
                {WORDS.seeItAsHandedIn}
              </a>
            </p>
            <p>
              <a className="font-bold text-verdigris underline" href={`/submissions/${submission.id}/receipt`}>
                {WORDS.receiptToPrint}
              </a>
            </p>
            <p className="text-[13px] text-quiet [overflow-wrap:anywhere]">{WORDS.fingerprint(submission.hash)}</p>
            <p className="text-[13px] text-quiet">{WORDS.theClassKeepsItFor(keptMonths)}</p>
          </section>
        ) : null}
        <p className="text-[14px] text-quiet">
          {WORDS.yourTeacherCanLookAt}{" "}
          <a
            className="text-verdigris underline"
            href={`/timelines/${store.timelineId}/who`}
            target="_blank"
            rel="noreferrer"
          >
            {WORDS.whatIsCounted}
          </a>
        </p>
        <section aria-label={WORDS.theGroup}>
          <h3 className="mb-1 font-sans text-[14px] font-bold">{WORDS.theGroup}</h3>
          <p>{editors.map((e) => e.displayName).join(", ")}</p>
          {work.classmates.length > 0 && !submission ? (
            <div className="mt-2 flex gap-2">
              <select
                aria-label={WORDS.classmate}
                className={INPUT}
                value={mate}
                onChange={(e) => setMate(e.target.value)}
              >
                <option value="">{WORDS.chooseAClassmate}</option>
                {work.classmates.map((c) => (
                  <option key={c.id} value={c.id}>
                    {c.displayName}
                  </option>
                ))}
              </select>
              <Button
                disabled={mate === ""}
                onClick={async () => {
                  const answer = await askServer("POST", `/api/timelines/${store.timelineId}/classmates`, {
                    account: mate,
                  });
                  setProblem(answer.ok ? null : answer.sentence);
                  setMate("");
                  await store.refresh();
                }}
              >
                {WORDS.takeIntoTheGroup}
              </Button>
            </div>
          ) : null}
          <Problem text={problem} className="mt-1" />
        </section>
      </div>
    </Frame>
  );
}
