"use client";

import { useRouter } from "next/navigation";
import { askServer } from "@/ui/ask-server";
import { Button, buttonLook } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { PasswordMeter } from "@/ui/controls/password-meter";

import { Bin, Copies, type Deleted, type OpenCopy, type OpenSession, Sessions } from "./account-lists";
import { Part, Said, Secret, useForm } from "./account-pieces";

interface AccountProps {
  displayName: string;
  email: string | null;
  signInName: string | null;
  sessions: OpenSession[];
  copies: OpenCopy[];
  bin: Deleted[];
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
