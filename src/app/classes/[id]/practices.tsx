import { WORDS } from "@/core/words/classes";
import { WORDS as PAGES } from "@/core/words/pages";
import { GivePractice, TakePracticeBack } from "@/features/classes/practice-desk";
import { practicable, practicesOf } from "@/server/classes/practice";
import { ZonedTime } from "@/ui/zoned-time";

/** The practices of a class: for its teachers with what each student made of them, for a student with their own. */
export async function Practices({
  klass,
  zone,
  account,
  isTeacher,
}: {
  klass: string;
  zone: string;
  account: string;
  isTeacher: boolean;
}) {
  const practices = await practicesOf(klass, account, isTeacher);
  if (practices.length === 0 && !isTeacher) return null;
  const timelines = isTeacher ? await practicable(klass, account) : [];
  return (
    <section aria-label={WORDS.practices}>
      <h2 className="mt-6 mb-2 text-[18px]">{WORDS.practices}</h2>
      {isTeacher ? (
        <>
          <p className="mb-2 text-[14px] text-quiet">{WORDS.practiceHelp}</p>
          <GivePractice klass={klass} zone={zone} timelines={timelines} />
        </>
      ) : null}
      <ul className="divide-y divide-line border-y border-line">
        {practices.map((p) => {
          const title = p.title || WORDS.untitledPractice;
          const best = (r: (typeof p.results)[number]) =>
            `${WORDS.best(r.right, p.cards, Math.round(r.share * 100))}, ${WORDS.tries(r.tries)}`;
          return (
            <li key={p.id} className="py-2.5">
              <a href={`/practice/${p.id}`} className="text-[16px] font-bold text-verdigris underline">
                {title}
              </a>
              <span className="ms-3 text-[14px] text-quiet">
                {p.dueAt ? (
                  <>
                    {PAGES.due2} <ZonedTime at={p.dueAt.toISOString()} zone={p.zone} /> ·{" "}
                  </>
                ) : null}
                {WORDS.cards(p.cards)} ·{" "}
                <span className="whitespace-nowrap">
                  {isTeacher ? WORDS.doneBy(p.results.length) : p.results[0] ? best(p.results[0]) : WORDS.notDone}
                </span>
              </span>
              {isTeacher ? (
                <>
                  <span className="float-right">
                    <TakePracticeBack klass={klass} id={p.id} title={title} />
                  </span>
                  <ul className="mt-1 text-[14px]">
                    {p.results.map((r) => (
                      <li key={r.account}>
                        <strong>{r.name}</strong>: {best(r)}
                        {p.dueAt && r.firstAt > p.dueAt ? `, ${WORDS.afterTheTime}` : ""}
                      </li>
                    ))}
                  </ul>
                  {p.missing.length > 0 ? (
                    <p className="mt-1 text-[14px] text-quiet">{WORDS.notDoneBy(p.missing)}</p>
                  ) : null}
                </>
              ) : null}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
