"use client";

import { WORDS } from "@/core/words/classes";
import { type FormEvent, useState } from "react";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { PasswordMeter } from "@/ui/controls/password-meter";
import { ownZone } from "@/ui/own-zone";
import { NameForm } from "./name-form";
import { useReady } from "@/ui/use-ready";

/** A new class needs a name only. */
export function NewClassForm() {
  return (
    <NameForm
      label={WORDS.nameOfTheClass}
      placeholder={WORDS.history8b}
      button={WORDS.makeTheClass}
      path="/api/classes"
      body={() => ({ zone: ownZone() })}
      to="/classes"
    />
  );
}

/** Joining by code: a new student types a name and a password; somebody signed in types the code only. */
export function JoinClassForm({ signedIn, code: given }: { signedIn: boolean; code: string }) {
  const ready = useReady();
  const [code, setCode] = useState(given);
  const [displayName, setDisplayName] = useState("");
  const [password, setPassword] = useState("");
  const [problem, setProblem] = useState<{ failed: string; sentence: string } | null>(null);
  const [joined, setJoined] = useState<{ signInName: string; class: string } | null>(null);
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    if (signedIn) {
      const answer = await askServer<{ class: string }>("POST", "/api/classes/join-as-me", { code });
      if (answer.ok) window.location.assign(`/classes/${answer.value.class}`);
      else setProblem(answer);
      return;
    }
    const answer = await askServer<{ signInName: string; class: string }>("POST", "/api/classes/join", {
      code,
      displayName,
      password,
    });
    if (answer.ok) setJoined(answer.value);
    else setProblem(answer);
  };
  if (joined)
    return (
      <div role="status">
        <p>{WORDS.youAreInYourSign}</p>
        <p className="my-3 rounded-md bg-sun-wash px-4 py-3 text-[24px] font-bold" data-testid="sign-in-name">
          {joined.signInName}
        </p>
        <p>{WORDS.writeItDownWithIt}</p>
        <Button kind="main" className="mt-4" onClick={() => window.location.assign(`/classes/${joined.class}`)}>
          {WORDS.iHaveWrittenItDown}
        </Button>
      </div>
    );
  const about = (field: string) =>
    problem &&
    {
      no_such_code: "code",
      display_name_missing: "name",
      password_short: "password",
      password_long: "password",
      password_common: "password",
      password_same: "password",
    }[problem.failed] === field
      ? problem.sentence
      : null;
  return (
    <form onSubmit={submit} className="flex flex-col gap-4" noValidate>
      <fieldset disabled={!ready} className="contents">
        <Field label={WORDS.codeOfTheClass} problem={about("code")}>
          {(ids) => (
            <input
              id={ids.id}
              aria-describedby={ids.describedBy}
              className={`${INPUT} uppercase`}
              value={code}
              autoComplete="off"
              onChange={(e) => setCode(e.target.value)}
            />
          )}
        </Field>
        {signedIn ? null : (
          <>
            <Field label={WORDS.displayName} hint={WORDS.whatYourClassSeesTake} problem={about("name")}>
              {(ids) => (
                <input
                  id={ids.id}
                  aria-describedby={ids.describedBy}
                  className={INPUT}
                  value={displayName}
                  autoComplete="nickname"
                  onChange={(e) => setDisplayName(e.target.value)}
                />
              )}
            </Field>
            <Field
              label={WORDS.password}
              hint={<PasswordMeter password={password} own={[displayName, code]} />}
              problem={about("password")}
            >
              {(ids) => (
                <input
                  id={ids.id}
                  aria-describedby={ids.describedBy}
                  className={INPUT}
                  type="password"
                  value={password}
                  autoComplete="new-password"
                  onChange={(e) => setPassword(e.target.value)}
                />
              )}
            </Field>
          </>
        )}
        <Button kind="main" type="submit" disabled={!ready}>
          {WORDS.joinTheClass}
        </Button>
      </fieldset>
    </form>
  );
}

/** A new password with the one-time code the teacher has handed out. */
export function OneTimeCodeForm() {
  const ready = useReady();
  const [name, setName] = useState("");
  const [code, setCode] = useState("");
  const [password, setPassword] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    const answer = await askServer("POST", "/api/session/code", { name, code, password });
    if (answer.ok) window.location.assign("/");
    else setProblem(answer.sentence);
  };
  return (
    <form onSubmit={submit} className="flex flex-col gap-4" noValidate>
      <fieldset disabled={!ready} className="contents">
        <Field label={WORDS.signInName}>
          {(ids) => (
            <input
              id={ids.id}
              className={INPUT}
              value={name}
              autoComplete="username"
              onChange={(e) => setName(e.target.value)}
            />
          )}
        </Field>
        <Field label={WORDS.codeFromYourTeacher}>
          {(ids) => (
            <input
              id={ids.id}
              className={INPUT}
              value={code}
              autoComplete="off"
              onChange={(e) => setCode(e.target.value)}
            />
          )}
        </Field>
        <Field label={WORDS.newPassword} hint={<PasswordMeter password={password} own={[name]} />} problem={problem}>
          {(ids) => (
            <input
              id={ids.id}
              aria-describedby={ids.describedBy}
              className={INPUT}
              type="password"
              value={password}
              autoComplete="new-password"
              onChange={(e) => setPassword(e.target.value)}
            />
          )}
        </Field>
        <Button kind="main" type="submit" disabled={!ready}>
          {WORDS.setThePassword}
        </Button>
      </fieldset>
    </form>
  );
}
