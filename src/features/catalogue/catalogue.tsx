"use client";

import { type ReactNode, useState } from "react";
import { COLOURS, type Colour, PATTERNS } from "@/core/timeline/looks";
import { WORDS } from "@/core/words/catalogue";
import { CategoryMark } from "@/ui/category-mark";
import { Button } from "@/ui/controls/button";
import { CheckRow } from "@/ui/controls/check-row";
import { Field, INPUT } from "@/ui/controls/field";
import { Hint } from "@/ui/controls/hint";
import { Modal } from "@/ui/controls/modal";
import { PasswordMeter } from "@/ui/controls/password-meter";
import { Problem } from "@/ui/controls/problem";
import { ZonedTime } from "@/ui/zoned-time";
import { StageStates } from "./stage-states";

const KINDS = ["main", "sun", "plain", "quiet", "danger", "dark"] as const;
const PASSWORDS = ["", "password1", "bridge over", "over-the-ambrel", "seven quiet herons wade"];
const AT = "2026-12-11T16:00:00Z";

/** Every control in every state it has, and the chart in each of its own. */
export function Catalogue() {
  return (
    <main className="mx-auto max-w-[1180px] px-5 pb-16">
      <h1 className="mt-8 text-[30px]">{WORDS.title}</h1>
      <p className="mb-6 max-w-[60ch] text-quiet">{WORDS.introduction}</p>
      <h2 className="mb-3 text-[22px]">{WORDS.controls}</h2>
      <Controls />
      <h2 className="mt-10 mb-3 text-[22px]">{WORDS.chart}</h2>
      <StageStates />
    </main>
  );
}

function Part({ name, children }: { name: string; children: ReactNode }) {
  return (
    <section aria-label={name} className="rounded-lg border border-line p-4">
      <h3 className="mb-2 text-[15px]">{name}</h3>
      {children}
    </section>
  );
}

function Controls() {
  const [checked, setChecked] = useState(true);
  const [open, setOpen] = useState(false);
  return (
    <div className="grid gap-4 md:grid-cols-2">
      <Part name={WORDS.buttons}>
        {KINDS.map((kind) => (
          <div
            key={kind}
            className={`flex flex-wrap items-center gap-2 p-1.5 ${kind === "dark" ? "rounded-md bg-slate" : ""}`}
          >
            <Button kind={kind}>{WORDS.save}</Button>
            <Button kind={kind} size="small">
              {WORDS.save}
            </Button>
            <Button kind={kind} disabled>
              {WORDS.off}
            </Button>
          </div>
        ))}
      </Part>
      <Part name={WORDS.fields}>
        <div className="flex flex-col gap-3">
          <Field label={WORDS.place} hint={WORDS.placeHint}>
            {(ids) => (
              <input id={ids.id} aria-describedby={ids.describedBy} className={INPUT} defaultValue={WORDS.where} />
            )}
          </Field>
          <Field label={WORDS.place} problem={WORDS.placeProblem}>
            {(ids) => (
              <input id={ids.id} aria-describedby={ids.describedBy} className={INPUT} defaultValue={WORDS.where} />
            )}
          </Field>
          <CheckRow label={WORDS.important} checked={checked} onChange={setChecked} />
          <CheckRow label={WORDS.notImportant} checked={!checked} onChange={(on) => setChecked(!on)} small />
        </div>
      </Part>
      <Part name={WORDS.notices}>
        <div className="flex flex-col items-start gap-3">
          <Hint name="catalogue">{WORDS.hint}</Hint>
          <Problem text={WORDS.problem} />
          <Problem text={WORDS.problem} framed />
        </div>
      </Part>
      <Part name={WORDS.passwords}>
        <ul className="flex flex-col gap-2">
          {PASSWORDS.map((password) => (
            <li key={password}>
              <PasswordMeter password={password} own={[]} />
            </li>
          ))}
        </ul>
      </Part>
      <Part name={WORDS.categories}>
        <div className="grid grid-cols-8 gap-2">
          {(Object.keys(COLOURS) as Colour[]).flatMap((colour) =>
            PATTERNS.map((pattern) => (
              <CategoryMark key={`${colour} ${pattern}`} colour={colour} pattern={pattern} width={40} />
            )),
          )}
        </div>
      </Part>
      <Part name={WORDS.times}>
        <p>
          <ZonedTime at={AT} zone="Europe/London" /> · <ZonedTime at={AT} zone="Asia/Kolkata" />
        </p>
      </Part>
      <Part name={WORDS.dialog}>
        <Button onClick={() => setOpen(true)}>{WORDS.open}</Button>
        <Modal title={WORDS.dialog} open={open} onOpenChange={setOpen}>
          <p>{WORDS.inside}</p>
        </Modal>
      </Part>
    </div>
  );
}
