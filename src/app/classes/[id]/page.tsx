import { WORDS as COMMON } from "@/core/words/common";
import { WORDS } from "@/core/words/pages";
import { WORDS as PRIVACY } from "@/core/words/privacy";
import { WORDS as PEOPLE } from "@/core/words/people";
import { zonedText } from "@/core/time/zoned";
import { PageLink } from "@/ui/page-link";
import { notFound } from "next/navigation";
import { PlatformButton } from "@/features/classes/platform-button";
import { courseOf } from "@/server/lti/services";
import { TeachersPanel } from "@/features/classes/teachers-panel";
import { ClassDesk } from "@/features/classes/class-desk";
import { assignmentsOf } from "@/server/classes/assignment";
import { findClass, findClassRole, membersOf } from "@/server/classes/class";
import { schoolsOf } from "@/server/classes/school";
import { teachersOf } from "@/server/classes/people";
import { workOf } from "@/server/classes/home";
import { db } from "@/server/db/pool";
import { requirePageUser } from "@/server/http/page-user";
import { publishedTo } from "@/server/publishing/listed";
import { buttonLook } from "@/ui/controls/button";
import { ZonedTime } from "@/ui/zoned-time";
import { UserBar } from "../../user-bar";
import { ListOf } from "../../published-list";
import { Practices } from "./practices";

export const generateMetadata = () => ({ title: WORDS.class });

export default async function ClassPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const user = await requirePageUser(`/classes/${id}`);
  const role = await findClassRole(db(), id, user.id);
  const found = role ? await findClass(id) : null;
  if (!found) notFound();
  const assignments = await assignmentsOf(id);
  const teachers = role === "student" ? [] : (await teachersOf(id)).map((t) => ({ ...t }));
  const platform = role === "teacher" ? await courseOf(id) : null;
  const published = await publishedTo(id);
  const own = role === "student" ? await workOf(user.id) : [];
  return (
    <>
      <UserBar />
      <main className="mx-auto grid max-w-[1080px] gap-8 px-5 py-7 md:grid-cols-[minmax(0,1fr)_380px]">
        <div>
          <h1 className="text-[26px]">{found.name}</h1>
          {found.school ? (
            <p>
              <PageLink href={`/schools/${found.school.id}`} className="text-verdigris underline">
                {found.school.name}
              </PageLink>
            </p>
          ) : null}
          {found.archivedAt ? <p className="font-bold">{PEOPLE.yearOver}</p> : null}
          {found.fromArchiveAt ? (
            <p className="text-quiet">{PEOPLE.fromArchive(zonedText(found.fromArchiveAt, found.zone))}</p>
          ) : null}
          {role === "student" ? (
            <p className="text-quiet">{WORDS.withWhatYouHandIn(found.teacher, found.retentionMonths)}</p>
          ) : null}
          <p>
            <PageLink href={`/classes/${id}/privacy`} className="text-[14px] text-verdigris underline">
              {PRIVACY.link}
            </PageLink>
          </p>
          <h2 className="mt-5 mb-2 text-[18px]">{WORDS.assignments}</h2>
          {role === "teacher" && found.archivedAt === null ? (
            <PageLink href={`/classes/${id}/new-assignment`} className={`${buttonLook("main")} mb-3`}>
              {WORDS.newAssignment}
            </PageLink>
          ) : null}
          {assignments.length === 0 ? <p className="text-quiet">{WORDS.noneYet}</p> : null}
          <ul className="divide-y divide-line border-y border-line">
            {assignments.map((a) => {
              const work = own.find((w) => w.assignment === a.id);
              return (
                <li key={a.id} className="py-2.5">
                  <PageLink href={`/assignments/${a.id}`} className="text-[16px] font-bold text-verdigris underline">
                    {a.title}
                  </PageLink>
                  <span className="ms-3 text-[14px] text-quiet">
                    {WORDS.due2} <ZonedTime at={a.dueAt.toISOString()} zone={a.zone} />
                    {work ? ` · ${standOf(work)}` : ""}
                  </span>
                </li>
              );
            })}
          </ul>
          {role === "teacher" && platform ? <PlatformButton classId={id} platform={platform} /> : null}
          <Practices klass={id} zone={found.zone} account={user.id} isTeacher={role === "teacher"} />
          {published.length > 0 ? (
            <>
              <h2 className="mt-6 mb-2 text-[18px]">{WORDS.publishedToTheClass}</h2>
              <ListOf listed={published} />
            </>
          ) : null}
        </div>
        {role === "teacher" ? (
          <div>
            <ClassDesk
              id={id}
              name={found.name}
              me={user.id}
              over={found.archivedAt !== null}
              teachers={teachers}
              joinCode={found.joinCode}
              publishLimit={found.publishLimit}
              school={found.school}
              schools={(await schoolsOf(db(), user.id)).map(({ id: school, name }) => ({ id: school, name }))}
              retentionMonths={found.retentionMonths}
              zone={found.zone}
              outsidePlayers={found.outsidePlayers}
              recording={found.recording}
              bylines={found.bylines}
              members={(await membersOf(id)).map((m) => ({ ...m }))}
            />
          </div>
        ) : role === "assistant" ? (
          <TeachersPanel classId={id} me={user.id} teachers={teachers} mayAlter={false} />
        ) : null}
      </main>
    </>
  );
}

/** Where one's own work on an assignment stands, in words. */
function standOf(work: Awaited<ReturnType<typeof workOf>>[number]): string {
  const { stands } = COMMON;
  if (work.returnedAt === null)
    return work.submittedAt ? stands.submitted : work.timeline ? stands.begun : stands.notBegun;
  if (work.points === null) return stands.returned;
  return (work.toImprove ? stands.toImprove : stands.marked)(work.points, work.total);
}
