"use client";

import { useRouter } from "next/navigation";
import { type FormEvent, type ReactNode, useState } from "react";
import { askServer } from "@/ui/ask-server";
import { WORDS } from "@/core/words/accounts";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { useReady } from "@/ui/use-ready";

export function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section aria-label={title} className="border-t border-line pt-4">
      <h2 className="mb-2 text-[18px]">{title}</h2>
      {children}
    </section>
  );
}

export type Outcome = { ok: boolean; sentence: string } | null;

export function Said({ outcome }: { outcome: Outcome }) {
  if (!outcome) return null;
  return (
    <p
      role={outcome.ok ? "status" : "alert"}
      className={`mt-2 font-bold ${outcome.ok ? "text-verdigris" : "text-copper-dark"}`}
    >
      {outcome.sentence}
    </p>
  );
}

/** A form's fields, what came of it, and whether it can be sent now. */
export function useForm<T extends Record<string, string>>(empty: T) {
  const [values, setValues] = useState(empty);
  const [outcome, setOutcome] = useState<Outcome>(null);
  const [busy, setBusy] = useState(false);
  const ready = useReady();
  const set = (name: keyof T) => (e: { target: { value: string } }) => setValues({ ...values, [name]: e.target.value });
  const send =
    (ask: (values: T) => ReturnType<typeof askServer>, done: string, after?: () => void) => async (e: FormEvent) => {
      e.preventDefault();
      setBusy(true);
      const answer = await ask(values);
      setBusy(false);
      setOutcome({ ok: answer.ok, sentence: answer.ok ? done : answer.sentence });
      if (!answer.ok) return;
      after?.();
    };
  return { values, set, send, outcome, ready, disabled: busy || !ready, clear: () => setValues(empty) };
}

export function Secret({
  label,
  value,
  onChange,
  auto,
  hint,
}: {
  label: string;
  value: string;
  onChange: (e: { target: { value: string } }) => void;
  auto: "current-password" | "new-password";
  hint?: ReactNode;
}) {
  return (
    <Field label={label} className="mt-3" hint={hint}>
      {(ids) => (
        <input
          id={ids.id}
          aria-describedby={ids.describedBy}
          type="password"
          autoComplete={auto}
          className={INPUT}
          value={value}
          onChange={onChange}
        />
      )}
    </Field>
  );
}

/** A form that asks for one's password before it does something. */
export function ByPassword({
  text,
  does,
  form,
  onSubmit,
}: {
  text: string;
  /** What its button says. */
  does: string;
  form: ReturnType<typeof useForm<{ password: string }>>;
  onSubmit: (e: FormEvent) => Promise<void>;
}) {
  return (
    <form noValidate onSubmit={onSubmit}>
      <p>{text}</p>
      <Secret
        label={WORDS.yourPasswordForThis}
        value={form.values.password}
        onChange={form.set("password")}
        auto="current-password"
      />
      <Button type="submit" className="mt-3" disabled={form.disabled}>
        {does}
      </Button>
      <Said outcome={form.outcome?.sentence ? form.outcome : null} />
    </form>
  );
}

/** Something done at once, what came of it, and whether it can be done now; the page is read anew afterwards. */
export function useDeed() {
  const router = useRouter();
  const ready = useReady();
  const [outcome, setOutcome] = useState<Outcome>(null);
  const run = async (method: "DELETE" | "PATCH", path: string, done: string, body?: object) => {
    const answer = await askServer(method, path, body);
    setOutcome(answer.ok ? { ok: true, sentence: done } : { ok: false, sentence: answer.sentence });
    router.refresh();
  };
  return { ready, outcome, run };
}
