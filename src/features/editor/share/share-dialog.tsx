"use client";

import { WORDS } from "@/core/words/en/editor-share";
import { useEffect, useState } from "react";
import { ownZone } from "@/ui/own-zone";
import { zonedText } from "@/core/time/zoned";
import { askServer } from "@/ui/ask-server";
import { Button, buttonLook } from "@/ui/controls/button";
import { INPUT } from "@/ui/controls/field";
import { Modal } from "@/ui/controls/modal";
import { useEditor, useEditorState } from "../store/editor-context";
import type { Publication } from "../store/ports";
import { Problem } from "@/ui/controls/problem";

type Visibility = Publication["visibility"];

/** One choice of who may see it; `class` where it is one of several classes. */
interface Readers {
  value: Visibility;
  class?: string;
  words: string;
  more: string;
}

const WHO: Readers[] = [
  { value: "only_me", words: WORDS.onlyItsEditors, more: WORDS.youAndThoseWhoWork },
  { value: "class", words: WORDS.theClass, more: WORDS.itsTeacherAndStudentsSigned },
  { value: "link", words: WORDS.anyoneWithTheLink, more: WORDS.notListedAnywhere },
  { value: "everybody", words: WORDS.everybody, more: WORDS.listedOnFastigosPagesAnd },
];

/** Publishing, and inviting others to work on the timeline. */
export function ShareDialog({
  open,
  onOpenChange,
  classes,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  /** The classes one teaches. */
  classes: readonly { id: string; name: string }[];
}) {
  const { store } = useEditor();
  const publication = useEditorState((s) => s.publication);
  const editors = useEditorState((s) => s.editors);
  const waiting = useEditorState((s) => s.waiting);
  const owner = editors.find((e) => e.id === store.account)?.role === "owner";
  const live = publication !== null && !publication.takenBack;
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const work = useEditorState((s) => s.work);
  const reach = WHO.map((w) => w.value);
  const offered = WHO.flatMap((w): Readers[] => {
    if (work) return reach.indexOf(w.value) <= reach.indexOf(work.publishLimit as Visibility) ? [w] : [];
    if (w.value !== "class") return [w];
    return classes.map((c) => ({ ...w, class: c.id, words: c.name, more: WORDS.yourClassItsStudentsSigned }));
  });
  const [chosen, setChosen] = useState<string | null>(null);
  // What it is now; else the widest of what is offered that is not listed.
  const usual =
    offered.find((w) => publication?.visibility === w.value && (!w.class || w.class === publication.classId)) ??
    offered.findLast((w) => w.value !== "everybody") ??
    offered[0]!;
  const readers = offered.find((w) => keyOf(w) === chosen) ?? usual;
  const asked = (w: Readers, fresh: boolean) => ({
    visibility: w.value,
    fresh,
    zone: ownZone(),
    ...(w.class ? { class: w.class } : {}),
  });

  const act = async (method: "PUT" | "DELETE", body?: object) => {
    setBusy(true);
    const answer = await askServer<{ publication: Publication | null }>(
      method,
      `/api/timelines/${store.timelineId}/publication`,
      body,
    );
    setBusy(false);
    setProblem(answer.ok ? null : answer.sentence);
    if (answer.ok) store.setPublication(answer.value.publication);
  };
  return (
    <Modal title={WORDS.share} open={open} onOpenChange={onOpenChange}>
      <section aria-label={WORDS.publish}>
        <p className="mb-3 rounded-md bg-panel px-3 py-2 text-[14px]" role="status">
          {stateInWords(publication)}
        </p>
        {owner ? (
          <>
            <fieldset className="mb-3">
              <legend className="mb-1 text-[13px] text-quiet">{WORDS.whoMaySeeIt}</legend>
              {offered.map((w) => (
                <label key={keyOf(w)} className="flex cursor-pointer items-baseline gap-2 py-1">
                  <input
                    type="radio"
                    name="visibility"
                    className="accent-verdigris"
                    checked={readers === w}
                    onChange={() => {
                      setChosen(keyOf(w));
                      if (live) void act("PUT", asked(w, false));
                    }}
                  />
                  <span>
                    <strong>{w.words}</strong> <span className="text-[13px] text-quiet">{w.more}</span>
                  </span>
                </label>
              ))}
            </fieldset>
            <div className="flex flex-wrap gap-2">
              {!live ? (
                <Button
                  kind="main"
                  disabled={busy || waiting > 0}
                  onClick={() => void act("PUT", asked(readers, true))}
                >
                  {WORDS.publish}
                </Button>
              ) : (
                <>
                  {publication.laterChanges > 0 ? (
                    <Button
                      kind="main"
                      disabled={busy || waiting > 0}
                      onClick={() => void act("PUT", asked(readers, true))}
                    >
                      {WORDS.publishTheChanges}
                    </Button>
                  ) : null}
                  <Button disabled={busy} onClick={() => void act("DELETE")}>
                    {WORDS.takeItBack}
                  </Button>
                </>
              )}
            </div>
          </>
        ) : (
          <p className="text-[14px]">
            {WORDS.onlyCanPublishIt(editors.find((e) => e.role === "owner")?.displayName ?? WORDS.itsOwner)}
          </p>
        )}
        {live ? <CopyLine label={WORDS.linkToThePublishedPage} path={`/t/${publication.address}`} open /> : null}
        <Problem text={problem} className="mt-2" />
      </section>
      <Together owner={owner} />
      <FrozenCopies />
    </Modal>
  );
}

const keyOf = (w: Readers) => `${w.value} ${w.class ?? ""}`;

function stateInWords(p: Publication | null): string {
  if (!p) return WORDS.draftOnlyItsEditorsCan;
  const day = zonedText(new Date(p.publishedAt), p.zone);
  if (p.takenBack) return WORDS.takenBackItsLinkSays;
  const later =
    p.laterChanges === 0
      ? "nothing has changed since"
      : `${p.laterChanges} later ${p.laterChanges === 1 ? "change" : "changes"} not shown yet`;
  return WORDS.publishedVersionOf(day, later);
}

function Together({ owner }: { owner: boolean }) {
  const { store } = useEditor();
  const editors = useEditorState((s) => s.editors);
  const [token, setToken] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const path = `/api/timelines/${store.timelineId}/invitation`;
  const make = async (renew: boolean) => {
    const answer = await askServer<{ token: string }>("POST", path, { renew });
    setProblem(answer.ok ? null : answer.sentence);
    if (answer.ok) setToken(answer.value.token);
  };
  const remove = async (account: string) => {
    const answer = await askServer("DELETE", `/api/timelines/${store.timelineId}/editors/${account}`);
    setProblem(answer.ok ? null : answer.sentence);
    if (answer.ok) store.setEditors(editors.filter((e) => e.id !== account));
  };
  return (
    <section aria-label={WORDS.workOnItTogether} className="mt-5 border-t border-line pt-4">
      <h3 className="mb-2 text-[16px]">{WORDS.workOnItTogether}</h3>
      <ul className="mb-3">
        {editors.map((e) => (
          <li key={e.id} className="flex items-center justify-between py-0.5">
            <span>
              {e.displayName}
              {e.role === "owner" ? <span className="ml-2 text-[13px] text-quiet">{WORDS.owner}</span> : null}
            </span>
            {owner && e.role === "editor" ? (
              <Button size="small" kind="quiet" onClick={() => void remove(e.id)}>
                {WORDS.takeTheRightAway}
              </Button>
            ) : null}
          </li>
        ))}
      </ul>
      {owner ? (
        token ? (
          <>
            <CopyLine label={WORDS.whoeverOpensThisLinkSigned} path={`/join/${token}`} />
            <div className="mt-2 flex gap-2">
              <Button size="small" onClick={() => void make(true)}>
                {WORDS.renewTheLink}
              </Button>
              <Button
                size="small"
                onClick={async () => {
                  const answer = await askServer("DELETE", path);
                  setProblem(answer.ok ? null : answer.sentence);
                  if (answer.ok) setToken(null);
                }}
              >
                {WORDS.closeTheLink}
              </Button>
            </div>
          </>
        ) : (
          <Button onClick={() => void make(false)}>{WORDS.inviteByALink}</Button>
        )
      ) : null}
      <Problem text={problem} className="mt-2" />
    </section>
  );
}

/** Handing in without a class: a frozen, dated copy by its own link or as a file, independent of publishing. */
function FrozenCopies() {
  const { store } = useEditor();
  const waiting = useEditorState((s) => s.waiting);
  const [copies, setCopies] = useState<{ address: string; createdAt: string; hash: string }[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const path = `/api/timelines/${store.timelineId}/frozen-copies`;
  useEffect(() => {
    void askServer<{ copies: { address: string; createdAt: string; hash: string }[] }>("GET", path).then((a) => {
      if (a.ok) setCopies(a.value.copies);
    });
  }, [path]);
  return (
    <section aria-label={WORDS.handInAFrozenCopy} className="mt-5 border-t border-line pt-4">
      <h3 className="mb-1 text-[16px]">{WORDS.handInAFrozenCopy}</h3>
      <p className="mb-2 text-[14px] text-quiet">{WORDS.aDatedCopyThatNever}</p>
      <Button
        disabled={waiting > 0}
        onClick={async () => {
          const answer = await askServer<{ copy: { address: string; createdAt: string; hash: string } }>("POST", path);
          setProblem(answer.ok ? null : answer.sentence);
          if (answer.ok) setCopies([answer.value.copy, ...(copies ?? [])]);
        }}
      >
        {WORDS.makeAFrozenCopy}
      </Button>
      <Problem text={problem} className="mt-2" />
      {(copies ?? []).map((c) => (
        <div key={c.address} className="mt-2 border-t border-line pt-1" data-testid="frozen-copy">
          <CopyLine
            label={WORDS.frozenFingerprint(
              new Date(c.createdAt).toLocaleString("en-GB", { dateStyle: "medium", timeStyle: "short" }),
              c.hash.slice(0, 16),
            )}
            path={`/f/${c.address}`}
            open
          />
          <div className="mt-1.5 flex gap-2">
            <a className={buttonLook("plain", "small")} href={`/f/${c.address}/file`}>
              {WORDS.downloadTheFile}
            </a>
            <Button
              size="small"
              onClick={async () => {
                const answer = await askServer("DELETE", `${path}/${c.address}`);
                setProblem(answer.ok ? null : answer.sentence);
                if (answer.ok) setCopies((copies ?? []).filter((x) => x.address !== c.address));
              }}
            >
              {WORDS.closeTheLink}
            </Button>
          </div>
        </div>
      ))}
    </section>
  );
}

function CopyLine({ label, path, open }: { label: string; path: string; open?: boolean }) {
  const [said, setSaid] = useState<string | null>(null);
  const url = typeof window === "undefined" ? path : new URL(path, window.location.href).href;
  return (
    <div className="mt-3">
      <label className="mb-1 block text-[13px] text-quiet">
        {label}
        <input readOnly value={url} className={`${INPUT} mt-1`} onFocus={(e) => e.target.select()} />
      </label>
      <div className="mt-1.5 flex items-center gap-2">
        <Button
          size="small"
          onClick={async () => {
            try {
              await navigator.clipboard.writeText(url);
              setSaid(WORDS.copied);
            } catch {
              setSaid(WORDS.thisBrowserDoesNotLet);
            }
          }}
        >
          {WORDS.copyLink}
        </Button>
        {open ? (
          <a className={buttonLook("plain", "small")} href={path} target="_blank" rel="noreferrer">
            {WORDS.openIt}
          </a>
        ) : null}
        <span role="status" className="text-[13px] text-verdigris">
          {said}
        </span>
      </div>
    </div>
  );
}
