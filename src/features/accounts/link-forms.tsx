"use client";

import { PageLink } from "@/ui/page-link";
import { useState } from "react";
import { WORDS } from "@/core/words/accounts";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { Problem } from "@/ui/controls/problem";
import { Said, useForm } from "./account-pieces";
import { CodeField } from "./code-field";

/** Asks for a letter with a link that signs in. */
export function AskForLink({ to }: { to: string }) {
  const form = useForm({ email: "" });
  const [sent, setSent] = useState<{ real: boolean; to: string } | null>(null);
  if (sent)
    return (
      <div role="status" className="rounded-md border-s-4 border-verdigris bg-verdigris-wash p-4">
        <p>{WORDS.linkSent(sent.to)}</p>
        {sent.real ? null : <p className="mt-2 text-[14px] text-quiet">{WORDS.noMailServer}</p>}
        <Button kind="quiet" size="small" className="mt-2" onClick={() => setSent(null)}>
          {WORDS.anotherAddress}
        </Button>
      </div>
    );
  return (
    <form
      noValidate
      className="flex flex-col gap-4"
      onSubmit={form.send(async (v) => {
        const answer = await askServer<{ real: boolean }>("POST", "/api/session/link", { email: v.email, to });
        if (answer.ok) setSent({ real: answer.value.real, to: v.email.trim() });
        return answer;
      }, "")}
    >
      <p>{WORDS.linkHelp}</p>
      <Field label={WORDS.eMailAddress}>
        {(ids) => (
          <input
            id={ids.id}
            aria-describedby={ids.describedBy}
            type="email"
            autoComplete="email"
            className={INPUT}
            disabled={!form.ready}
            value={form.values.email}
            onChange={form.set("email")}
          />
        )}
      </Field>
      <Button kind="main" type="submit" disabled={form.disabled}>
        {WORDS.sendTheLink}
      </Button>
      {form.outcome && !form.outcome.ok ? <Said outcome={form.outcome} /> : null}
      <p className="text-[14px]">
        <PageLink className="font-bold text-verdigris underline" href={`/sign-in?to=${encodeURIComponent(to)}`}>
          {WORDS.withThePassword}
        </PageLink>
      </p>
    </form>
  );
}

/** Signs in by a link, once somebody presses: what looks at letters beforehand opens nothing. */
export function SignInByLink({ link, name, steps, to }: { link: string; name: string; steps: boolean; to: string }) {
  const form = useForm({ code: "" });
  return (
    <form
      noValidate
      className="flex flex-col gap-4"
      onSubmit={form.send(
        (v) => askServer("POST", "/api/session/link/open", { key: link, ...(steps ? { code: v.code } : {}) }),
        WORDS.signedIn,
        () => window.location.assign(to),
      )}
    >
      {steps ? <CodeField value={form.values.code} onChange={form.set("code")} /> : null}
      <Button kind="main" type="submit" disabled={form.disabled}>
        {WORDS.signInAs(name)}
      </Button>
      <Said outcome={form.outcome} />
    </form>
  );
}

/** Says that an address is one's own, by a link from a letter that was sent there. */
export function ProveAddress({ link }: { link: string }) {
  const form = useForm({});
  const done = form.outcome?.ok === true;
  return (
    <form
      noValidate
      className="flex flex-col items-start gap-4"
      onSubmit={form.send(() => askServer("PUT", "/api/account/address", { key: link }), WORDS.proven)}
    >
      {done ? null : (
        <Button kind="main" type="submit" disabled={form.disabled}>
          {WORDS.thisIsMine}
        </Button>
      )}
      {done ? <Said outcome={form.outcome} /> : <Problem text={form.outcome?.sentence ?? null} />}
      <PageLink className="font-bold text-verdigris underline" href="/account">
        {WORDS.toYourAccount}
      </PageLink>
    </form>
  );
}
