"use client";

import { useRouter } from "next/navigation";
import { type FormEvent, type ReactNode, useState } from "react";
import { askServer } from "@/ui/ask-server";
import { Button, buttonLook } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { PasswordMeter } from "@/ui/controls/password-meter";
import { LocalTime } from "@/ui/local-time";
import { useReady } from "@/ui/use-ready";

interface OpenCopy {
  timeline: string;
  address: string;
  title: string;
  createdAt: string;
  deleted: boolean;
}
interface OpenSession {
  id: string;
  browser: string;
  seenAt: string;
  own: boolean;
}

interface AccountProps {
  displayName: string;
  email: string | null;
  signInName: string | null;
  sessions: OpenSession[];
  copies: OpenCopy[];
  bin: Deleted[];
}

interface Deleted {
  id: string;
  title: string;
  deletedAt: string;
}

/** Everything about one's own account: name, address, password, sessions, one's data, and its end. */
export function AccountForms(props: AccountProps) {
  return (
    <div className="flex flex-col gap-9">
      <NameForm displayName={props.displayName} />
      {props.signInName ? (
        <Part title="Sign-in name">
          <p>
            You sign in as <strong>{props.signInName}</strong>. If you lose your password, the teacher of the class in
            which you made this account can give you a code for a new one.
          </p>
        </Part>
      ) : null}
      <EmailForm email={props.email} />
      <PasswordForm own={[props.displayName, props.email ?? "", props.signInName ?? ""]} />
      <Sessions sessions={props.sessions} />
      <Copies copies={props.copies} />
      <Bin bin={props.bin} />
      <Part title="Everything of yours as a file">
        <p>Your account, your timelines in the open format, and what you have handed in, as one JSON file.</p>
        <a href="/api/account/file" download className={`${buttonLook("plain")} mt-3`}>
          Download everything
        </a>
      </Part>
      <Deletion />
    </div>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section aria-label={title} className="border-t border-line pt-4">
      <h2 className="mb-2 text-[18px]">{title}</h2>
      {children}
    </section>
  );
}

type Outcome = { ok: boolean; sentence: string } | null;

function Said({ outcome }: { outcome: Outcome }) {
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
function useForm<T extends Record<string, string>>(empty: T) {
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
  return { values, set, send, outcome, disabled: busy || !ready, clear: () => setValues(empty) };
}

function NameForm({ displayName }: { displayName: string }) {
  const router = useRouter();
  const form = useForm({ displayName });
  return (
    <form
      noValidate
      onSubmit={form.send(
        (v) => askServer("PATCH", "/api/account", v),
        "Saved.",
        () => router.refresh(),
      )}
    >
      <Field label="Display name" hint="What others see. Not your first and last name.">
        {(ids) => (
          <input
            id={ids.id}
            aria-describedby={ids.describedBy}
            className={INPUT}
            autoComplete="nickname"
            value={form.values.displayName}
            onChange={form.set("displayName")}
          />
        )}
      </Field>
      <Button type="submit" className="mt-3" disabled={form.disabled}>
        Save the name
      </Button>
      <Said outcome={form.outcome} />
    </form>
  );
}

function Secret({
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

/** Something done at once, what came of it, and whether it can be done now; the page is read anew afterwards. */
function useDeed() {
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

function EmailForm({ email }: { email: string | null }) {
  const router = useRouter();
  const form = useForm({ email: email ?? "", password: "" });
  return (
    <Part title="E-mail">
      <form
        noValidate
        onSubmit={form.send(
          (v) => askServer("PATCH", "/api/account", v),
          "Saved. Sign in with this address from now on.",
          () => router.refresh(),
        )}
      >
        <Field label="E-mail address" hint={email ? undefined : "You have none, and need none."}>
          {(ids) => (
            <input
              id={ids.id}
              aria-describedby={ids.describedBy}
              type="email"
              autoComplete="email"
              className={INPUT}
              value={form.values.email}
              onChange={form.set("email")}
            />
          )}
        </Field>
        <Secret
          label="Your password, for this"
          value={form.values.password}
          onChange={form.set("password")}
          auto="current-password"
        />
        <Button type="submit" className="mt-3" disabled={form.disabled}>
          Save the address
        </Button>
        <Said outcome={form.outcome} />
      </form>
    </Part>
  );
}

function PasswordForm({ own }: { own: string[] }) {
  const router = useRouter();
  const form = useForm({ password: "", next: "" });
  return (
    <Part title="Password">
      <form
        noValidate
        onSubmit={form.send(
          (v) => askServer("PUT", "/api/account/password", v),
          "The new password is set, and all your other sessions have ended.",
          () => {
            form.clear();
            router.refresh();
          },
        )}
      >
        <Secret
          label="Present password"
          value={form.values.password}
          onChange={form.set("password")}
          auto="current-password"
        />
        <Secret
          label="New password"
          value={form.values.next}
          onChange={form.set("next")}
          auto="new-password"
          hint={<PasswordMeter password={form.values.next} own={own} />}
        />
        <Button type="submit" className="mt-3" disabled={form.disabled}>
          Set the new password
        </Button>
        <Said outcome={form.outcome} />
      </form>
    </Part>
  );
}

function Sessions({ sessions }: { sessions: OpenSession[] }) {
  const { ready, outcome, run } = useDeed();
  const end = (path: string) => void run("DELETE", path, "Ended.");
  return (
    <Part title="Where you are signed in">
      <ul className="divide-y divide-line border-y border-line">
        {sessions.map((s) => (
          <li key={s.id} className="flex min-h-11 flex-wrap items-center gap-x-3 py-1.5">
            <span>
              {s.browser || "A browser"}
              {s.own ? <strong> – here</strong> : null}
            </span>
            <span className="text-[14px] text-quiet">
              last seen <LocalTime at={s.seenAt} />
            </span>
            {s.own ? null : (
              <Button
                size="small"
                className="ml-auto"
                disabled={!ready}
                onClick={() => end(`/api/account/sessions/${s.id}`)}
              >
                End it
              </Button>
            )}
          </li>
        ))}
      </ul>
      {sessions.length > 1 ? (
        <Button size="small" className="mt-3" disabled={!ready} onClick={() => end("/api/account/sessions")}>
          End all others
        </Button>
      ) : null}
      <Said outcome={outcome} />
    </Part>
  );
}

function Copies({ copies }: { copies: OpenCopy[] }) {
  const { ready, outcome, run } = useDeed();
  if (copies.length === 0) return null;
  return (
    <Part title="Frozen copies">
      <p className="mb-2 text-[14px] text-quiet">
        A frozen copy stays at its link when its timeline is deleted, until you close it or the timeline has been
        deleted for 30 days.
      </p>
      <ul className="divide-y divide-line border-y border-line">
        {copies.map((c) => (
          <li key={c.address} className="flex min-h-11 flex-wrap items-center gap-x-3 py-1.5">
            <a href={`/f/${c.address}`} className="font-bold text-verdigris underline">
              {c.title || "Untitled"}
            </a>
            <span className="text-[14px] text-quiet">
              <LocalTime at={c.createdAt} />
              {c.deleted ? " · the timeline is deleted" : ""}
            </span>
            <Button
              size="small"
              className="ml-auto"
              disabled={!ready}
              onClick={() =>
                void run("DELETE", `/api/timelines/${c.timeline}/frozen-copies/${c.address}`, "Its link is closed.")
              }
            >
              Close its link
            </Button>
          </li>
        ))}
      </ul>
      <Said outcome={outcome} />
    </Part>
  );
}

function Bin({ bin }: { bin: Deleted[] }) {
  const { ready, outcome, run } = useDeed();
  if (bin.length === 0 && !outcome) return null;
  return (
    <Part title="Bin">
      <p className="mb-2 text-[14px] text-quiet">Deleted timelines are kept for 30 days, then destroyed for good.</p>
      <ul className="divide-y divide-line border-y border-line">
        {bin.map((b) => (
          <li key={b.id} className="flex min-h-11 flex-wrap items-center gap-x-3 py-1.5">
            <strong>{b.title || "Untitled"}</strong>
            <span className="text-[14px] text-quiet">
              deleted <LocalTime at={b.deletedAt} />
            </span>
            <Button
              size="small"
              className="ml-auto"
              disabled={!ready}
              onClick={() =>
                void run(
                  "PATCH",
                  `/api/timelines/${b.id}`,
                  `“${b.title || "Untitled"}” is back among your timelines.`,
                  {
                    deleted: false,
                  },
                )
              }
            >
              Put back
            </Button>
          </li>
        ))}
      </ul>
      <Said outcome={outcome} />
    </Part>
  );
}

function Deletion() {
  const form = useForm({ password: "" });
  return (
    <Part title="Delete the account">
      <p>
        Timelines that only you edit are destroyed with their pages and files, and this cannot be undone. Those you
        share pass to whoever has worked on them with you the longest. What you have handed in stays with the class for
        as long as it keeps it, without your name. Classes you teach are closed.
      </p>
      <form
        noValidate
        onSubmit={form.send(
          (v) => askServer("DELETE", "/api/account", v),
          "Your account is deleted.",
          () => window.location.assign("/"),
        )}
      >
        <Secret
          label="Your password, to delete it"
          value={form.values.password}
          onChange={form.set("password")}
          auto="current-password"
        />
        <Button type="submit" className="mt-3" disabled={form.disabled || form.values.password === ""}>
          Delete my account
        </Button>
        <Said outcome={form.outcome} />
      </form>
    </Part>
  );
}
