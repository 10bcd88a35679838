"use client";

import { useRouter } from "next/navigation";
import type { Question, Reply } from "@/core/check/own-work";
import { WORDS } from "@/core/words/marking";
import { SendLine } from "@/ui/controls/send-line";

/** What was answered to a mark, and the field to answer in. */
export function Replies({ submission, replies, may }: { submission: string; replies: readonly Reply[]; may: boolean }) {
  const router = useRouter();
  return (
    <section aria-label={WORDS.replies} className="mt-4 border-t border-line pt-3">
      <h3 className="font-sans text-[14px] font-bold">{WORDS.replies}</h3>
      <ul className="mt-1 flex flex-col gap-1 text-[14px]">
        {replies.map((r) => (
          <li key={r.id}>
            <strong>{r.by}:</strong> <span className="whitespace-pre-line">{r.text}</span>
          </li>
        ))}
      </ul>
      {may ? (
        <SendLine
          label={WORDS.replyTo}
          button={WORDS.reply}
          path={`/api/submissions/${submission}/replies`}
          method="POST"
          onSent={() => router.refresh()}
        />
      ) : null}
    </section>
  );
}

/** Where a group is stuck, and what it was answered. */
export function Questions({
  questions,
  titles,
}: {
  questions: readonly Question[];
  titles: Readonly<Record<string, string>>;
}) {
  const router = useRouter();
  return (
    <section aria-label={WORDS.questions} className="mt-4 border-t border-line pt-3">
      <h3 className="font-sans text-[14px] font-bold">{WORDS.questions}</h3>
      <ul className="mt-1 flex flex-col gap-2 text-[14px]">
        {questions.map((q) => (
          <li key={q.id}>
            <strong>{q.by}</strong> {titles[q.event] ? WORDS.atEvent(titles[q.event]!) : ""}:{" "}
            <span className="whitespace-pre-line">{q.text}</span>
            {q.answer ? (
              <span className="block border-s-2 border-verdigris ps-2 whitespace-pre-line">
                {q.answeredBy}: {q.answer}
              </span>
            ) : (
              <SendLine
                label={WORDS.answerTo(q.by)}
                button={WORDS.send}
                path={`/api/questions/${q.id}`}
                method="PUT"
                onSent={() => router.refresh()}
              />
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
