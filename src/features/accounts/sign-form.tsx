"use client";

import { WORDS } from "@/core/words/accounts";
import { PageLink } from "@/ui/page-link";
import { useState } from "react";
import { useForm } from "react-hook-form";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { PasswordMeter } from "@/ui/controls/password-meter";
import { useReady } from "@/ui/use-ready";
import { Problem } from "@/ui/controls/problem";
import { CodeField } from "./code-field";

interface Values {
  displayName: string;
  email: string;
  password: string;
  /** Of those who sign in with two-step codes; asked once the password was right. */
  code: string;
}

/** Signing up or in. Afterwards the whole page is loaded anew, so that nothing of another account is left in it. */
export function SignForm({ mode, to }: { mode: "up" | "in"; to: string }) {
  const { register, handleSubmit, setError, formState, setValue, watch } = useForm<Values>({
    defaultValues: { displayName: "", email: "", password: "", code: "" },
  });
  const { errors, isSubmitting } = formState;
  const [displayName, email, password] = watch(["displayName", "email", "password"]);
  const ready = useReady();
  const [asksCode, setAsksCode] = useState(false);
  const code = watch("code");
  const submit = handleSubmit(async (v) => {
    const answer =
      mode === "up"
        ? await askServer("POST", "/api/account", {
            displayName: v.displayName,
            email: v.email,
            password: v.password,
          })
        : await askServer("POST", "/api/session", {
            name: v.email,
            password: v.password,
            ...(asksCode ? { code: v.code } : {}),
          });
    if (answer.ok) {
      window.location.assign(to);
      return;
    }
    if (answer.failed === "step_code_needed" && !asksCode) {
      setAsksCode(true);
      return;
    }
    const where: Record<string, keyof Values> = {
      display_name_missing: "displayName",
      email_malformed: "email",
      email_taken: "email",
      password_short: "password",
      password_long: "password",
      password_common: "password",
      password_same: "password",
      step_code_needed: "code",
      wrong_step_code: "code",
      step_code_used: "code",
    };
    setError(where[answer.failed] ?? "root", { message: answer.sentence });
  });
  return (
    <form onSubmit={submit} noValidate className="flex flex-col gap-4">
      {mode === "up" ? (
        <Field label={WORDS.displayName} hint={WORDS.whatOthersSeeTakeA} problem={errors.displayName?.message}>
          {(ids) => (
            <input
              id={ids.id}
              aria-describedby={ids.describedBy}
              autoComplete="nickname"
              className={INPUT}
              {...register("displayName")}
            />
          )}
        </Field>
      ) : null}
      <Field label={mode === "up" ? WORDS.eMail : WORDS.eMailOrSignIn} problem={errors.email?.message}>
        {(ids) => (
          <input
            id={ids.id}
            aria-describedby={ids.describedBy}
            type={mode === "up" ? "email" : "text"}
            autoComplete="username"
            className={INPUT}
            {...register("email")}
          />
        )}
      </Field>
      <Field
        label={WORDS.password}
        hint={mode === "up" ? <PasswordMeter password={password} own={[displayName, email]} /> : undefined}
        problem={errors.password?.message}
      >
        {(ids) => (
          <input
            id={ids.id}
            aria-describedby={ids.describedBy}
            type="password"
            autoComplete={mode === "up" ? "new-password" : "current-password"}
            className={INPUT}
            {...register("password")}
          />
        )}
      </Field>
      {asksCode ? (
        <CodeField
          autoFocus
          value={code}
          onChange={(e) => setValue("code", e.target.value)}
          problem={errors.code?.message}
        />
      ) : null}
      <Problem text={errors.root?.message} framed />
      <Button kind="main" type="submit" disabled={isSubmitting || !ready}>
        {mode === "up" ? WORDS.signUp : WORDS.signIn}
      </Button>
      {mode === "in" ? (
        <p className="text-[14px]">
          {WORDS.forgot}
          <PageLink
            className="font-bold text-verdigris underline"
            href={`/sign-in/link${to === "/" ? "" : `?to=${encodeURIComponent(to)}`}`}
          >
            {WORDS.sendMeALink}
          </PageLink>
        </p>
      ) : null}
      {mode === "in" ? (
        <p className="text-[14px]">
          {WORDS.yourTeacherGaveYouA}{" "}
          <PageLink className="font-bold text-verdigris underline" href="/sign-in/code">
            {WORDS.setANewPassword}
          </PageLink>
        </p>
      ) : null}
      <p className="text-[14px]">
        {mode === "up" ? WORDS.youHaveAnAccount : WORDS.newHere}
        <PageLink
          className="font-bold text-verdigris underline"
          href={`${mode === "up" ? "/sign-in" : "/sign-up"}?to=${encodeURIComponent(to)}`}
        >
          {mode === "up" ? WORDS.signIn : WORDS.signUp}
        </PageLink>
      </p>
    </form>
  );
}
