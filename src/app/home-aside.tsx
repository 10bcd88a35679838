import { WORDS as COMMON } from "@/core/words/common";
import { WORDS } from "@/core/words/pages";
import { PageLink } from "@/ui/page-link";
import { lateText } from "@/core/words/late";
import type { ClassCard } from "@/server/classes/class";
import type { StudentWork, TeacherWork } from "@/server/classes/home";
import type { duePractices } from "@/server/classes/practice";
import { buttonLook } from "@/ui/controls/button";
import { ZonedTime } from "@/ui/zoned-time";

/** What is due, what came back, and the classes one is in. */
export function HomeAside({
  classes,
  work,
  teaching,
  practices,
}: {
  classes: ClassCard[];
  work: StudentWork[];
  teaching: TeacherWork[];
  practices: Awaited<ReturnType<typeof duePractices>>;
}) {
  const due = work.filter((w) => !w.submittedAt || w.toImprove);
  const waiting = work.filter((w) => w.submittedAt && !w.returnedAt);
  const returned = work.filter((w) => w.returnedAt && !w.toImprove);
  const link = (w: StudentWork) => (w.timeline ? `/timelines/${w.timeline}` : `/assignments/${w.assignment}`);
  return (
    <aside
      aria-label={WORDS.classesAndWork}
      className="w-[340px] shrink-0 border-s border-line bg-panel px-5 py-6 max-lg:w-full max-lg:border-t max-lg:border-s-0"
    >
      {teaching.length > 0 ? <h2 className="mb-2 text-[20px]">{WORDS.waitingForYou}</h2> : null}
      {classes.some((c) => c.role !== "student" && !c.archived) ? (
        <PageLink href="/teaching" className={`${buttonLook("plain", "small")} mb-3`}>
          {WORDS.myClassesToday}
        </PageLink>
      ) : null}
      {teaching.map((t) => (
        <Card key={t.assignment} colour="border-s-sun">
          <PageLink
            href={`/assignments/${t.assignment}${t.first ? `?s=${t.first}` : ""}`}
            className="font-head text-[16px] font-[650] underline"
          >
            {t.title}
          </PageLink>
          <p className="text-[14px]">{t.className}</p>
          <p className="text-[14px]">
            {[
              t.toMark > 0 ? WORDS.toMark(t.toMark) : "",
              t.again > 0 ? WORDS.ofThemHandedInAgain(t.again) : "",
              t.toReturn > 0 ? WORDS.markedToReturn(t.toReturn) : "",
            ]
              .filter(Boolean)
              .join(" · ")}
          </p>
        </Card>
      ))}
      {due.length + practices.length > 0 ? <h2 className="mb-2 text-[20px]">{WORDS.due3}</h2> : null}
      {practices.map((p) => (
        <Card key={p.id} colour="border-s-sun">
          <a href={`/practice/${p.id}`} className="font-head text-[16px] font-[650] underline">
            {p.title || WORDS.untitled}
          </a>
          <p className="text-[14px]">
            {p.className} · <ZonedTime at={p.dueAt.toISOString()} zone={p.zone} />
          </p>
          <p className="text-[14px]">
            {WORDS.aPractice}
            {p.dueAt.getTime() < Date.now() ? (
              <strong className="text-copper-dark"> · {lateText((Date.now() - p.dueAt.getTime()) / 1000)}</strong>
            ) : null}
          </p>
        </Card>
      ))}
      {due.map((w) => (
        <Card key={w.assignment} colour="border-s-sun">
          <PageLink href={link(w)} className="font-head text-[16px] font-[650] underline">
            {w.title}
          </PageLink>
          <p className="text-[14px]">
            {w.className} · <ZonedTime at={w.dueAt.toISOString()} zone={w.zone} />
          </p>
          <p className="text-[14px]">
            {w.toImprove ? (
              <strong>{WORDS.returnedToImprove(w.points === null ? "" : WORDS.of(w.points, w.total))}</strong>
            ) : w.timeline ? (
              WORDS.begun
            ) : (
              WORDS.notBegun
            )}
            {w.dueAt.getTime() < Date.now() && !w.toImprove ? (
              <strong className="text-copper-dark"> · {lateText((Date.now() - w.dueAt.getTime()) / 1000)}</strong>
            ) : null}
          </p>
        </Card>
      ))}
      {waiting.length > 0 ? <h2 className="mt-5 mb-2 text-[20px]">{WORDS.submitted}</h2> : null}
      {waiting.map((w) => (
        <Card key={w.assignment} colour="border-s-verdigris-light">
          <PageLink href={link(w)} className="font-head text-[16px] font-[650] underline">
            {w.title}
          </PageLink>
          <p className="text-[14px]">
            {w.className} · <ZonedTime at={w.submittedAt!.toISOString()} zone={w.zone} />
          </p>
        </Card>
      ))}
      {returned.length > 0 ? <h2 className="mt-5 mb-2 text-[20px]">{WORDS.returned}</h2> : null}
      {returned.map((w) => (
        <Card key={w.assignment} colour="border-s-verdigris">
          <PageLink href={link(w)} className="font-head text-[16px] font-[650] underline">
            {w.title}
          </PageLink>
          <p className="text-[14px]">
            {w.points === null ? WORDS.noPointsYet : WORDS.of2(w.points, w.total)}
            {w.comment ? ` · ${COMMON.named(w.comment)}` : ""}
          </p>
        </Card>
      ))}
      <h2 className="mt-5 mb-2 text-[20px] first:mt-0">{WORDS.classes}</h2>
      <ul>
        {classes.map((c) => (
          <li key={c.id} className="py-0.5">
            <PageLink href={`/classes/${c.id}`} className="font-bold text-verdigris underline">
              {c.name}
            </PageLink>
            <span className="ms-2 text-[14px] text-quiet">
              {c.role === "student" ? WORDS.student : `${c.members} ${c.members === 1 ? "student" : "students"}`}
              {c.role === "assistant" ? WORDS.assisting : ""}
              {c.archived ? WORDS.yearIsOver : ""}
            </span>
          </li>
        ))}
      </ul>
    </aside>
  );
}

function Card({ colour, children }: { colour: string; children: React.ReactNode }) {
  return (
    <div className={`mb-2 rounded-lg border border-s-[6px] border-line bg-white px-3 py-2.5 ${colour}`}>{children}</div>
  );
}
