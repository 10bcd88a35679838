"use client";

import { Plus, Trash2, X } from "lucide-react";
import { useCallback, useEffect, useRef, useState } from "react";
import { type Criterion, MOST_CRITERIA, MOST_LEVELS, type Rubric, rubricFrom } from "@/core/classes/rubric";
import { WORDS } from "@/core/words/setting";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT, SHORT_INPUT } from "@/ui/controls/field";
import { HiddenFile } from "@/ui/controls/hidden-file";
import { Problem } from "@/ui/controls/problem";
import { readJson, saveJson } from "@/ui/save-file";
import { useLatest } from "@/ui/use-latest";

const freshCriterion = (name: string): Criterion => ({
  name,
  weight: 1,
  levels: WORDS.levelNames.map((level, i) => ({ name: level, text: "", points: 3 - i })),
});
const freshRubric = (): Rubric => ({ name: "", criteria: WORDS.criteriaNames.map(freshCriterion) });

/** What work is marked by: made here, taken from those one has kept, or out of a file. */
export function RubricEditor({
  rubric,
  onChange,
}: {
  rubric: Rubric | null;
  onChange: (rubric: Rubric | null) => void;
}) {
  const [kept, setKept] = useState<{ id: string; rubric: Rubric }[]>([]);
  const [said, setSaid] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const file = useRef<HTMLInputElement>(null);
  const asked = useLatest();
  const look = useCallback(async () => {
    const isLast = asked();
    const answer = await askServer<{ rubrics: { id: string; rubric: Rubric }[] }>("GET", "/api/rubrics");
    if (answer.ok && isLast()) setKept(answer.value.rubrics);
  }, [asked]);
  useEffect(() => void look(), [look]);
  const take = async (chosen: File) => {
    const read = rubricFrom(await readJson(chosen));
    setProblem(read ? null : WORDS.noRubricFile);
    if (read) onChange(read);
  };
  const keep = async () => {
    const answer = await askServer("POST", "/api/rubrics", { rubric });
    setProblem(answer.ok ? null : answer.sentence);
    setSaid(answer.ok ? WORDS.rubricKept : null);
    if (answer.ok) await look();
  };
  const ways = (
    <div className="mt-2 flex flex-wrap items-center gap-2">
      {rubric ? null : (
        <Button size="small" onClick={() => onChange(freshRubric())}>
          <Plus size={15} aria-hidden /> {WORDS.makeRubric}
        </Button>
      )}
      {kept.length > 0 ? (
        <select
          aria-label={WORDS.keptRubrics}
          className={`${SHORT_INPUT} w-auto`}
          value=""
          onChange={(e) => onChange(kept.find((k) => k.id === e.target.value)?.rubric ?? rubric)}
        >
          <option value="">{WORDS.keptRubrics} …</option>
          {kept.map((k) => (
            <option key={k.id} value={k.id}>
              {k.rubric.name || WORDS.untitled}
            </option>
          ))}
        </select>
      ) : null}
      <Button size="small" kind="quiet" onClick={() => file.current?.click()}>
        {WORDS.rubricIn}
      </Button>
      <HiddenFile
        input={file}
        label={WORDS.rubricFile}
        accept=".json,application/json"
        onChoose={(f) => void take(f)}
      />
      {rubric ? (
        <>
          <Button size="small" onClick={() => void keep()}>
            {WORDS.keepRubric}
          </Button>
          <Button
            size="small"
            kind="quiet"
            onClick={() => saveJson(rubric.name || "rubric", { fastigo: "rubric", version: 1, rubric })}
          >
            {WORDS.rubricOut}
          </Button>
          <Button size="small" kind="quiet" onClick={() => onChange(null)}>
            {WORDS.withoutRubric}
          </Button>
        </>
      ) : null}
      <span role="status" className="text-[14px] text-verdigris">
        {said}
      </span>
    </div>
  );
  const alter = (i: number, part: Partial<Criterion>) =>
    rubric && onChange({ ...rubric, criteria: rubric.criteria.map((c, k) => (k === i ? { ...c, ...part } : c)) });
  return (
    <section aria-label={WORDS.rubricEditor}>
      <h2 className="mb-1 text-[18px]">{WORDS.rubric}</h2>
      <p className="text-[14px] text-quiet">{WORDS.rubricHelp}</p>
      {rubric ? (
        <>
          <Field label={WORDS.rubricName} className="mt-2 max-w-96">
            {(ids) => (
              <input
                id={ids.id}
                className={INPUT}
                maxLength={120}
                placeholder={WORDS.rubricNameExample}
                value={rubric.name}
                onChange={(e) => {
                  setSaid(null);
                  onChange({ ...rubric, name: e.target.value });
                }}
              />
            )}
          </Field>
          {rubric.criteria.map((c, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a criterion is its place
            <div key={i} className="mt-3 rounded-lg border border-line bg-white p-3">
              <div className="flex flex-wrap items-center gap-2">
                <input
                  aria-label={WORDS.criterion(i + 1)}
                  placeholder={WORDS.criterionExample}
                  className={`${SHORT_INPUT} min-w-40 flex-1 font-bold`}
                  maxLength={120}
                  value={c.name}
                  onChange={(e) => alter(i, { name: e.target.value })}
                />
                <span className="text-[13px] text-quiet">{WORDS.countsShort}</span>
                <select
                  aria-label={WORDS.counts(i + 1)}
                  className={`${SHORT_INPUT} w-16`}
                  value={c.weight}
                  onChange={(e) => alter(i, { weight: Number(e.target.value) })}
                >
                  {Array.from({ length: 10 }, (_, n) => n + 1).map((n) => (
                    <option key={n}>{n}</option>
                  ))}
                </select>
                <span className="text-[13px] text-quiet">×</span>
                <button
                  type="button"
                  aria-label={WORDS.takeCriterionAway(i + 1)}
                  className="rounded-md p-2 hover:bg-verdigris-wash"
                  onClick={() => {
                    const left = rubric.criteria.filter((_, k) => k !== i);
                    onChange(left.length > 0 ? { ...rubric, criteria: left } : null);
                  }}
                >
                  <Trash2 size={16} aria-hidden />
                </button>
              </div>
              <div className="mt-2 grid gap-2 [grid-template-columns:repeat(auto-fit,minmax(140px,1fr))]">
                {c.levels.map((l, k) => {
                  const level = (part: Partial<typeof l>) =>
                    alter(i, { levels: c.levels.map((x, n) => (n === k ? { ...x, ...part } : x)) });
                  return (
                    // biome-ignore lint/suspicious/noArrayIndexKey: a level is its place
                    <div key={k} className="rounded-md bg-panel p-2">
                      <div className="flex items-center gap-1">
                        <input
                          aria-label={WORDS.levelName(i + 1, k + 1)}
                          className={`${SHORT_INPUT} min-w-0 flex-1`}
                          maxLength={60}
                          value={l.name}
                          onChange={(e) => level({ name: e.target.value })}
                        />
                        {c.levels.length > 2 ? (
                          <button
                            type="button"
                            aria-label={WORDS.takeLevelAway(i + 1, k + 1)}
                            className="rounded-md p-1 hover:bg-verdigris-wash"
                            onClick={() => alter(i, { levels: c.levels.filter((_, n) => n !== k) })}
                          >
                            <X size={14} aria-hidden />
                          </button>
                        ) : null}
                      </div>
                      <textarea
                        aria-label={WORDS.levelText(i + 1, k + 1)}
                        rows={3}
                        maxLength={600}
                        className={`${INPUT} mt-1 h-auto py-1 text-[13px]`}
                        value={l.text}
                        onChange={(e) => level({ text: e.target.value })}
                      />
                      <label className="mt-1 flex items-center gap-1.5 text-[13px] text-quiet">
                        <input
                          aria-label={WORDS.levelPoints(i + 1, k + 1)}
                          type="number"
                          min={0}
                          max={100}
                          step={0.5}
                          className={`${SHORT_INPUT} w-20`}
                          value={l.points}
                          onChange={(e) =>
                            level({
                              points: Math.min(100, Math.max(0, Math.round(Number(e.target.value) * 2) / 2 || 0)),
                            })
                          }
                        />
                        {WORDS.points}
                      </label>
                    </div>
                  );
                })}
              </div>
              {c.levels.length < MOST_LEVELS ? (
                <Button
                  size="small"
                  kind="quiet"
                  className="mt-1"
                  onClick={() => alter(i, { levels: [...c.levels, { name: "", text: "", points: 0 }] })}
                >
                  <Plus size={14} aria-hidden /> {WORDS.addLevel}
                </Button>
              ) : null}
            </div>
          ))}
          {rubric.criteria.length < MOST_CRITERIA ? (
            <Button
              size="small"
              kind="quiet"
              className="mt-2"
              onClick={() => onChange({ ...rubric, criteria: [...rubric.criteria, freshCriterion("")] })}
            >
              <Plus size={15} aria-hidden /> {WORDS.addCriterion}
            </Button>
          ) : null}
        </>
      ) : null}
      {ways}
      <Problem text={problem} className="mt-2" />
    </section>
  );
}
