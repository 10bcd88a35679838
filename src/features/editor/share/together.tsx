"use client";

import { locale } from "@/core/language/spoken";
import { useCallback, useEffect, useState } from "react";
import { INVITED_AS, type InvitedAs } from "@/core/timeline/roles";
import { WORDS } from "@/core/words/together";
import { WORDS as SHARE } from "@/core/words/editor-share";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Choice } from "@/ui/controls/choice";
import { Field, INPUT, SHORT_INPUT } from "@/ui/controls/field";
import { Modal } from "@/ui/controls/modal";
import { Problem } from "@/ui/controls/problem";
import { useLatest } from "@/ui/use-latest";
import { useEditor } from "../store/editor-context";
import { CopyLine } from "./copy-line";

interface Person {
  id: string;
  displayName: string;
  role: "owner" | InvitedAs;
}
interface Invitation {
  token: string;
  role: InvitedAs;
  to: string | null;
  endsAt: string | null;
}

/** A day of another year says so. The dialog is drawn by the browser, in its own zone. */
const endText = (at: Date): string => at.toLocaleString(locale(), { dateStyle: "full", timeStyle: "short" });
const may = () => INVITED_AS.map((r) => [r, WORDS.may[r]] as const);

/** Who may see the timeline and what they may do in it, and inviting others. */
export function Together({ owner }: { owner: boolean }) {
  const { store } = useEditor();
  // Those who edit are known: nothing below moves from under a press when the others are.
  const [people, setPeople] = useState<readonly Person[]>(() => store.getState().editors);
  const [invitations, setInvitations] = useState<readonly Invitation[]>([]);
  const [passing, setPassing] = useState<Person | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const path = `/api/timelines/${store.timelineId}`;
  const asked = useLatest();
  const look = useCallback(async () => {
    const isLast = asked();
    const got = await askServer<{ people: Person[]; invitations: Invitation[] }>("GET", `${path}/people`);
    if (!isLast()) return;
    setProblem(got.ok ? null : got.sentence);
    if (!got.ok) return;
    setPeople(got.value.people);
    setInvitations(got.value.invitations);
    store.setEditors(
      got.value.people.flatMap((p) => (p.role === "owner" || p.role === "editor" ? [{ ...p, role: p.role }] : [])),
    );
  }, [path, store, asked]);
  useEffect(() => void look(), [look]);
  const ask = async (method: "PUT" | "DELETE" | "POST", to: string, body?: object) => {
    const done = await askServer(method, `${path}${to}`, body);
    if (done.ok) await look();
    else setProblem(done.sentence);
    return done.ok;
  };
  const links = invitations.filter((i) => i.to === null);
  const open = invitations.filter((i) => i.to !== null);
  return (
    <section aria-label={SHARE.workOnItTogether} className="mt-5 border-t border-line pt-4">
      <h3 className="mb-2 text-[16px]">{SHARE.workOnItTogether}</h3>
      <ul className="mb-3">
        {people.map((p) => (
          <li key={p.id} className="flex min-h-9 flex-wrap items-center gap-x-2 py-0.5">
            <span className="me-auto max-sm:w-full">{p.displayName}</span>
            {owner && p.role !== "owner" ? (
              <>
                <select
                  aria-label={WORDS.roleOf(p.displayName)}
                  className={`${SHORT_INPUT} w-36`}
                  value={p.role}
                  onChange={(e) => {
                    const role = e.target.value as Person["role"];
                    if (role === "owner") setPassing(p);
                    else void ask("PUT", `/editors/${p.id}`, { role });
                  }}
                >
                  {INVITED_AS.map((r) => (
                    <option key={r} value={r}>
                      {WORDS.roles[r]}
                    </option>
                  ))}
                  {p.role === "editor" ? <option value="owner">{WORDS.passOn}</option> : null}
                </select>
                <Button
                  size="small"
                  kind="quiet"
                  aria-label={WORDS.takeAway(p.displayName)}
                  onClick={() => void ask("DELETE", `/editors/${p.id}`)}
                >
                  {SHARE.takeTheRightAway}
                </Button>
              </>
            ) : (
              <span className="text-[13px] text-quiet">{p.role === "owner" ? SHARE.owner : WORDS.roles[p.role]}</span>
            )}
          </li>
        ))}
      </ul>
      {open.length > 0 ? (
        <>
          <h4 className="font-sans text-[14px] font-bold">{WORDS.open}</h4>
          <ul className="mb-3">
            {open.map((i) => (
              <li key={i.token} className="flex min-h-9 items-center gap-2 text-[14px]">
                <span className="me-auto [overflow-wrap:anywhere]">
                  {i.to} <span className="text-quiet">{WORDS.roles[i.role]}</span>
                </span>
                <Button
                  size="small"
                  kind="quiet"
                  aria-label={WORDS.withdraw(i.to ?? "")}
                  onClick={() => void ask("DELETE", "/invitation", { token: i.token })}
                >
                  {WORDS.withdrawShort}
                </Button>
              </li>
            ))}
          </ul>
        </>
      ) : null}
      {owner ? (
        <>
          <InviteForm path={path} onInvited={look} />
          <LinkForm links={links} ask={ask} />
        </>
      ) : null}
      <Problem text={problem} className="mt-2" />
      <Modal title={WORDS.passTitle} open={passing !== null} onOpenChange={() => setPassing(null)}>
        <p>{WORDS.passOnSure(passing?.displayName ?? "")}</p>
        <div className="mt-4 flex gap-2">
          <Button
            kind="main"
            onClick={async () => {
              const to = passing!;
              setPassing(null);
              await ask("PUT", `/editors/${to.id}`, { role: "owner" });
            }}
          >
            {WORDS.passItOn}
          </Button>
          <Button onClick={() => setPassing(null)}>{WORDS.cancel}</Button>
        </div>
      </Modal>
    </section>
  );
}

/** Inviting by letter, or by the name of somebody of one's class. */
function InviteForm({ path, onInvited }: { path: string; onInvited: () => Promise<void> }) {
  const [to, setTo] = useState("");
  const [role, setRole] = useState<InvitedAs>("editor");
  const [problem, setProblem] = useState<string | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  return (
    <fieldset className="mb-4">
      <legend className="mb-1 font-sans text-[14px] font-bold">{WORDS.invite}</legend>
      <div className="flex flex-wrap items-end gap-2">
        <Field label={WORDS.inviteTo} problem={problem} className="min-w-48 flex-1">
          {(ids) => (
            <input
              id={ids.id}
              aria-describedby={ids.describedBy}
              className={INPUT}
              maxLength={6_000}
              value={to}
              onChange={(e) => setTo(e.target.value)}
            />
          )}
        </Field>
        <Choice label={WORDS.inviteAs} value={role} options={may()} onChoose={(r) => setRole(r as InvitedAs)} />
        <Button
          disabled={to.trim() === ""}
          onClick={async () => {
            const done = await askServer<{ invited: number; letters: boolean; real: boolean }>(
              "POST",
              `${path}/people`,
              {
                to,
                role,
              },
            );
            setProblem(done.ok ? null : done.sentence);
            if (!done.ok) return setSaid(null);
            const { invited, letters, real } = done.value;
            setSaid(
              invited === 0
                ? WORDS.invitedAlready
                : !letters
                  ? WORDS.invitedByName
                  : real
                    ? WORDS.invitedLetters(invited)
                    : WORDS.invitedKept(invited),
            );
            setTo("");
            await onInvited();
          }}
        >
          {WORDS.send}
        </Button>
      </div>
      {said ? (
        <p role="status" className="mt-1 text-[14px]">
          {said}
        </p>
      ) : null}
    </fieldset>
  );
}

/** A link for whoever has it, one for each role. */
function LinkForm({
  links,
  ask,
}: {
  links: readonly Invitation[];
  ask: (method: "POST" | "DELETE", to: string, body?: object) => Promise<boolean>;
}) {
  const [wanted, setRole] = useState<InvitedAs>("editor");
  const [until, setUntil] = useState("");
  // What there is a link for already is not offered again.
  const free = may().filter(([r]) => !links.some((l) => l.role === r));
  const role = free.some(([r]) => r === wanted) ? wanted : (free.at(-1)?.[0] ?? wanted);
  const make = (r: InvitedAs, renew: boolean, endsAt: string | null) =>
    ask("POST", "/invitation", { renew, role: r, endsAt });
  return (
    <fieldset>
      <legend className="mb-1 font-sans text-[14px] font-bold">{WORDS.link}</legend>
      {links.map((l) => (
        <div key={l.token} className="mb-3">
          <CopyLine label={WORDS.linkFor(l.role)} path={`/join/${l.token}`} />
          <div className="mt-2 flex flex-wrap items-center gap-2">
            {l.endsAt ? (
              <span className="text-[14px] text-quiet">{WORDS.until(endText(new Date(l.endsAt)))}</span>
            ) : null}
            <Button size="small" onClick={() => void make(l.role, true, l.endsAt)}>
              {WORDS.renew}
            </Button>
            <Button size="small" onClick={() => void ask("DELETE", "/invitation", { token: l.token })}>
              {WORDS.close}
            </Button>
          </div>
        </div>
      ))}
      {free.length > 0 ? (
        <div className="flex flex-wrap items-end gap-2">
          <Choice label={WORDS.inviteAs} value={role} options={free} onChoose={(r) => setRole(r as InvitedAs)} />
          <Field label={WORDS.linkUntil} className="min-w-44 flex-1">
            {(ids) => (
              <input
                id={ids.id}
                type="datetime-local"
                className={INPUT}
                value={until}
                onChange={(e) => setUntil(e.target.value)}
              />
            )}
          </Field>
          <Button
            onClick={async () => {
              if (await make(role, false, until ? new Date(until).toISOString() : null)) setUntil("");
            }}
          >
            {WORDS.makeLink}
          </Button>
        </div>
      ) : null}
    </fieldset>
  );
}
