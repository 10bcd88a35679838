"use client";

import { WORDS } from "@/core/words/editor-share";
import { useState } from "react";
import { zonedText } from "@/core/time/zoned";
import { REACH, type Visibility } from "@/core/timeline/visibility";
import { Button } from "@/ui/controls/button";
import { CheckRow } from "@/ui/controls/check-row";
import { INPUT } from "@/ui/controls/field";
import { Problem } from "@/ui/controls/problem";
import { OnceSaved } from "../once-saved";
import { useEditor, useEditorState } from "../store/editor-context";
import type { Publication } from "../store/ports";
import { asItIs, type Said, useOwner, usePublishing } from "./use-publishing";
import { WhatChanged } from "./what-changed";

/** One choice of who may see it; `class` or `school` where it is one of several. */
interface Readers {
  value: Visibility;
  class?: string;
  school?: string;
  words: string;
  more: string;
}

const who = (): Readers[] => [
  { value: "only_me", words: WORDS.onlyItsEditors, more: WORDS.youAndThoseWhoWork },
  { value: "class", words: WORDS.theClass, more: WORDS.itsTeacherAndStudentsSigned },
  { value: "school", words: WORDS.theSchool, more: WORDS.itsTeachersAndStudents },
  { value: "password", words: WORDS.withAPassword, more: WORDS.withAPasswordMore },
  { value: "link", words: WORDS.anyoneWithTheLink, more: WORDS.notListedAnywhere },
  { value: "everybody", words: WORDS.everybody, more: WORDS.listedOnFastigosPagesAnd },
];
const keyOf = (w: Readers) => `${w.value} ${w.class ?? w.school ?? ""}`;

/** To whom one can give a timeline of one's own: the classes and schools one teaches. */
export interface Given {
  classes: readonly { id: string; name: string }[];
  schools: readonly { id: string; name: string }[];
}

/** Who sees it, from when until when, and publishing what has changed. */
export function PublishSection({ classes, schools }: Given) {
  const publication = useEditorState((s) => s.publication);
  const editors = useEditorState((s) => s.editors);
  const work = useEditorState((s) => s.work);
  const owner = useOwner();
  const { busy, problem, publish, takeBack } = usePublishing();
  const [chosen, setChosen] = useState<string | null>(null);
  const [password, setPassword] = useState("");
  const [times, setTimes] = useState<{ opensAt?: string | null; closesAt?: string | null }>({});
  const [copies, setCopies] = useState<boolean | null>(null);
  const live = publication !== null && !publication.takenBack;
  const offered = who().flatMap((w): Readers[] => {
    if (work) {
      if (REACH.indexOf(w.value) > REACH.indexOf(work.publishLimit as Visibility)) return [];
      return w.value !== "school" ? [w] : work.school ? [{ ...w, words: work.school }] : [];
    }
    if (w.value === "school")
      return schools.map((s) => ({ ...w, school: s.id, words: s.name, more: WORDS.itsTeachersAndStudents }));
    if (w.value !== "class") return [w];
    return classes.map((c) => ({ ...w, class: c.id, words: c.name, more: WORDS.yourClassItsStudentsSigned }));
  });
  // What it is now; else the widest of what is offered that is not listed.
  const usual =
    offered.find(
      (w) =>
        publication?.visibility === w.value &&
        (!w.class || w.class === publication.classId) &&
        (!w.school || w.school === publication.organisationId),
    ) ??
    offered.findLast((w) => w.value !== "everybody") ??
    offered[0]!;
  const readers = offered.find((w) => keyOf(w) === chosen) ?? usual;
  const said = (w: Readers): Said => ({
    visibility: w.value,
    ...(w.class ? { class: w.class } : {}),
    ...(w.school ? { school: w.school } : {}),
    ...(w.value === "password" && password ? { password } : {}),
    ...(live ? {} : times),
    ...(live || copies === null ? {} : { copies }),
  });
  const asksPassword = readers.value === "password";
  const needsPassword = asksPassword && !publication?.hasPassword && password === "";
  return (
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
                    if (live && (w.value !== "password" || publication.hasPassword)) void publish(said(w), false);
                  }}
                />
                <span>
                  <strong>{w.words}</strong> <span className="text-[13px] text-quiet">{w.more}</span>
                </span>
              </label>
            ))}
          </fieldset>
          {asksPassword ? (
            <div className="mb-3 flex flex-wrap items-end gap-2">
              <label className="block min-w-[220px] flex-1 text-[13px] text-quiet">
                {publication?.hasPassword ? WORDS.anotherPassword : WORDS.thePassword}
                <input
                  className={`${INPUT} mt-1`}
                  autoComplete="off"
                  value={password}
                  maxLength={200}
                  onChange={(e) => setPassword(e.target.value)}
                />
              </label>
              {live ? (
                <Button
                  disabled={busy || password === ""}
                  onClick={async () => {
                    if (await publish(said(readers), false)) setPassword("");
                  }}
                >
                  {WORDS.setThePassword}
                </Button>
              ) : null}
              <p className="basis-full text-[13px] text-quiet">{WORDS.passwordMore}</p>
            </div>
          ) : null}
          <details className="mb-3" open={Boolean(publication?.opensAt || publication?.closesAt) || undefined}>
            <summary className="cursor-pointer text-[15px] text-verdigris underline">{WORDS.fromWhen}</summary>
            <div className="mt-2 grid gap-3 sm:grid-cols-2">
              {(["opensAt", "closesAt"] as const).map((which) => (
                <TimeField
                  key={which}
                  label={WORDS[which]}
                  value={live ? publication[which] : (times[which] ?? null)}
                  onChange={(at) =>
                    live
                      ? void publish({ ...asItIs(publication, { classes, schools }), [which]: at }, false)
                      : setTimes({ ...times, [which]: at })
                  }
                />
              ))}
            </div>
          </details>
          <div className="mb-3">
            <CheckRow
              label={WORDS.othersMayBegin}
              checked={live ? publication.copies : (copies ?? publication?.copies ?? false)}
              onChange={(on) =>
                live ? void publish({ ...asItIs(publication, { classes, schools }), copies: on }, false) : setCopies(on)
              }
            />
          </div>
          {live && publication.laterChanges > 0 ? <WhatChanged key={publication.seq} seq={publication.seq} /> : null}
          <div className="flex flex-wrap gap-2">
            {!live ? (
              <OnceSaved
                kind="main"
                disabled={busy || needsPassword}
                onPress={async () => {
                  if (await publish(said(readers), true)) setPassword("");
                }}
              >
                {WORDS.publish}
              </OnceSaved>
            ) : (
              <>
                {publication.laterChanges > 0 ? (
                  <OnceSaved
                    kind="main"
                    disabled={busy}
                    onPress={() => void publish(asItIs(publication, { classes, schools }), true)}
                  >
                    {WORDS.publishTheChanges}
                  </OnceSaved>
                ) : null}
                <Button disabled={busy} onClick={() => void takeBack()}>
                  {WORDS.takeItBack}
                </Button>
              </>
            )}
            <a href="/published/mine" className="self-center text-verdigris underline">
              {WORDS.allIHavePublished}
            </a>
          </div>
        </>
      ) : (
        <p className="text-[14px]">
          {WORDS.onlyCanPublishIt(editors.find((e) => e.role === "owner")?.displayName ?? WORDS.itsOwner)}
        </p>
      )}
      <Problem text={problem} className="mt-2" />
    </section>
  );
}

/** A day and time of one's own zone; empty for none. */
function TimeField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string | null;
  onChange: (at: string | null) => void;
}) {
  const { store } = useEditor();
  const [typed, setTyped] = useState<string | null>(null);
  const leave = () => {
    if (typed === null) return;
    const at = typed === "" ? null : new Date(typed);
    setTyped(null);
    if (at === null) onChange(null);
    else if (Number.isNaN(at.getTime()) || at.getFullYear() < 2000 || at.getFullYear() > 2199)
      store.say(WORDS.timeUnread);
    else onChange(at.toISOString());
  };
  return (
    <label className="block text-[13px] text-quiet">
      {label}
      <input
        type="datetime-local"
        className={`${INPUT} mt-1`}
        value={typed ?? localTime(value)}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={leave}
      />
    </label>
  );
}

/** As a field for day and time takes it, in the zone of whoever looks. */
function localTime(at: string | null): string {
  if (!at) return "";
  const d = new Date(at);
  const two = (n: number) => String(n).padStart(2, "0");
  return `${d.getFullYear()}-${two(d.getMonth() + 1)}-${two(d.getDate())}T${two(d.getHours())}:${two(d.getMinutes())}`;
}

function stateInWords(p: Publication | null): string {
  if (!p) return WORDS.draftOnlyItsEditorsCan;
  const day = zonedText(new Date(p.publishedAt), p.zone);
  if (p.takenBack) return WORDS.takenBackItsLinkSays;
  const at = (t: string | null) => (t ? zonedText(new Date(t), p.zone) : "");
  const seen = {
    open: p.closesAt ? WORDS.seenUntil(at(p.closesAt)) : "",
    not_yet: WORDS.seenFrom(at(p.opensAt)),
    over: WORDS.wasSeenUntil(at(p.closesAt)),
    hidden: WORDS.isHidden,
    taken_back: "",
  }[p.state];
  return [WORDS.publishedVersionOf(day, WORDS.later(p.laterChanges)), seen, WORDS.openedTimes(p.opened)]
    .filter(Boolean)
    .join(" ");
}
