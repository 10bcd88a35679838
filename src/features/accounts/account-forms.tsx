"use client";

import { WORDS as COMMON } from "@/core/words/common";

import { WORDS } from "@/core/words/accounts";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { askServer } from "@/ui/ask-server";
import { Button, buttonLook } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { PasswordMeter } from "@/ui/controls/password-meter";

import { BringBack } from "./bring-back";
import { Leaving, type LeavingAccount } from "./leaving";
import { Copies, type OpenCopy, type OpenSession, Sessions } from "./account-lists";
import { Part, Said, Secret, useForm } from "./account-pieces";
import { NoticeChoices, type NoticeChoiceProps } from "./notice-choices";
import { StepCodes } from "./step-codes";

interface AccountProps {
  displayName: string;
  email: string | null;
  emailProven: boolean;
  hasSteps: boolean;
  hasPassword: boolean;
  notices: NoticeChoiceProps;
  signInName: string | null;
  sessions: OpenSession[];
  copies: OpenCopy[];
  leaving: LeavingAccount;
}

/** Everything about one's own account: name, address, password, sessions, one's data, and its end. */
export function AccountForms(props: AccountProps) {
  return (
    <div className="flex flex-col gap-9">
      <NameForm displayName={props.displayName} />
      {props.signInName ? (
        <Part title={WORDS.signInName}>
          <p>
            {WORDS.youSignInAs} <strong>{props.signInName}</strong>
            {WORDS.ifYouLoseYourPassword}
          </p>
        </Part>
      ) : null}
      <EmailForm email={props.email} proven={props.emailProven} />
      <PasswordForm first={!props.hasPassword} own={[props.displayName, props.email ?? "", props.signInName ?? ""]} />
      {props.hasPassword ? <StepCodes on={props.hasSteps} /> : null}
      <NoticeChoices choices={props.notices} mail={!props.email ? "none" : props.emailProven ? "goes" : "unproven"} />
      <Sessions sessions={props.sessions} />
      <Copies copies={props.copies} />
      <Part title={WORDS.everythingOfYoursAsA}>
        <p>{WORDS.yourAccountYourTimelinesIn}</p>
        <a href="/api/account/file" download className={`${buttonLook("plain")} mt-3`}>
          {WORDS.downloadEverything}
        </a>
        <a href="/api/account/file?as=json" download className={`${buttonLook("quiet")} mt-3 ms-2`}>
          {WORDS.downloadData}
        </a>
        <BringBack />
      </Part>
      <Leaving leaving={props.leaving} />
    </div>
  );
}

function NameForm({ displayName }: { displayName: string }) {
  const router = useRouter();
  const form = useForm({ displayName });
  return (
    <form
      noValidate
      onSubmit={form.send(
        (v) => askServer("PATCH", "/api/account", v),
        COMMON.saved,
        () => router.refresh(),
      )}
    >
      <Field label={WORDS.displayName} hint={WORDS.whatOthersSeeNotYour}>
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
        {WORDS.saveTheName}
      </Button>
      <Said outcome={form.outcome} />
    </form>
  );
}

function EmailForm({ email, proven }: { email: string | null; proven: boolean }) {
  const router = useRouter();
  const form = useForm({ email: email ?? "", password: "" });
  return (
    <Part title={WORDS.eMail}>
      <form
        noValidate
        onSubmit={form.send(
          (v) => askServer("PATCH", "/api/account", v),
          WORDS.savedSignInWithThis,
          () => router.refresh(),
        )}
      >
        <Field label={WORDS.eMailAddress} hint={email ? undefined : WORDS.youHaveNoneAndNeed}>
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
          label={WORDS.yourPasswordForThis}
          value={form.values.password}
          onChange={form.set("password")}
          auto="current-password"
        />
        <Button type="submit" className="mt-3" disabled={form.disabled}>
          {WORDS.saveTheAddress}
        </Button>
        <Said outcome={form.outcome} />
      </form>
      {email ? <Proof key={email} proven={proven} /> : null}
    </Part>
  );
}

/** Whether the address is known to be one's own, and the way to show it. */
function Proof({ proven }: { proven: boolean }) {
  const form = useForm({});
  const [real, setReal] = useState(true);
  if (proven) return <p className="mt-3 text-[14px] text-quiet">{WORDS.isProven}</p>;
  return (
    <form
      noValidate
      className="mt-3"
      onSubmit={form.send(async () => {
        const answer = await askServer<{ real: boolean }>("POST", "/api/account/address");
        if (answer.ok) setReal(answer.value.real);
        return answer;
      }, WORDS.addressLetterSent)}
    >
      <p className="text-[14px] text-quiet">{WORDS.notProven}</p>
      <Button type="submit" size="small" className="mt-2" disabled={form.disabled}>
        {WORDS.sendAddressLetter}
      </Button>
      <Said outcome={form.outcome} />
      {form.outcome?.ok && !real ? <p className="mt-1 text-[14px] text-quiet">{WORDS.noMailServer}</p> : null}
    </form>
  );
}

function PasswordForm({ own, first }: { own: string[]; first: boolean }) {
  const router = useRouter();
  const form = useForm({ password: "", next: "" });
  return (
    <Part title={WORDS.password}>
      <form
        noValidate
        onSubmit={form.send(
          (v) => askServer("PUT", "/api/account/password", v),
          WORDS.theNewPasswordIsSet,
          () => {
            form.clear();
            router.refresh();
          },
        )}
      >
        {first ? (
          <p>{WORDS.firstPassword}</p>
        ) : (
          <Secret
            label={WORDS.presentPassword}
            value={form.values.password}
            onChange={form.set("password")}
            auto="current-password"
          />
        )}
        <Secret
          label={WORDS.newPassword}
          value={form.values.next}
          onChange={form.set("next")}
          auto="new-password"
          hint={<PasswordMeter password={form.values.next} own={own} />}
        />
        <Button type="submit" className="mt-3" disabled={form.disabled}>
          {WORDS.setTheNewPassword}
        </Button>
        <Said outcome={form.outcome} />
      </form>
    </Part>
  );
}
