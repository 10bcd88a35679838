import type { Agreement } from "@/core/classes/peers";
import { agreementText, WORDS } from "@/core/words/peers";

/** What others of the class said of a work, and how far they agree. */
export function ReviewsSaid({
  said,
  agreement,
  total,
}: {
  said: readonly { by: string; points: number | null; comment: string }[];
  agreement: Agreement | null;
  total: number;
}) {
  return (
    <section aria-label={WORDS.said} className="mt-4 border-t border-line pt-3 text-[14px]">
      <h3 className="font-sans text-[14px] font-bold">{WORDS.said}</h3>
      {agreement ? <p>{agreementText(agreement, total)}</p> : null}
      <ul className="mt-1 flex flex-col gap-1.5">
        {said.map((s, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a list that is only read
          <li key={i}>
            <strong>{s.by || WORDS.somebody}</strong>
            {s.points === null ? "" : `, ${WORDS.byRubric(s.points, total)}`}
            {s.comment ? (
              <>
                : <span className="whitespace-pre-line">{s.comment}</span>
              </>
            ) : null}
          </li>
        ))}
      </ul>
    </section>
  );
}
