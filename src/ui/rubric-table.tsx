import { bestOf, type Rubric } from "@/core/classes/rubric";
import { WORDS } from "@/core/words/rubric-table";
import { classes } from "@/ui/classes";

/** What work is marked by, as those read it who do it; `chosen`: the levels it reached. */
export function RubricTable({
  rubric,
  chosen = [],
  className,
}: {
  rubric: Rubric;
  chosen?: readonly (number | null)[];
  className?: string;
}) {
  return (
    <section aria-label={WORDS.markedBy} className={className}>
      <h3 className="font-sans text-[14px] font-bold">{WORDS.markedBy}</h3>
      <ul className="mt-1 flex flex-col gap-2">
        {rubric.criteria.map((c, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a list that is only read
          <li key={i} className="text-[14px]">
            <strong>{c.name}</strong> <span className="text-quiet">{WORDS.upTo(bestOf(c), c.weight)}</span>
            <ul className="ms-4 list-disc">
              {c.levels.map((l, k) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: a list that is only read
                <li key={k} className={classes(chosen[i] === k && "bg-sun-wash font-bold")}>
                  {l.name}
                  {l.text ? `: ${l.text}` : ""} ({l.points})
                  {chosen[i] === k ? <span className="sr-only"> {WORDS.reached}</span> : null}
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
    </section>
  );
}
