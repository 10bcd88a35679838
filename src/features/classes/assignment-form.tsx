"use client";

import { language } from "@/core/language/spoken";
import { WORDS as COMMON } from "@/core/words/common";

import { WORDS } from "@/core/words/classes";
import { Plus, Trash2 } from "lucide-react";
import { type FormEvent, lazy, type ReactNode, Suspense, useRef, useState } from "react";
import { type Requirement, requirementKey } from "@/core/check/requirements";
import type { Rubric } from "@/core/classes/rubric";
import { requirementText } from "@/core/words/class-work";
import type { DateProblem } from "@/core/time/date-problem";
import { offeredIn } from "@/core/time/read/said-in";
import { dateProblemText } from "@/core/words/dates";
import { readWhen } from "@/core/time/read/read-when";
import { whenLabel } from "@/core/time/write-when";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { useReady } from "@/ui/use-ready";
import { HiddenFile } from "@/ui/controls/hidden-file";
import { Problem } from "@/ui/controls/problem";
import { readJson, saveJson } from "@/ui/save-file";
import { WORDS as SETTING } from "@/core/words/setting";
import { type AssignmentValues, assignmentFrom } from "./assignment-file";
import { MakerChoices, type MakerOptions, USUAL_OPTIONS } from "./maker-choices";
import { draftOf, RequirementRows, requirementsOf } from "./requirement-rows";
import { RubricEditor } from "./rubric-editor";
import { RubricTable } from "@/ui/rubric-table";
import { FormattedText } from "@/ui/text/formatted-text";
import { withData } from "./maker-picture";

const InstructionsField = lazy(() => import("./instructions-field"));

interface Given {
  key: number;
  title: string;
  typed: string;
  locked: boolean;
}

const NONE: DateProblem = { code: "not_a_date" };

function inFields(a: AssignmentValues | null) {
  return {
    title: a?.title ?? "",
    period: a?.period ?? "",
    due: a?.due ?? "",
    total: String(a?.total ?? 20),
  };
}

/** What a new assignment begins with. */
const USUAL_REQUIREMENTS: readonly Requirement[] = [{ kind: "events", count: 12 }, { kind: "sources" }];

/** Setting the task, or altering one: what is asked for reads at the side as a student will see it. */
export function AssignmentForm({
  classId,
  zone,
  known = null,
  models,
}: {
  /** The timelines of whoever makes it: one may be shown as a model. */
  models: readonly { id: string; title: string }[];
  classId: string;
  /** The time zone of the class. */
  zone: string;
  /** The one that is altered; `begun`: its given events stay. */
  known?: (AssignmentValues & { id: string; begun: boolean }) | null;
}) {
  const ready = useReady();
  const [v, setV] = useState(() => inFields(known));
  const [text, setText] = useState(() => ({ blocks: known?.instructions ?? [], pictures: known?.pictures ?? [] }));
  /** Counts what was taken in from a file: the field begins anew with it. */
  const [taken, setTaken] = useState(0);
  const [given, setGiven] = useState<Given[]>(() => (known?.given ?? []).map((g, key) => ({ ...g, key })));
  const [problem, setProblem] = useState<string | null>(null);
  const set = (field: keyof typeof v) => (e: { target: { value: string } }) => setV({ ...v, [field]: e.target.value });
  const number = (text: string) => (/^\d+$/.test(text.trim()) && Number(text) > 0 ? Number(text) : null);
  /** How 03/04/1872 is meant, once for the whole form; null: not said yet. */
  const [order, setOrder] = useState<"dmy" | "mdy" | null>(null);
  const [rows, setRows] = useState(() => (known?.requirements ?? USUAL_REQUIREMENTS).map(draftOf));
  const [options, setOptions] = useState<MakerOptions>(() => known?.options ?? USUAL_OPTIONS);
  const [said, setSaid] = useState<string | null>(null);
  const file = useRef<HTMLInputElement>(null);
  const requirements = requirementsOf(rows);
  const take = async (chosen: File) => {
    const read = assignmentFrom(await readJson(chosen));
    setProblem(read ? null : SETTING.noAssignmentFile);
    setSaid(read ? SETTING.fromFile : null);
    if (!read) return;
    setV({ ...inFields(read), due: v.due });
    setText({ blocks: read.instructions, pictures: read.pictures });
    setTaken(taken + 1);
    setRows(read.requirements.map(draftOf));
    setGiven(read.given.map((g, key) => ({ ...g, key })));
    setOptions(read.options);
  };
  const takeOut = async () =>
    saveJson(v.title || SETTING.untitled, {
      fastigo: "assignment",
      version: 1,
      assignment: {
        title: v.title,
        instructions: text.blocks,
        pictures: (await Promise.all(text.pictures.map(withData))).map(({ src: _, ...p }) => p),
        period: v.period,
        total: number(v.total) ?? 20,
        requirements,
        given: given.map(({ key: _, ...g }) => g),
        options: { ...options, model: null, modelShown: "never" },
      },
    });
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    const body = {
      class: classId,
      title: v.title,
      instructions: text.blocks,
      pictures: text.pictures.map((p) => ({ id: p.id, text: p.text, ...(p.data ? { data: p.data } : {}) })),
      period: readWhen(v.period, { order }),
      requirements,
      given: given.map((g) => ({ title: g.title, when: readWhen(g.typed, { order }), locked: g.locked })),
      total: number(v.total) ?? 20,
      dueAt: v.due,
      options,
    };
    const answer = known
      ? await askServer("PUT", `/api/assignments/${known.id}`, body)
      : await askServer<{ id: string }>("POST", "/api/assignments", body);
    if (answer.ok) window.location.assign(`/assignments/${known?.id ?? (answer.value as { id: string }).id}`);
    else setProblem(answer.sentence);
  };
  const alter = (key: number, part: Partial<Given>) =>
    setGiven(given.map((g) => (g.key === key ? { ...g, ...part } : g)));
  return (
    <form onSubmit={submit} noValidate className="grid gap-8 md:grid-cols-[minmax(0,1fr)_320px]">
      <fieldset disabled={!ready} className="contents">
        <div className="flex flex-col gap-4">
          <Field label={WORDS.title}>
            {(ids) => (
              <input
                id={ids.id}
                className={INPUT}
                value={v.title}
                onChange={set("title")}
                placeholder={WORDS.crossingProject}
              />
            )}
          </Field>
          <div className="flex flex-col gap-1.5">
            <Suspense fallback={<p className="min-h-[160px] text-quiet">{WORDS.instructions}</p>}>
              <InstructionsField
                key={taken}
                label={WORDS.instructions}
                blocks={text.blocks}
                pictures={text.pictures}
                onChange={(blocks, pictures) => setText({ blocks, pictures })}
              />
            </Suspense>
          </div>
          <div className="grid gap-4 sm:grid-cols-2">
            <Field label={WORDS.due} hint={WORDS.inTheTimeOfThe(zone.replaceAll("_", " "))}>
              {(ids) => (
                <input
                  id={ids.id}
                  aria-describedby={ids.describedBy}
                  type="datetime-local"
                  className={INPUT}
                  value={v.due}
                  onChange={set("due")}
                />
              )}
            </Field>
            <Field label={WORDS.totalMark}>
              {(ids) => (
                <input id={ids.id} inputMode="numeric" className={INPUT} value={v.total} onChange={set("total")} />
              )}
            </Field>
          </div>
          <Field
            label={WORDS.period}
            hint={v.period ? whenLabel(readWhen(v.period, { order })) : WORDS.suchAs16001931Events}
          >
            {(ids) => <input id={ids.id} className={INPUT} value={v.period} onChange={set("period")} />}
          </Field>
          <section aria-label={WORDS.requirements}>
            <h2 className="mb-1 text-[18px]">{WORDS.requirements}</h2>
            <RequirementRows rows={rows} onChange={setRows} />
          </section>
          <fieldset disabled={known?.begun ?? false}>
            <legend className="mb-1 font-head text-[18px] font-[650]">{WORDS.givenEvents}</legend>
            <p className="mb-2 text-[14px] text-quiet">
              {WORDS.eventsYouSupplyWithTheir(known?.begun ? WORDS.someHaveBegunSoThese : "")}
            </p>
            <div className="flex flex-col gap-2">
              {given.map((g, i) => {
                const when = readWhen(g.typed, { order });
                return (
                  <div
                    key={g.key}
                    className="grid items-start gap-2 sm:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)_150px_36px]"
                  >
                    <input
                      aria-label={WORDS.givenEventTitle(i + 1)}
                      className={INPUT}
                      value={g.title}
                      placeholder={WORDS.title}
                      onChange={(e) => alter(g.key, { title: e.target.value })}
                    />
                    <div>
                      <input
                        aria-label={WORDS.givenEventRightDate(i + 1)}
                        className={INPUT}
                        value={g.typed}
                        placeholder={WORDS.n14Nov1872}
                        onChange={(e) => alter(g.key, { typed: e.target.value })}
                      />
                      <p className="mt-0.5 text-[13px] text-verdigris">
                        {when.readAs.kind === "not_understood" ? (
                          <>
                            <span className="text-copper-dark">{dateProblemText(when.readAs.problem)}</span>
                            {when.readAs.problem.code === "two_orders" ? (
                              <span className="mt-1 flex gap-1.5">
                                {(["dmy", "mdy"] as const).map((o, k) => (
                                  <Button
                                    key={o}
                                    size="small"
                                    title={WORDS.firstInAllDatesOf(o === "dmy" ? WORDS.day : WORDS.month)}
                                    onClick={() => setOrder(o)}
                                  >
                                    {
                                      offeredIn(
                                        language(),
                                        when.readAs.kind === "not_understood" ? when.readAs.problem : NONE,
                                      )[k]
                                    }
                                  </Button>
                                ))}
                              </span>
                            ) : null}
                          </>
                        ) : (
                          whenLabel(when)
                        )}
                      </p>
                    </div>
                    <select
                      aria-label={WORDS.givenEventHowItIs(i + 1)}
                      className={INPUT}
                      value={g.locked ? "locked" : "date"}
                      onChange={(e) => alter(g.key, { locked: e.target.value === "locked" })}
                    >
                      <option value="date">{WORDS.toBeDated}</option>
                      <option value="locked">{WORDS.withItsDate}</option>
                    </select>
                    <button
                      type="button"
                      aria-label={WORDS.removeGivenEvent(i + 1)}
                      className="rounded-md p-2 hover:bg-verdigris-wash"
                      onClick={() => setGiven(given.filter((x) => x.key !== g.key))}
                    >
                      <Trash2 size={16} />
                    </button>
                  </div>
                );
              })}
            </div>
            <Button
              size="small"
              kind="quiet"
              className="mt-1"
              onClick={() =>
                setGiven([
                  ...given,
                  { key: Math.max(0, ...given.map((g) => g.key)) + 1, title: "", typed: "", locked: false },
                ])
              }
            >
              <Plus size={15} /> {WORDS.addAGivenEvent}
            </Button>
          </fieldset>
          <RubricEditor rubric={options.rubric} onChange={(rubric) => setOptions({ ...options, rubric })} />
          <MakerChoices options={options} onChange={setOptions} models={models} />
          <Problem text={problem} framed />
          <p role="status" className="text-[14px] text-verdigris">
            {said}
          </p>
          <div className="flex flex-wrap items-center gap-2">
            <Button kind="main" type="submit" disabled={!ready}>
              {known ? WORDS.saveTheChanges : WORDS.setTheAssignment}
            </Button>
            <Button kind="quiet" onClick={() => void takeOut()}>
              {SETTING.assignmentOut}
            </Button>
            {known ? null : (
              <Button kind="quiet" onClick={() => file.current?.click()}>
                {SETTING.assignmentIn}
              </Button>
            )}
            <HiddenFile
              input={file}
              accept=".json,application/json"
              label={SETTING.assignmentFile}
              onChoose={(f) => void take(f)}
            />
            {known?.begun ? <p className="w-full text-[14px] text-quiet">{WORDS.thoseWhoHaveBegunAre}</p> : null}
          </div>
        </div>
        <aside aria-label={WORDS.asAStudentSeesIt} className="h-fit rounded-lg border border-line bg-panel p-4">
          <h2 className="mb-2 text-[16px]">{WORDS.asAStudentSeesIt}</h2>
          <AssignmentCard
            title={v.title || WORDS.untitled}
            instructions={<FormattedText blocks={text.blocks} pictures={text.pictures} className="mt-2" />}
            requirements={requirements}
            given={given.map((g) => ({
              title: g.title || COMMON.untitled,
              when: g.locked ? whenLabel(readWhen(g.typed, { order })) : null,
            }))}
            rubric={options.rubric}
            texts={options.texts}
          />
        </aside>
      </fieldset>
    </form>
  );
}

/** The task as its students read it. */
export function AssignmentCard({
  title,
  instructions,
  requirements,
  given,
  rubric,
  texts,
}: {
  title: string;
  instructions: ReactNode;
  requirements: readonly Requirement[];
  given: readonly { title: string; when: string | null }[];
  rubric: Rubric | null;
  texts: readonly { title: string; text: string }[];
}) {
  return (
    <div>
      <h2 className="text-[20px]">{title}</h2>
      {instructions}
      {requirements.length > 0 ? (
        <ul className="mt-3 list-disc ps-5">
          {requirements.map((r) => (
            <li key={requirementKey(r)}>{requirementText(r)}</li>
          ))}
        </ul>
      ) : null}
      {given.length > 0 ? (
        <>
          <h3 className="mt-3 font-sans text-[14px] font-bold">{WORDS.givenEvents}</h3>
          <ul className="list-disc ps-5">
            {given.map((g, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: titles may repeat and the list is only read
              <li key={i}>
                {g.title}
                {g.when ? ` (${g.when})` : WORDS.findItsDate}
              </li>
            ))}
          </ul>
        </>
      ) : null}
      {rubric ? <RubricTable rubric={rubric} className="mt-4" /> : null}
      {texts.map((t, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a list that is only read
        <details key={i} className="mt-3">
          <summary className="cursor-pointer font-bold">{t.title || SETTING.textWords(i + 1)}</summary>
          <p className="mt-1 whitespace-pre-line">{t.text}</p>
        </details>
      ))}
    </div>
  );
}
