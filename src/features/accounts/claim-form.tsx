"use client";

import { useState } from "react";
import { WORDS } from "@/core/words/accounts";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Said, Secret, useForm } from "./account-pieces";
import { CodeField } from "./code-field";

/** Whoever came through their school says whether the account that has their address already is theirs. */
export function ClaimForm() {
  const form = useForm({ password: "", code: "" });
  const [asksCode, setAsksCode] = useState(false);
  const send = async (body: object) => {
    const answer = await askServer<{ to: string }>("POST", "/api/sign-on/claim", body);
    if (answer.ok) window.location.assign(answer.value.to);
    else if (answer.failed === "step_code_needed") setAsksCode(true);
    return answer;
  };
  const own = useForm({});
  return (
    <>
      <form
        noValidate
        className="flex flex-col gap-3"
        onSubmit={form.send(
          (v) => send({ password: v.password, ...(asksCode ? { code: v.code } : {}) }),
          WORDS.signedIn,
        )}
      >
        <Secret
          label={WORDS.password}
          value={form.values.password}
          onChange={form.set("password")}
          auto="current-password"
        />
        {asksCode ? <CodeField autoFocus value={form.values.code} onChange={form.set("code")} /> : null}
        <Button kind="main" type="submit" disabled={form.disabled}>
          {WORDS.claimIt}
        </Button>
        <Said outcome={form.outcome} />
      </form>
      <form noValidate className="mt-8 border-t border-line pt-4" onSubmit={own.send(() => send({}), WORDS.signedIn)}>
        <h2 className="text-[18px]">{WORDS.claimNot}</h2>
        <p className="mt-1 text-[15px]">{WORDS.claimNotMore}</p>
        <Button type="submit" className="mt-3" disabled={own.disabled}>
          {WORDS.claimNew}
        </Button>
        <Said outcome={own.outcome} />
      </form>
    </>
  );
}
