import { WORDS } from "@/core/words/pages";
import { WORKS_SHOWN } from "@/core/words/peers";
import { WORDS as PEOPLE } from "@/core/words/people";
import { PageLink } from "@/ui/page-link";
import { notFound } from "next/navigation";
import { whenLabel } from "@/core/time/write-when";
import { AssignmentCard } from "@/features/classes/assignment-form";
import { BeginAssignment } from "@/features/classes/begin-assignment";
import { WORDS as PEERS } from "@/core/words/peers";
import { ReviewForm } from "@/features/marking/review-form";
import { MarkingDesk } from "@/features/marking/marking-desk";
import { findAssignment, findOwnWork, givenEventsOf } from "@/server/classes/assignment";
import { usableFor } from "@/server/classes/begin";
import { findClassRole } from "@/server/classes/class";
import { chosenFor, galleryFor } from "@/server/classes/gallery";
import { secondFor, waitingForSecond } from "@/server/classes/moderation";
import { reviewsBy } from "@/server/classes/peers";
import { notBegun } from "@/server/classes/groups";
import { modelFor } from "@/server/classes/reach";
import { groupsOf } from "@/server/classes/marking";
import { findSubmissionRef } from "@/server/classes/submission-ref";
import { db } from "@/server/db/pool";
import { requirePageUser } from "@/server/http/page-user";
import { buttonLook } from "@/ui/controls/button";
import { InstructionsView } from "@/ui/text/instructions-view";
import { ZonedTime } from "@/ui/zoned-time";
import { Logo } from "@/ui/logo";
import { checkDraft, openSubmission } from "../../desk-work";

export const generateMetadata = () => ({ title: WORDS.assignment });

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
      instructions={<InstructionsView assignment={id} of={assignment.instructions} />}
      requirements={assignment.requirements}
      given={given}
      rubric={assignment.options.rubric}
      texts={assignment.options.texts}
    />
  );
  const asStudent = role === "student" || as === "student";
  const bar = (
    <header className="flex min-h-14 shrink-0 flex-wrap items-center gap-x-3.5 gap-y-1.5 bg-slate px-[18px] py-1.5 text-white max-sm:px-3">
      <PageLink href="/" aria-label={WORDS.yourTimelines} className="rounded-md">
        <Logo />
      </PageLink>
      <div className="min-w-0 flex-1 max-sm:basis-[70%]">
        <h1 className="truncate text-[19px]">{assignment.title}</h1>
        <p className="text-[13px] text-[#c5d3d3]">
          <PageLink href={`/classes/${assignment.classId}`} className="underline">
            {assignment.className}
          </PageLink>{" "}
          {WORDS.due} <ZonedTime at={assignment.dueAt.toISOString()} zone={assignment.zone} />{" "}
          {WORDS.points(assignment.total)}
        </p>
      </div>
      {role === "teacher" ? (
        <span className="ms-auto flex gap-2">
          <PageLink href={`/assignments/${id}/edit`} className={buttonLook("dark")}>
            {WORDS.edit}
          </PageLink>
          <PageLink
            href={asStudent ? `/assignments/${id}` : `/assignments/${id}?as=student`}
            className={buttonLook("dark")}
          >
            {asStudent ? WORDS.backToTheGroups : WORDS.asAStudentSeesIt}
          </PageLink>
        </span>
      ) : null}
    </header>
  );
  if (asStudent) {
    const own = role === "student" ? await findOwnWork(id, user.id) : null;
    const toRead = role === "student" ? await reviewsBy(id, user.id) : [];
    return (
      <>
        {bar}
        <main className="mx-auto max-w-[640px] px-5 py-8">
          {card}
          <a href={`/api/assignments/${id}/handout`} className={`${buttonLook("plain", "small")} mt-4`}>
            {WORDS.aPageToPrint}
          </a>
          <div className="mt-6">
            {role !== "student" ? null : own ? (
              <PageLink href={`/timelines/${own}`} className={buttonLook("main")}>
                {WORDS.openYourTimeline}
              </PageLink>
            ) : assignment.over ? (
              <p>{PEOPLE.yearOver}</p>
            ) : assignment.options.grouping === "teacher" ? (
              <p>{WORDS.groupsAreMade}</p>
            ) : (
              <BeginAssignment id={id} usable={await usableFor(user.id)} />
            )}
            {role === "student" &&
            assignment.options.model &&
            (await modelFor(db(), assignment.options.model, user.id)) ? (
              <a
                className="ms-3 font-bold text-verdigris underline"
                href={`/timelines/${assignment.options.model}/reader`}
                target="_blank"
                rel="noreferrer"
              >
                {WORDS.anExample}
              </a>
            ) : null}
          </div>
          {toRead.length > 0 ? (
            <section aria-label={PEERS.toRead} className="mt-6">
              <h2 className="text-[20px]">{PEERS.toRead}</h2>
              <p className="text-[14px] text-quiet">{PEERS.toReadHelp}</p>
              {toRead.map((r, i) => (
                <ReviewForm key={r.id} given={{ ...r }} name={r.names || PEERS.work(i + 1)} />
              ))}
            </section>
          ) : null}
          {(await galleryFor(id, user.id)).length > 0 ? (
            <p className="mt-4">
              <PageLink href={`/assignments/${id}/gallery`} className="font-bold text-verdigris underline">
                {PEERS.galleryLink}
              </PageLink>
            </p>
          ) : null}
          {role === "student" ? (
            <p className="mt-3 text-[14px] text-quiet">
              {WORKS_SHOWN[assignment.options.worksShown]}
              {WORDS.yourTeacherCanLookAt(
                own || assignment.options.grouping !== "pupils" ? "" : WORDS.whoeverBeginsCanTakeClassmates,
              )}
            </p>
          ) : null}
        </main>
      </>
    );
  }
  const rows = await groupsOf(id, checkDraft);
  const waiting = new Set(role === "teacher" ? await waitingForSecond(id, user.id) : []);
  const ref = s ? await findSubmissionRef(s) : null;
  const second = ref && ref.assignmentId === id && role === "teacher" ? await secondFor(ref.id, user.id) : null;
  const mine = ref && ref.assignmentId === id ? await openSubmission(ref.id, user.id) : null;
  return (
    <div className="flex h-dvh flex-col max-lg:h-auto">
      {bar}
      <MarkingDesk
        assignment={id}
        total={assignment.total}
        zone={assignment.zone}
        rows={rows.map((r, i) => ({
          ...r,
          points: r.submission && waiting.has(r.submission) ? null : r.points,
          key: r.group ?? `idle-${i}`,
          submittedAt: r.submittedAt?.toISOString() ?? null,
          changedAt: r.changedAt?.toISOString() ?? null,
          heldUntil: r.heldUntil?.toISOString() ?? null,
          extended: r.extended?.toISOString() ?? null,
        }))}
        // Who marks second sees nothing of the first mark before theirs.
        open={mine && second?.asked ? { ...mine, points: null, levels: [], comment: "", comments: {} } : mine}
        second={second}
        gallery={await chosenFor(id)}
        mayMark={role === "teacher"}
        idle={
          assignment.options.grouping === "teacher" && !assignment.over
            ? (await notBegun(id)).map((p) => ({ ...p }))
            : null
        }
        heldUntil={assignment.returnAt && assignment.returnAt > new Date() ? assignment.returnAt.toISOString() : null}
      />
    </div>
  );
}
