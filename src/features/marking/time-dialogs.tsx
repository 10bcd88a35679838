"use client";

import { useRefresh } from "@/ui/use-refresh";
import { useState } from "react";
import { WORDS } from "@/core/words/marking";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { Modal } from "@/ui/controls/modal";
import { useReady } from "@/ui/use-ready";
import { ZonedTime } from "@/ui/zoned-time";

/** More time for the people of a row of the desk. */
export function MoreTime({
  assignment,
  accounts,
  names,
  extended,
  zone,
}: {
  assignment: string;
  accounts: readonly string[];
  names: string;
  /** Until when they have more time than the others; null: they have not. */
  extended: string | null;
  zone: string;
}) {
  const path = `/api/assignments/${assignment}/extension`;
  return (
    <TimeDialog
      button={WORDS.moreTime}
      buttonLabel={WORDS.moreTimeFor(names)}
      title={WORDS.moreTimeFor(names)}
      label={WORDS.moreTimeUntil}
      hint={WORDS.classTime}
      set={WORDS.moreTimeGive}
      end={extended ? WORDS.moreTimeTake : null}
      onSet={(at) => askServer("PUT", path, { accounts, dueAt: at })}
    >
      {extended ? (
        <span className="block text-[13px] font-normal text-quiet">
          {WORDS.until} <ZonedTime at={extended} zone={zone} />
        </span>
      ) : null}
    </TimeDialog>
  );
}

/** Holding what is given back until a day, so that all of a class see their marks at once. */
export function HoldMarks({ assignment, until, zone }: { assignment: string; until: string | null; zone: string }) {
  return (
    <TimeDialog
      button={WORDS.holdButton}
      buttonLabel={WORDS.holdButton}
      title={WORDS.holdButton}
      label={WORDS.hold}
      hint={WORDS.holdHelp}
      set={WORDS.holdSet}
      end={until ? WORDS.holdEnd : null}
      onSet={(at) => askServer("PUT", `/api/assignments/${assignment}/return`, { at })}
    >
      {until ? (
        <span className="text-[14px]">
          {WORDS.heldNotice} <ZonedTime at={until} zone={zone} />
        </span>
      ) : null}
    </TimeDialog>
  );
}

function TimeDialog({
  button,
  buttonLabel,
  title,
  label,
  hint,
  set,
  end,
  onSet,
  children,
}: {
  button: string;
  buttonLabel: string;
  title: string;
  label: string;
  hint: string;
  set: string;
  /** What takes it back; null where there is nothing to take back. */
  end: string | null;
  onSet: (at: string | null) => ReturnType<typeof askServer>;
  children: React.ReactNode;
}) {
  const refresh = useRefresh();
  const ready = useReady();
  const [shown, setShown] = useState(false);
  const [at, setAt] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const send = async (value: string | null) => {
    const answer = await onSet(value);
    setProblem(answer.ok ? null : answer.sentence);
    if (!answer.ok) return;
    setShown(false);
    void refresh();
  };
  return (
    <>
      <Button size="small" kind="quiet" aria-label={buttonLabel} disabled={!ready} onClick={() => setShown(true)}>
        {button}
      </Button>
      {children}
      <Modal title={title} open={shown} onOpenChange={setShown}>
        <Field label={label} hint={hint} problem={problem}>
          {(ids) => (
            <input
              id={ids.id}
              aria-describedby={ids.describedBy}
              type="datetime-local"
              className={INPUT}
              value={at}
              onChange={(e) => setAt(e.target.value)}
            />
          )}
        </Field>
        <div className="mt-4 flex flex-wrap gap-2">
          <Button kind="main" disabled={at === ""} onClick={() => void send(at)}>
            {set}
          </Button>
          {end ? <Button onClick={() => void send(null)}>{end}</Button> : null}
          <Button kind="quiet" onClick={() => setShown(false)}>
            {WORDS.cancel}
          </Button>
        </div>
      </Modal>
    </>
  );
}
