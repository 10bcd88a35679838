"use client";

import { useRefresh } from "@/ui/use-refresh";
import { useMemo, useRef, useState } from "react";
import { MOST_ROSTER, readOneRoster, readRoster, type RosterClass, rosterKey } from "@/core/classes/roster";
import { leftText, WORDS } from "@/core/words/people";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { Modal } from "@/ui/controls/modal";
import { Problem } from "@/ui/controls/problem";
import { type Slip, Slips } from "./slips";

/** Students out of a list or a school's export, and the slips with which they come in. */
export function RosterDialog({
  classId,
  className,
  members,
  open,
  onClose,
}: {
  classId: string;
  className: string;
  members: readonly { displayName: string; note: string }[];
  open: boolean;
  onClose: () => void;
}) {
  const refresh = useRefresh();
  const file = useRef<HTMLInputElement>(null);
  const [typed, setTyped] = useState("");
  const [found, setFound] = useState<RosterClass[] | null>(null);
  const [chosen, setChosen] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [made, setMade] = useState<{ slips: Slip[]; there: number } | null>(null);
  const there = useMemo(() => new Set(members.map(rosterKey)), [members]);
  const roster = useMemo(() => {
    const own = found?.find((c) => c.id === chosen) ?? found?.[0];
    return own?.roster ?? readRoster(typed, there);
  }, [typed, found, chosen, there]);
  const take = async (files: readonly File[]) => {
    const texts = new Map<string, string>();
    for (const f of files) {
      if (!/\.zip$/i.test(f.name)) {
        texts.set(f.name.toLowerCase(), await f.text());
        continue;
      }
      try {
        const { unpack } = await import("@/core/bring-in/files/unpack");
        const parts = unpack(new Uint8Array(await f.arrayBuffer()), (name) => /(users|enrollments)\.csv$/i.test(name));
        for (const [name, bytes] of parts) texts.set(name.toLowerCase(), new TextDecoder().decode(bytes));
      } catch {
        return setProblem(WORDS.notUnpacked);
      }
    }
    const of = (what: string) => [...texts].find(([name]) => name.endsWith(`${what}.csv`))?.[1] ?? null;
    const users = of("users") ?? (texts.size === 1 ? [...texts.values()][0]! : null);
    const read = users === null ? null : readOneRoster(users, of("enrollments"), there);
    setProblem(read ? null : WORDS.notARoster);
    setFound(read);
    setChosen(read?.[0]?.id ?? "");
  };
  const add = async () => {
    setBusy(true);
    const answer = await askServer<{ slips: Slip[]; there: number }>("POST", `/api/classes/${classId}/roster`, {
      entries: roster.entries,
    });
    setBusy(false);
    setProblem(answer.ok ? null : answer.sentence);
    if (!answer.ok) return;
    setMade(answer.value);
    void refresh();
  };
  const close = () => {
    setMade(null);
    setTyped("");
    setFound(null);
    setProblem(null);
    onClose();
  };
  const tooMany = roster.entries.length + members.length > MOST_ROSTER;
  return (
    <Modal wide title={made ? WORDS.slips : WORDS.addFromList} open={open} onOpenChange={(on) => (on ? null : close())}>
      {made ? (
        <>
          <p role="status">{WORDS.addedAnd(made.slips.length, made.there)}</p>
          <Slips slips={made.slips} className={className} onDone={close} />
        </>
      ) : (
        <>
          <p className="text-[14px] text-quiet">{WORDS.listHelp}</p>
          <Field label={WORDS.list} className="mt-3">
            {(ids) => (
              <textarea
                id={ids.id}
                rows={8}
                className={`${INPUT} h-auto py-2`}
                placeholder={WORDS.listExample}
                value={typed}
                onChange={(e) => {
                  setTyped(e.target.value);
                  setFound(null);
                }}
              />
            )}
          </Field>
          <div className="mt-2 flex flex-wrap items-center gap-2">
            <Button size="small" onClick={() => file.current?.click()}>
              {WORDS.fromFile}
            </Button>
            <span className="text-[13px] text-quiet">{WORDS.fileHelp}</span>
            <input
              ref={file}
              type="file"
              multiple
              accept=".csv,.zip,text/csv"
              className="sr-only"
              tabIndex={-1}
              aria-label={WORDS.file}
              onChange={(e) => {
                void take([...(e.target.files ?? [])]);
                e.target.value = "";
              }}
            />
          </div>
          {found && found.length > 1 ? (
            <Field label={WORDS.whichClass} className="mt-3">
              {(ids) => (
                <select id={ids.id} className={INPUT} value={chosen} onChange={(e) => setChosen(e.target.value)}>
                  {found.map((c) => (
                    <option key={c.id} value={c.id}>
                      {`${c.id} (${c.roster.entries.length})`}
                    </option>
                  ))}
                </select>
              )}
            </Field>
          ) : null}
          <p className="mt-3 font-bold" role="status">
            {WORDS.found(roster.entries.length)}
          </p>
          {found ? (
            <p className="text-[14px]">
              {roster.entries
                .slice(0, 40)
                .map((e) => e.displayName)
                .join(", ")}
            </p>
          ) : null}
          {leftText(roster.left).map((line) => (
            <p key={line} className="text-[14px] text-copper-dark">
              {line}
            </p>
          ))}
          <Problem text={tooMany ? WORDS.tooMany : problem} className="mt-2" />
          <div className="mt-4 flex gap-2">
            <Button kind="main" disabled={busy || roster.entries.length === 0 || tooMany} onClick={() => void add()}>
              {WORDS.add(roster.entries.length)}
            </Button>
            <Button onClick={close}>{WORDS.cancel}</Button>
          </div>
        </>
      )}
    </Modal>
  );
}
