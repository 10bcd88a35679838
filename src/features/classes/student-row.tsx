"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { WORDS } from "@/core/words/classes";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { CheckRow } from "@/ui/controls/check-row";
import { SHORT_INPUT } from "@/ui/controls/field";
import { Modal } from "@/ui/controls/modal";
import { Problem } from "@/ui/controls/problem";
import { useReady } from "@/ui/use-ready";

export interface ClassMember {
  id: string;
  displayName: string;
  signInName: string | null;
  madeElsewhere: boolean;
  note: string;
  /** Was put here by a list, and has not come in yet. */
  waits: boolean;
}

/** A student with what tells them from another of that name, a code for a lost password, and the way out of the class. */
export function StudentRow({
  classId,
  member: m,
  members,
}: {
  classId: string;
  member: ClassMember;
  members: readonly ClassMember[];
}) {
  const router = useRouter();
  const ready = useReady();
  const [problem, setProblem] = useState<string | null>(null);
  const [code, setCode] = useState<string | null>(null);
  const [removing, setRemoving] = useState(false);
  const [forgetting, setForgetting] = useState(false);
  const [account, setAccount] = useState(false);
  const [note, setNote] = useState(m.note);
  const path = `/api/classes/${classId}/members/${m.id}`;
  const alike = members.some((o) => o.id !== m.id && o.displayName.toLowerCase() === m.displayName.toLowerCase());
  const done = (answer: { ok: true } | { ok: false; sentence: string }) => {
    setProblem(answer.ok ? null : answer.sentence);
    if (answer.ok) router.refresh();
  };
  return (
    <li className="flex min-h-10 flex-wrap items-center gap-x-3 gap-y-1 py-1">
      <strong>{m.displayName}</strong>
      <span className="text-[14px] text-quiet">
        {m.signInName ?? (m.madeElsewhere ? WORDS.hasAnAccountFromAnother : WORDS.signsInWithEMail)}
        {m.waits ? WORDS.notComeIn : ""}
      </span>
      {alike || m.note ? (
        <input
          aria-label={WORDS.noteToTellFromOthers(m.displayName, m.signInName ?? "")}
          title={WORDS.onlyYouSeeThisOn}
          className={`${SHORT_INPUT} w-36`}
          placeholder={WORDS.whichOne}
          maxLength={40}
          value={note}
          disabled={!ready}
          onChange={(e) => setNote(e.target.value)}
          onBlur={async () => {
            if (note.trim() !== m.note) done(await askServer("PATCH", path, { note }));
          }}
        />
      ) : null}
      <span className="ms-auto flex gap-1">
        {code ? (
          <span role="status" className="text-[14px]">
            {WORDS.oneTimeCode} <strong>{code}</strong>
            {WORDS.forADay}
          </span>
        ) : m.signInName ? (
          <Button
            size="small"
            kind="quiet"
            disabled={!ready}
            onClick={async () => {
              const answer = await askServer<{ code: string }>("POST", `${path}/code`);
              setProblem(answer.ok ? null : answer.sentence);
              if (answer.ok) setCode(answer.value.code);
            }}
          >
            {WORDS.passwordLost}
          </Button>
        ) : null}
        <Button size="small" kind="quiet" disabled={!ready} onClick={() => setRemoving(true)}>
          {WORDS.remove}
        </Button>
      </span>
      <Problem text={problem} className="w-full" />
      <Modal
        title={WORDS.takeOutOfTheClass(m.displayName)}
        open={removing}
        onOpenChange={(on) => {
          setRemoving(on);
          // Opened again, nothing is half said.
          setForgetting(false);
          setAccount(false);
        }}
      >
        <p>{WORDS.theyNoLongerSeeThe}</p>
        <div className="mt-4 flex flex-wrap gap-2">
          <Button
            kind="main"
            onClick={async () => {
              setRemoving(false);
              done(await askServer("DELETE", path));
            }}
          >
            {WORDS.takeOutOfTheClass2}
          </Button>
          <Button onClick={() => setRemoving(false)}>{WORDS.leaveIt}</Button>
        </div>
        <section aria-label={WORDS.whatIsKept} className="mt-6 border-t border-line pt-4">
          <h3 className="text-[16px]">{WORDS.whatIsKept}</h3>
          <p className="mt-1">
            <a href={`${path}/kept`} download className="text-verdigris underline">
              {WORDS.keptAsFile}
            </a>
          </p>
          <p className="mt-3">{WORDS.forgetMore}</p>
          {m.signInName ? (
            <div className="mt-2">
              <CheckRow label={WORDS.andTheAccount} checked={account} onChange={setAccount} />
            </div>
          ) : null}
          <div className="mt-3 flex flex-wrap items-center gap-2">
            {forgetting ? (
              <>
                <Button
                  kind="main"
                  onClick={async () => {
                    setRemoving(false);
                    done(await askServer("DELETE", `${path}/kept`, { account }));
                  }}
                >
                  {WORDS.forgetForGood(m.displayName)}
                </Button>
                <Button onClick={() => setForgetting(false)}>{WORDS.leaveIt}</Button>
              </>
            ) : (
              <Button onClick={() => setForgetting(true)}>{WORDS.forget}</Button>
            )}
          </div>
        </section>
      </Modal>
    </li>
  );
}
