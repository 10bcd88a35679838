import { PageLink } from "@/ui/page-link";
import type { ReactNode } from "react";
import { lateText } from "@/core/words/late";
import { standingText, WORDS } from "@/core/words/teaching";
import { type ClassAtAGlance, teachingOf, type Waiting } from "@/server/classes/teaching";
import { schoolsOf } from "@/server/classes/school";
import { db } from "@/server/db/pool";
import { requirePageUser } from "@/server/http/page-user";
import { buttonLook } from "@/ui/controls/button";
import { checkDraft } from "../desk-work";
import { UserBar } from "../user-bar";

export const generateMetadata = () => ({ title: WORDS.title });

/** A longer list is cut: the desk has all of it. */
const MOST_SHOWN = 8;

/** The teacher's home: in each class who waits for what, one glance and one press away. */
export default async function TeachingPage() {
  const user = await requirePageUser("/teaching");
  const classes = await teachingOf(user.id, checkDraft);
  const schools = await schoolsOf(db(), user.id);
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[1280px] px-5 py-7">
        <h1 className="text-[26px]">{WORDS.title}</h1>
        <p className="mt-1 mb-5 text-quiet">{WORDS.help}</p>
        {classes.length === 0 ? <p className="mb-3">{WORDS.none}</p> : null}
        <div className="flex flex-col gap-5">
          {classes.map((c) => (
            <ClassGlance key={c.id} of={c} />
          ))}
        </div>
        <p className="mt-6 flex flex-wrap gap-3">
          <PageLink href="/classes" className={buttonLook("plain")}>
            {WORDS.newClass}
          </PageLink>
          {schools.map((s) => (
            <PageLink key={s.id} href={`/schools/${s.id}`} className={buttonLook("plain")}>
              {s.name}
            </PageLink>
          ))}
          {schools.length === 0 ? (
            <PageLink href="/schools" className={buttonLook("quiet")}>
              {WORDS.newSchool}
            </PageLink>
          ) : null}
        </p>
      </main>
    </>
  );
}

function ClassGlance({ of: c }: { of: ClassAtAGlance }) {
  const columns: [heading: string, loud: boolean, entries: Entry[]][] = [
    [WORDS.toMark, true, c.toMark.map((w) => ({ ...w, more: null }))],
    [WORDS.again, true, c.again.map((w) => ({ ...w, more: null }))],
    [WORDS.asked, true, c.asked.map((w) => ({ ...w, more: WORDS.questions(w.questions) }))],
    [WORDS.late, false, c.late.map((w) => ({ ...w, more: lateText(w.by) }))],
    [WORDS.stuck, false, c.stuck.map((w) => ({ ...w, more: standingText(w.standing, w.kinds) }))],
  ];
  const quiet = columns.every(([, , entries]) => entries.length === 0);
  return (
    <section aria-label={WORDS.table(c.name)} className="overflow-hidden rounded-lg border border-line">
      <h2 className="flex flex-wrap items-baseline gap-x-3 bg-panel px-4 py-2.5 text-[20px]">
        <PageLink href={`/classes/${c.id}`} className="text-verdigris underline">
          {c.name}
        </PageLink>
        <span className="font-sans text-[14px] font-normal text-quiet">{WORDS.students(c.members)}</span>
      </h2>
      {quiet ? (
        <p className="px-4 py-3 text-quiet">{WORDS.allQuiet}</p>
      ) : (
        <div className="grid divide-line max-md:divide-y md:grid-cols-5 md:divide-x">
          {columns.map(([heading, loud, entries]) => (
            <Column key={heading} heading={heading} loud={loud} entries={entries} desk={c.id} />
          ))}
        </div>
      )}
    </section>
  );
}

interface Entry extends Waiting {
  more: string | null;
}

function Column({
  heading,
  loud,
  entries,
  desk,
}: {
  heading: string;
  loud: boolean;
  entries: readonly Entry[];
  desk: string;
}): ReactNode {
  const strength = entries.length === 0 ? "text-quiet" : loud ? "text-verdigris" : "text-copper-dark";
  return (
    <div className="px-4 py-3">
      <h3 className="font-sans text-[13px] text-quiet">
        {heading}
        <span className={`ms-2 font-head text-[24px] font-[650] ${strength}`}>{entries.length}</span>
      </h3>
      <ul className="mt-1 flex flex-col gap-1.5 text-[14px]">
        {entries.slice(0, MOST_SHOWN).map((e) => (
          <li key={`${e.assignment} ${e.names}`}>
            <PageLink href={e.href} className="font-bold text-verdigris underline">
              {e.names}
            </PageLink>
            <span className="block text-[13px] text-quiet">
              {e.title}
              {e.more ? ` · ${e.more}` : ""}
            </span>
          </li>
        ))}
        {entries.length > MOST_SHOWN ? (
          <li>
            <PageLink href={`/classes/${desk}`} className="text-verdigris underline">
              {WORDS.more(entries.length - MOST_SHOWN)}
            </PageLink>
          </li>
        ) : null}
      </ul>
    </div>
  );
}
