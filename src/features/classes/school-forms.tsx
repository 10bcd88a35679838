"use client";

import { useRouter } from "next/navigation";
import { type FormEvent, useState } from "react";
import type { Visibility } from "@/core/timeline/visibility";
import { WORDS } from "@/core/words/schools";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { Modal } from "@/ui/controls/modal";
import { Problem } from "@/ui/controls/problem";
import { useReady } from "@/ui/use-ready";

type Role = "administrator" | "teacher";
interface SchoolProps {
  id: string;
  name: string;
  publishLimit: Visibility;
  signOnProvider: string | null;
}

/** Takes up the invitation of a letter. */
export function JoinSchoolButton({ token }: { token: string }) {
  const ready = useReady();
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <>
      <Button
        kind="main"
        disabled={!ready}
        onClick={async () => {
          const answer = await askServer<{ id: string }>("POST", `/api/schools/join/${token}`);
          if (answer.ok) window.location.assign(`/schools/${answer.value.id}`);
          else setProblem(answer.sentence);
        }}
      >
        {WORDS.join}
      </Button>
      <Problem text={problem} className="mt-2" />
    </>
  );
}

/** An administrator takes a class out of the school. */
export function TakeOutClass({ id, name }: { id: string; name: string }) {
  const router = useRouter();
  const ready = useReady();
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <>
      <Button
        size="small"
        kind="quiet"
        className="ms-auto"
        disabled={!ready}
        aria-label={WORDS.takeOutClass(name)}
        onClick={async () => {
          const answer = await askServer("PATCH", `/api/classes/${id}`, { school: null });
          setProblem(answer.ok ? null : answer.sentence);
          if (answer.ok) router.refresh();
        }}
      >
        {WORDS.takeOut}
      </Button>
      <Problem text={problem} className="w-full" />
    </>
  );
}

/** The teachers of a school; for its administrators also taking in, how far pupils publish, its name and its end. */
export function SchoolDesk({
  school,
  provider,
  me,
  administers,
  teachers,
  invited,
}: {
  school: SchoolProps;
  /** The school's own accounts, where they are set up. */
  provider: { key: string; name: string } | null;
  me: string;
  administers: boolean;
  teachers: readonly { id: string; displayName: string; role: Role }[];
  /** Who was written to and has not come yet. */
  invited: readonly { email: string; role: Role }[];
}) {
  const router = useRouter();
  const ready = useReady();
  const [problem, setProblem] = useState<string | null>(null);
  const path = `/api/schools/${school.id}`;
  const ask = async (method: "POST" | "DELETE", to: string, body?: object, left = false) => {
    const answer = await askServer(method, to, body);
    setProblem(answer.ok ? null : answer.sentence);
    if (answer.ok && left) window.location.assign("/teaching");
    else if (answer.ok) router.refresh();
  };
  return (
    <div>
      <section aria-label={WORDS.teachers}>
        <h2 className="mb-2 text-[20px]">{WORDS.teachers}</h2>
        <ul className="divide-y divide-line border-y border-line">
          {teachers.map((t) => (
            <li key={t.id} className="flex min-h-10 flex-wrap items-center gap-x-2 py-1">
              <strong>{t.displayName}</strong>
              <span className="text-[14px] text-quiet">{WORDS.role[t.role]}</span>
              <span className="ms-auto flex gap-1">
                {t.id === me ? (
                  <Button
                    size="small"
                    kind="quiet"
                    disabled={!ready}
                    onClick={() => void ask("DELETE", `${path}/teachers/${t.id}`, undefined, true)}
                  >
                    {WORDS.leave}
                  </Button>
                ) : administers ? (
                  <>
                    <RoleButton of={t} school={school.id} onProblem={setProblem} ready={ready} />
                    <Button
                      size="small"
                      kind="quiet"
                      disabled={!ready}
                      aria-label={WORDS.remove(t.displayName)}
                      onClick={() => void ask("DELETE", `${path}/teachers/${t.id}`)}
                    >
                      {WORDS.removeShort}
                    </Button>
                  </>
                ) : null}
              </span>
            </li>
          ))}
          {invited.map((i) => (
            <li key={i.email} className="flex min-h-10 flex-wrap items-center gap-x-2 py-1">
              <span className="break-all">{i.email}</span>
              <span className="text-[14px] text-quiet">{WORDS.written}</span>
              <Button
                size="small"
                kind="quiet"
                className="ms-auto"
                disabled={!ready}
                aria-label={WORDS.withdraw(i.email)}
                onClick={() => void ask("DELETE", `${path}/teachers`, { email: i.email })}
              >
                {WORDS.withdrawShort}
              </Button>
            </li>
          ))}
        </ul>
        <Problem text={problem} className="mt-2" />
        {administers ? <TakeIn school={school.id} /> : null}
      </section>
      {administers ? <OfTheWhole school={school} provider={provider} /> : null}
    </div>
  );
}

/** Lets a colleague be the other of administrator and teacher. */
function RoleButton({
  of: t,
  school,
  onProblem,
  ready,
}: {
  of: { id: string; displayName: string; role: Role };
  school: string;
  onProblem: (problem: string | null) => void;
  ready: boolean;
}) {
  const router = useRouter();
  const up = t.role === "teacher";
  return (
    <Button
      size="small"
      kind="quiet"
      disabled={!ready}
      aria-label={up ? WORDS.makeAdministrator(t.displayName) : WORDS.makeTeacher(t.displayName)}
      onClick={async () => {
        const answer = await askServer("PUT", `/api/schools/${school}/teachers/${t.id}`, {
          role: up ? "administrator" : "teacher",
        });
        onProblem(answer.ok ? null : answer.sentence);
        if (answer.ok) router.refresh();
      }}
    >
      {up ? WORDS.makeAdministratorShort : WORDS.makeTeacherShort}
    </Button>
  );
}

/** Taking a colleague in by e-mail. */
function TakeIn({ school }: { school: string }) {
  const router = useRouter();
  const ready = useReady();
  const [email, setEmail] = useState("");
  const [role, setRole] = useState<Role>("teacher");
  const [said, setSaid] = useState<{ ok: boolean; text: string } | null>(null);
  const take = async (e: FormEvent) => {
    e.preventDefault();
    const answer = await askServer<{ joined: boolean }>("POST", `/api/schools/${school}/teachers`, { email, role });
    setSaid(
      answer.ok
        ? { ok: true, text: answer.value.joined ? WORDS.joined(email.trim()) : WORDS.wroteTo(email.trim()) }
        : { ok: false, text: answer.sentence },
    );
    if (!answer.ok) return;
    setEmail("");
    router.refresh();
  };
  return (
    <form onSubmit={take} noValidate className="mt-3 grid gap-2">
      <Field label={WORDS.email} hint={WORDS.emailHint}>
        {(ids) => (
          <input
            id={ids.id}
            type="email"
            autoComplete="off"
            aria-describedby={ids.describedBy}
            className={INPUT}
            value={email}
            disabled={!ready}
            onChange={(e) => setEmail(e.target.value)}
          />
        )}
      </Field>
      <select
        aria-label={WORDS.as}
        className={INPUT}
        value={role}
        onChange={(e) => setRole(e.target.value === "administrator" ? "administrator" : "teacher")}
      >
        <option value="teacher">{WORDS.asTeacher}</option>
        <option value="administrator">{WORDS.asAdministrator}</option>
      </select>
      <Button type="submit" className="w-fit" disabled={!ready || email.trim() === ""}>
        {WORDS.take}
      </Button>
      {said?.ok ? <p role="status">{said.text}</p> : <Problem text={said?.text ?? null} />}
    </form>
  );
}

/** Its name, how far its pupils publish, and its end. */
function OfTheWhole({ school, provider }: { school: SchoolProps; provider: { key: string; name: string } | null }) {
  const router = useRouter();
  const ready = useReady();
  const [name, setName] = useState(school.name);
  const [problem, setProblem] = useState<string | null>(null);
  const [ending, setEnding] = useState(false);
  const path = `/api/schools/${school.id}`;
  const alter = async (change: object) => {
    const answer = await askServer("PATCH", path, change);
    setProblem(answer.ok ? null : answer.sentence);
    if (answer.ok) router.refresh();
  };
  return (
    <section aria-label={WORDS.settings} className="mt-6 rounded-lg border border-line p-4">
      <h2 className="text-[20px]">{WORDS.settings}</h2>
      <Field label={WORDS.limit} hint={WORDS.limitHint} className="mt-3">
        {(ids) => (
          <select
            id={ids.id}
            aria-describedby={ids.describedBy}
            className={INPUT}
            value={school.publishLimit}
            disabled={!ready}
            onChange={(e) => void alter({ publishLimit: e.target.value })}
          >
            {(["only_me", "class", "school", "link", "everybody"] as const).map((v) => (
              <option key={v} value={v}>
                {WORDS.limits[v]}
              </option>
            ))}
          </select>
        )}
      </Field>
      {provider ? (
        <label className="mt-3 flex items-start gap-2">
          <input
            type="checkbox"
            className="mt-1 size-4 accent-verdigris"
            checked={school.signOnProvider === provider.key}
            disabled={!ready}
            onChange={(e) => void alter({ signOnProvider: e.target.checked ? provider.key : null })}
          />
          <span>
            {WORDS.signOnOnly(provider.name)}
            <span className="block text-[13px] text-quiet">{WORDS.signOnOnlyHint}</span>
          </span>
        </label>
      ) : null}
      <form
        noValidate
        className="mt-3 flex items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          void alter({ name });
        }}
      >
        <Field label={WORDS.nameOfTheSchool} className="flex-1">
          {(ids) => (
            <input
              id={ids.id}
              className={INPUT}
              value={name}
              disabled={!ready}
              onChange={(e) => setName(e.target.value)}
            />
          )}
        </Field>
        <Button type="submit" disabled={!ready || name.trim() === school.name}>
          {WORDS.rename}
        </Button>
      </form>
      <Button size="small" kind="quiet" className="mt-4" disabled={!ready} onClick={() => setEnding(true)}>
        {WORDS.end}
      </Button>
      <Problem text={problem} className="mt-2" />
      <Modal title={`${WORDS.end}: ${school.name}`} open={ending} onOpenChange={setEnding}>
        <p>{WORDS.endMore}</p>
        <div className="mt-4 flex gap-2">
          <Button
            kind="main"
            onClick={async () => {
              const answer = await askServer("DELETE", path);
              if (answer.ok) return window.location.assign("/teaching");
              setEnding(false);
              setProblem(answer.sentence);
            }}
          >
            {WORDS.end}
          </Button>
          <Button onClick={() => setEnding(false)}>{WORDS.leaveIt}</Button>
        </div>
      </Modal>
    </section>
  );
}
