"use client";

import { type KeyboardEvent, useRef } from "react";
import { type Rubric, rubricSum } from "@/core/classes/rubric";
import { WORDS } from "@/core/words/marking";
import { rubricSumText } from "@/core/words/setting";
import { classes } from "@/ui/classes";
import { Button } from "@/ui/controls/button";

/** The rubric as it is marked by: a level a criterion, by pointer or by digits, and how the sum comes about. */
export function RubricMarks({
  rubric,
  chosen,
  points,
  total,
  disabled,
  name,
  onChoose,
}: {
  rubric: Rubric;
  chosen: readonly (number | null)[];
  /** The points as they stand in their field. */
  points: string;
  total: number;
  disabled: boolean;
  /** Tells the groups of buttons of two rubrics on one page apart. */
  name: string;
  /** The levels now, and the points they come to; null while a criterion is open. */
  onChoose: (levels: (number | null)[], points: number | null) => void;
}) {
  const list = useRef<HTMLUListElement>(null);
  const sum = rubricSum(rubric, chosen, total);
  const choose = (i: number, level: number) => {
    const levels = rubric.criteria.map((_, k) => (k === i ? level : (chosen[k] ?? null)));
    onChoose(levels, rubricSum(rubric, levels, total).points);
  };
  const keys = (e: KeyboardEvent, i: number) => {
    const level = Number(e.key) - 1;
    if (!/^[1-9]$/.test(e.key) || e.altKey || e.ctrlKey || e.metaKey || !rubric.criteria[i]!.levels[level] || disabled)
      return;
    e.preventDefault();
    choose(i, level);
    const groups = list.current?.querySelectorAll("fieldset") ?? [];
    const next = groups[Math.min(i + 1, groups.length - 1)];
    (next?.querySelector<HTMLInputElement>("input:checked") ?? next?.querySelector<HTMLInputElement>("input"))?.focus();
  };
  const typed = Number(points.trim().replace(",", "."));
  return (
    <section aria-label={WORDS.rubric} className="mt-4 border-t border-line pt-3">
      <h3 className="font-sans text-[14px] font-bold">{WORDS.rubric}</h3>
      <ul ref={list} className="mt-1 flex flex-col gap-2">
        {rubric.criteria.map((c, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a criterion is its place
          <li key={i}>
            <fieldset disabled={disabled} onKeyDown={(e) => keys(e, i)} className="text-[14px]">
              <legend className="font-bold">
                {c.name}
                {c.weight > 1 ? <span className="font-normal text-quiet"> ×{c.weight}</span> : null}
              </legend>
              <div className="flex flex-wrap gap-1">
                {c.levels.map((l, k) => (
                  <label
                    // biome-ignore lint/suspicious/noArrayIndexKey: a level is its place
                    key={k}
                    title={l.text}
                    className={classes(
                      "flex min-h-8 cursor-pointer items-center gap-1.5 rounded-md border px-2 has-focus-visible:outline-3 has-focus-visible:outline-sun",
                      chosen[i] === k ? "border-verdigris bg-verdigris-wash font-bold" : "border-line bg-white",
                    )}
                  >
                    <input
                      type="radio"
                      name={`${name}-${i}`}
                      className="size-3.5 accent-verdigris"
                      aria-label={WORDS.levelOf(c.name, l.name, l.points)}
                      checked={chosen[i] === k}
                      onChange={() => choose(i, k)}
                    />
                    {l.name || l.points} <span className="text-quiet">{l.points}</span>
                  </label>
                ))}
              </div>
            </fieldset>
          </li>
        ))}
      </ul>
      <p className="mt-2 text-[13px]" role="status">
        {rubricSumText(sum, total)}{" "}
        {sum.points !== null && points.trim() !== "" && typed !== sum.points ? (
          <>
            {WORDS.byHand(sum.points, points.trim())}{" "}
            <Button size="small" kind="quiet" disabled={disabled} onClick={() => onChoose([...chosen], sum.points)}>
              {WORDS.takeSum(sum.points)}
            </Button>
          </>
        ) : null}
      </p>
      <p className="text-[12px] text-quiet">{WORDS.rubricKeys}</p>
    </section>
  );
}
