"use client";

import { WORDS as COMMON } from "@/core/words/common";
import { WORDS } from "@/core/words/classes";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { askServer } from "@/ui/ask-server";
import { CheckRow } from "@/ui/controls/check-row";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { Modal } from "@/ui/controls/modal";
import { useReady } from "@/ui/use-ready";
import { Problem } from "@/ui/controls/problem";
import { WORDS as PEOPLE } from "@/core/words/people";
import { REACH, type Visibility } from "@/core/timeline/visibility";
import { WORDS as SCHOOLS } from "@/core/words/schools";
import { RosterDialog } from "./roster-dialog";
import { type Slip, Slips } from "./slips";
import { type ClassMember, StudentRow } from "./student-row";
import { type ClassTeacher, TeachersPanel } from "./teachers-panel";
import { YearPanel } from "./year-panel";

const LIMITS = ["only_me", "class", "school", "link", "everybody"] as const satisfies readonly Visibility[];

const RETENTION = [3, 6, 12, 24, 36] as const;

/** The code, how far students may publish, and the students with their sign-in names: the teacher's side of a class. */
export function ClassDesk({
  id,
  name,
  me,
  over,
  teachers,
  joinCode,
  publishLimit,
  school,
  schools,
  retentionMonths,
  zone,
  outsidePlayers,
  recording,
  bylines,
  members,
}: {
  id: string;
  name: string;
  /** Who looks at it. */
  me: string;
  /** Its year is over. */
  over: boolean;
  teachers: readonly ClassTeacher[];
  joinCode: string | null;
  publishLimit: string;
  school: { id: string; name: string; publishLimit: Visibility } | null;
  /** The schools whoever looks at it teaches at. */
  schools: readonly { id: string; name: string }[];
  retentionMonths: number;
  zone: string;
  outsidePlayers: boolean;
  recording: boolean;
  bylines: "free" | "no_names";
  members: ClassMember[];
}) {
  const router = useRouter();
  const ready = useReady();
  const [problem, setProblem] = useState<string | null>(null);
  const [listing, setListing] = useState(false);
  const [slips, setSlips] = useState<Slip[] | null>(null);
  const alter = async (change: object) => {
    const answer = await askServer("PATCH", `/api/classes/${id}`, change);
    setProblem(answer.ok ? null : answer.sentence);
    if (answer.ok) router.refresh();
  };
  return (
    <>
      <section aria-label={WORDS.joinCode} className="rounded-lg border border-line p-4">
        <h2 className="text-[18px]">{WORDS.joinCode}</h2>
        {joinCode ? (
          <>
            <p className="my-2 font-head text-[38px] font-[650] tracking-[0.12em]" data-testid="join-code">
              {joinCode}
            </p>
            <p className="text-[14px] text-quiet">{WORDS.studentsGoToJoinA}</p>
          </>
        ) : (
          <p className="my-2">{WORDS.closedNobodyNewCanJoin}</p>
        )}
        <div className="mt-3 flex gap-2">
          <Button size="small" disabled={!ready} onClick={() => void alter({ code: "renew" })}>
            {joinCode ? WORDS.renewTheCode : WORDS.openWithANewCode}
          </Button>
          {joinCode ? (
            <Button size="small" disabled={!ready} onClick={() => void alter({ code: "close" })}>
              {WORDS.closeIt}
            </Button>
          ) : null}
        </div>
        <Field label={WORDS.studentsMayPublishTheirWork} className="mt-4">
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={publishLimit}
              onChange={(e) => void alter({ publishLimit: e.target.value })}
            >
              {LIMITS.filter((value) => value === publishLimit || mayGo(value, school)).map((value) => (
                <option key={value} value={value}>
                  {COMMON.limits[value]}
                </option>
              ))}
            </select>
          )}
        </Field>
        {school && REACH.indexOf(school.publishLimit) < REACH.indexOf(publishLimit as Visibility) ? (
          <p className="mt-1 text-[13px] text-quiet">{SCHOOLS.goesNoFurther(school.name, school.publishLimit)}</p>
        ) : null}
        {schools.length > 0 || school ? (
          <Field label={SCHOOLS.ofSchool} className="mt-4">
            {(ids) => (
              <select
                id={ids.id}
                className={INPUT}
                value={school?.id ?? ""}
                onChange={(e) => void alter({ school: e.target.value || null })}
              >
                <option value="">{SCHOOLS.ofNone}</option>
                {[...(school && !schools.some((s) => s.id === school.id) ? [school] : []), ...schools].map((s) => (
                  <option key={s.id} value={s.id}>
                    {s.name}
                  </option>
                ))}
              </select>
            )}
          </Field>
        ) : null}
        <Field label={WORDS.whatIsHandedInIs} hint={WORDS.thenItIsDestroyedWith} className="mt-4">
          {(ids) => (
            <select
              id={ids.id}
              aria-describedby={ids.describedBy}
              className={INPUT}
              value={retentionMonths}
              onChange={(e) => void alter({ retentionMonths: Number(e.target.value) })}
            >
              {RETENTION.map((months) => (
                <option key={months} value={months}>
                  {COMMON.retention[months]}
                </option>
              ))}
            </select>
          )}
        </Field>
        <ZoneField zone={zone} onZone={(next) => void alter({ zone: next })} />
        <div className="mt-4 flex flex-col gap-1.5">
          <CheckRow
            label={WORDS.noNames}
            checked={bylines === "no_names"}
            onChange={(on) => void alter({ bylines: on ? "no_names" : "free" })}
          />
          <CheckRow
            label={WORDS.mayPlayOutside}
            checked={outsidePlayers}
            onChange={(on) => void alter({ outsidePlayers: on })}
          />
          <CheckRow label={WORDS.mayRecord} checked={recording} onChange={(on) => void alter({ recording: on })} />
        </div>
        <Problem text={problem} className="mt-2" />
      </section>
      <section aria-label={WORDS.students} className="mt-5">
        <h2 className="mb-2 text-[18px]">
          {members.length} {members.length === 1 ? WORDS.student : WORDS.students2}
        </h2>
        {over ? null : (
          <div className="mb-2 flex flex-wrap gap-2">
            <Button size="small" disabled={!ready} onClick={() => setListing(true)}>
              {PEOPLE.addFromList}
            </Button>
            {members.some((m) => m.waits) ? (
              <Button
                size="small"
                kind="quiet"
                disabled={!ready}
                onClick={async () => {
                  const answer = await askServer<{ slips: Slip[] }>("PUT", `/api/classes/${id}/roster`);
                  setProblem(answer.ok ? null : answer.sentence);
                  if (answer.ok) setSlips(answer.value.slips);
                }}
              >
                {PEOPLE.newSlips}
              </Button>
            ) : null}
          </div>
        )}
        {members.length === 0 ? <p className="text-quiet">{WORDS.nobodyHasJoinedYet}</p> : null}
        <ul className="divide-y divide-line border-y border-line">
          {members.map((m) => (
            <StudentRow key={m.id} classId={id} member={m} members={members} />
          ))}
        </ul>
        <RosterDialog
          classId={id}
          className={name}
          members={members}
          open={listing}
          onClose={() => setListing(false)}
        />
        <Modal wide title={PEOPLE.slips} open={slips !== null} onOpenChange={() => setSlips(null)}>
          <Slips slips={slips ?? []} className={name} onDone={() => setSlips(null)} />
        </Modal>
      </section>
      <YearPanel classId={id} name={name} over={over} leads={teachers.some((t) => t.id === me && t.role === "lead")} />
      <TeachersPanel classId={id} me={me} teachers={teachers} mayAlter />
    </>
  );
}

/** Whether a class can let its work go that far: to a school where it is of one, and no further than that lets it. */
function mayGo(value: Visibility, school: { publishLimit: Visibility } | null): boolean {
  if (!school) return value !== "school";
  return REACH.indexOf(value) <= REACH.indexOf(school.publishLimit);
}

/** The time zone due times are said in. */
function ZoneField({ zone, onZone }: { zone: string; onZone: (zone: string) => void }) {
  const ready = useReady();
  // The browser knows the names there are; until it has woken up the present one is enough.
  const zones = ready ? Intl.supportedValuesOf("timeZone") : [];
  return (
    <Field label={WORDS.timesAreThoseOf} hint={WORDS.dueTimesAreSaidIn} className="mt-4">
      {(ids) => (
        <select
          id={ids.id}
          aria-describedby={ids.describedBy}
          className={INPUT}
          value={zone}
          onChange={(e) => onZone(e.target.value)}
        >
          {[...new Set([zone, "UTC", ...zones])].map((z) => (
            <option key={z} value={z}>
              {z.replaceAll("_", " ")}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}
