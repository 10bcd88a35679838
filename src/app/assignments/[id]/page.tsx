import Link from "next/link";
import { notFound } from "next/navigation";
import { whenLabel } from "@/core/time/write-when";
import { AssignmentCard } from "@/features/classes/assignment-form";
import { MarkingDesk } from "@/features/marking/marking-desk";
import { findAssignment, findOwnWork, givenEventsOf } from "@/server/classes/assignment";
import { findClassRole } from "@/server/classes/class";
import { findSubmissionRef, groupsOf } from "@/server/classes/marking";
import { db } from "@/server/db/pool";
import { requirePageUser } from "@/server/http/page-user";
import { buttonLook } from "@/ui/controls/button";
import { LocalTime } from "@/ui/local-time";
import { Logo } from "@/ui/logo";
import { checkDraft, openSubmission } from "../../desk-work";
import { OpenTimelineButton } from "@/ui/open-timeline-button";

export const metadata = { title: "Assignment" };

export default async function AssignmentPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ s?: string; as?: string }>;
}) {
  const { id } = await params;
  const { s, as } = await searchParams;
  const user = await requirePageUser(`/assignments/${id}`);
  const assignment = await findAssignment(id);
  const role = assignment ? await findClassRole(db(), assignment.classId, user.id) : null;
  if (!assignment || !role) notFound();
  const given = (await givenEventsOf(id)).map((g) => ({
    title: g.title,
    when: g.locked ? whenLabel(g.rightWhen) : null,
  }));
  const card = (
    <AssignmentCard
      title={assignment.title}
      instructions={assignment.instructions}
      requirements={assignment.requirements}
      given={given}
    />
  );
  const asStudent = role === "student" || as === "student";
  const bar = (
    <header className="flex min-h-14 shrink-0 items-center gap-3.5 bg-slate px-[18px] py-1.5 text-white">
      <Link href="/" aria-label="Your timelines" className="rounded-md">
        <Logo />
      </Link>
      <div className="min-w-0">
        <h1 className="truncate text-[19px]">{assignment.title}</h1>
        <p className="text-[13px] text-[#c5d3d3]">
          <Link href={`/classes/${assignment.classId}`} className="underline">
            {assignment.className}
          </Link>{" "}
          · due <LocalTime at={assignment.dueAt.toISOString()} /> · {assignment.total} points
        </p>
      </div>
      {role === "teacher" ? (
        <Link
          href={asStudent ? `/assignments/${id}` : `/assignments/${id}?as=student`}
          className={`${buttonLook("dark")} ml-auto`}
        >
          {asStudent ? "Back to the groups" : "As a student sees it"}
        </Link>
      ) : null}
    </header>
  );
  if (asStudent) {
    const own = role === "student" ? await findOwnWork(id, user.id) : null;
    return (
      <>
        {bar}
        <main className="mx-auto max-w-[640px] px-5 py-8">
          {card}
          <div className="mt-6">
            {role === "teacher" ? null : own ? (
              <Link href={`/timelines/${own}`} className={buttonLook("main")}>
                Open your timeline
              </Link>
            ) : (
              <OpenTimelineButton path={`/api/assignments/${id}/group`} label="Begin" />
            )}
          </div>
          {role === "student" && !own ? (
            <p className="mt-3 text-[14px] text-quiet">
              Whoever begins can take classmates into the group. If a classmate has begun already, ask them to add you.
            </p>
          ) : null}
        </main>
      </>
    );
  }
  const rows = await groupsOf(id, checkDraft);
  const ref = s ? await findSubmissionRef(s) : null;
  const mine = ref && ref.assignmentId === id ? await openSubmission(ref.id, user.id) : null;
  return (
    <div className="flex h-dvh flex-col max-lg:h-auto">
      {bar}
      <MarkingDesk
        assignment={id}
        total={assignment.total}
        rows={rows.map((r, i) => ({
          ...r,
          key: r.group ?? `idle-${i}`,
          submittedAt: r.submittedAt?.toISOString() ?? null,
          changedAt: r.changedAt?.toISOString() ?? null,
        }))}
        open={
          mine
            ? {
                id: mine.id,
                members: mine.members,
                checks: mine.content.checks,
                given: mine.content.given.map((g, n) => ({
                  title: g.title,
                  locked: g.locked,
                  right: whenLabel(g.right, mine.dateStyle),
                  answer: whenLabel(g.answer, mine.dateStyle),
                  result: g.result,
                  override: mine.overrides[n] ?? null,
                })),
                drawing: mine.content.drawing,
                hash: mine.hash,
                submittedAt: mine.submittedAt.toISOString(),
                late: mine.late,
                editedSince: mine.editedSince,
                points: mine.points,
                comment: mine.comment,
                comments: mine.comments,
                returnedAt: mine.returnedAt?.toISOString() ?? null,
                events: mine.events.map((e) => ({ id: e.id, title: e.title, when: whenLabel(e.when, mine.dateStyle) })),
              }
            : null
        }
      />
    </div>
  );
}
