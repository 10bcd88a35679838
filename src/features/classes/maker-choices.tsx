"use client";

import { Plus, Trash2 } from "lucide-react";
import type { Rubric } from "@/core/classes/rubric";
import { WORDS } from "@/core/words/setting";
import { Button } from "@/ui/controls/button";
import { CheckRow } from "@/ui/controls/check-row";
import { Field, INPUT } from "@/ui/controls/field";

/** What an assignment says beside its task: how it is done, and what is read and shown with it. */
export interface MakerOptions {
  lateRule: "accepted" | "refused";
  grouping: "pupils" | "single" | "teacher";
  blind: boolean;
  rubric: Rubric | null;
  texts: { title: string; text: string }[];
  model: string | null;
  modelShown: "never" | "before" | "after";
  worksShown: "chosen" | "handed_in" | "due";
}

export const USUAL_OPTIONS: MakerOptions = {
  lateRule: "accepted",
  grouping: "pupils",
  blind: false,
  rubric: null,
  texts: [],
  model: null,
  modelShown: "never",
  worksShown: "chosen",
};

const MOST_TEXTS = 12;

/** The texts that are read beside it, and how it is done. */
export function MakerChoices({
  options: o,
  onChange,
  models,
}: {
  options: MakerOptions;
  onChange: (options: MakerOptions) => void;
  models: readonly { id: string; title: string }[];
}) {
  const alter = (i: number, part: Partial<MakerOptions["texts"][number]>) =>
    onChange({ ...o, texts: o.texts.map((t, k) => (k === i ? { ...t, ...part } : t)) });
  return (
    <>
      <section aria-label={WORDS.texts}>
        <h2 className="mb-1 text-[18px]">{WORDS.texts}</h2>
        <p className="text-[14px] text-quiet">{WORDS.textsHelp}</p>
        {o.texts.map((t, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a text is its place
          <div key={i} className="mt-2 rounded-lg border border-line p-3">
            <div className="flex gap-2">
              <input
                aria-label={WORDS.textTitle(i + 1)}
                placeholder={WORDS.textTitle(i + 1)}
                className={`${INPUT} font-bold`}
                maxLength={200}
                value={t.title}
                onChange={(e) => alter(i, { title: e.target.value })}
              />
              <button
                type="button"
                aria-label={WORDS.takeTextAway(i + 1)}
                className="rounded-md p-2 hover:bg-verdigris-wash"
                onClick={() => onChange({ ...o, texts: o.texts.filter((_, k) => k !== i) })}
              >
                <Trash2 size={16} aria-hidden />
              </button>
            </div>
            <textarea
              aria-label={WORDS.textWords(i + 1)}
              rows={5}
              maxLength={20_000}
              className={`${INPUT} mt-2 h-auto py-2`}
              value={t.text}
              onChange={(e) => alter(i, { text: e.target.value })}
            />
          </div>
        ))}
        {o.texts.length < MOST_TEXTS ? (
          <Button
            size="small"
            kind="quiet"
            className="mt-1"
            onClick={() => onChange({ ...o, texts: [...o.texts, { title: "", text: "" }] })}
          >
            <Plus size={15} aria-hidden /> {WORDS.addText}
          </Button>
        ) : null}
      </section>
      <section aria-label={WORDS.howItIsDone}>
        <h2 className="mb-2 text-[18px]">{WORDS.howItIsDone}</h2>
        <div className="grid gap-4 sm:grid-cols-2">
          <Choice
            label={WORDS.groups}
            value={o.grouping}
            choices={[
              ["pupils", WORDS.groupsPupils],
              ["single", WORDS.groupsSingle],
              ["teacher", WORDS.groupsTeacher],
            ]}
            onChoose={(grouping) => onChange({ ...o, grouping })}
          />
          <Choice
            label={WORDS.late}
            value={o.lateRule}
            choices={[
              ["accepted", WORDS.lateAccepted],
              ["refused", WORDS.lateRefused],
            ]}
            onChoose={(lateRule) => onChange({ ...o, lateRule })}
          />
          <Choice
            label={WORDS.worksShown}
            value={o.worksShown}
            choices={[
              ["chosen", WORDS.worksChosen],
              ["handed_in", WORDS.worksHandedIn],
              ["due", WORDS.worksDue],
            ]}
            onChoose={(worksShown) => onChange({ ...o, worksShown })}
          />
          <Choice
            label={WORDS.model}
            value={o.model ?? ""}
            choices={[["", WORDS.noModel], ...models.map((m) => [m.id, m.title || WORDS.untitled] as [string, string])]}
            onChoose={(id) =>
              onChange({
                ...o,
                model: id || null,
                modelShown: id ? (o.modelShown === "never" ? "before" : o.modelShown) : "never",
              })
            }
          />
          {o.model ? (
            <Choice
              label={WORDS.modelShown}
              value={o.modelShown}
              choices={[
                ["before", WORDS.shownBefore],
                ["after", WORDS.shownAfter],
                ["never", WORDS.shownNever],
              ]}
              onChoose={(modelShown) => onChange({ ...o, modelShown })}
            />
          ) : null}
        </div>
        <div className="mt-3">
          <CheckRow label={WORDS.blind} checked={o.blind} onChange={(blind) => onChange({ ...o, blind })} />
          <p className="ms-6 text-[13px] text-quiet">{WORDS.blindHelp}</p>
        </div>
      </section>
    </>
  );
}

function Choice<T extends string>({
  label,
  value,
  choices,
  onChoose,
}: {
  label: string;
  value: T;
  choices: readonly (readonly [T, string])[];
  onChoose: (value: T) => void;
}) {
  return (
    <Field label={label}>
      {(ids) => (
        <select id={ids.id} className={INPUT} value={value} onChange={(e) => onChoose(e.target.value as T)}>
          {choices.map(([v, words]) => (
            <option key={v} value={v}>
              {words}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}
