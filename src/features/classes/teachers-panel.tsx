"use client";

import { useRouter } from "next/navigation";
import { type FormEvent, useState } from "react";
import { WORDS } from "@/core/words/people";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { Problem } from "@/ui/controls/problem";
import { useReady } from "@/ui/use-ready";

export interface ClassTeacher {
  id: string;
  displayName: string;
  role: "lead" | "teacher" | "assistant";
}

/** Who teaches a class and who helps; colleagues are taken in by the e-mail of their account. */
export function TeachersPanel({
  classId,
  me,
  teachers,
  mayAlter,
}: {
  classId: string;
  me: string;
  teachers: readonly ClassTeacher[];
  /** Assistants only see it, and may leave. */
  mayAlter: boolean;
}) {
  const router = useRouter();
  const ready = useReady();
  const [email, setEmail] = useState("");
  const [role, setRole] = useState<"teacher" | "assistant">("teacher");
  const [problem, setProblem] = useState<string | null>(null);
  const path = `/api/classes/${classId}/teachers`;
  const leads = teachers.some((t) => t.id === me && t.role === "lead");
  const done = (answer: { ok: true } | { ok: false; sentence: string }, left = false) => {
    setProblem(answer.ok ? null : answer.sentence);
    if (answer.ok && left) window.location.assign("/");
    else if (answer.ok) router.refresh();
  };
  const add = async (e: FormEvent) => {
    e.preventDefault();
    const answer = await askServer("POST", path, { email, role });
    if (answer.ok) setEmail("");
    done(answer);
  };
  return (
    <section aria-label={WORDS.teachers} className="mt-5">
      <h2 className="mb-2 text-[18px]">{WORDS.teachers}</h2>
      <ul className="divide-y divide-line border-y border-line">
        {teachers.map((t) => (
          <li key={t.id} className="flex min-h-10 flex-wrap items-center gap-x-2 py-1">
            <strong>{t.displayName}</strong>
            <span className="text-[14px] text-quiet">{WORDS.role[t.role]}</span>
            <span className="ms-auto flex gap-1">
              {leads && t.role === "teacher" ? (
                <Button
                  size="small"
                  kind="quiet"
                  disabled={!ready}
                  onClick={async () => done(await askServer("PUT", `${path}/${t.id}`))}
                >
                  {WORDS.handOver(t.displayName)}
                </Button>
              ) : null}
              {t.role !== "lead" && (mayAlter || t.id === me) ? (
                <Button
                  size="small"
                  kind="quiet"
                  disabled={!ready}
                  aria-label={t.id === me ? WORDS.leave : WORDS.remove(t.displayName)}
                  onClick={async () => done(await askServer("DELETE", `${path}/${t.id}`), t.id === me)}
                >
                  {t.id === me ? WORDS.leave : WORDS.removeShort}
                </Button>
              ) : null}
            </span>
          </li>
        ))}
      </ul>
      {mayAlter ? (
        <form onSubmit={add} noValidate className="mt-2 grid gap-2">
          <Field label={WORDS.colleague}>
            {(ids) => (
              <input
                id={ids.id}
                type="email"
                autoComplete="off"
                className={INPUT}
                value={email}
                onChange={(e) => setEmail(e.target.value)}
              />
            )}
          </Field>
          <div className="grid gap-2">
            <select
              aria-label={WORDS.as}
              className={INPUT}
              value={role}
              onChange={(e) => setRole(e.target.value === "assistant" ? "assistant" : "teacher")}
            >
              <option value="teacher">{WORDS.asTeacher}</option>
              <option value="assistant">{WORDS.asAssistant}</option>
            </select>
            <Button type="submit" className="w-fit" disabled={!ready || email.trim() === ""}>
              {WORDS.take}
            </Button>
          </div>
        </form>
      ) : (
        <p className="mt-2 text-[14px] text-quiet">{WORDS.assistantNote}</p>
      )}
      <Problem text={problem} className="mt-2" />
    </section>
  );
}
