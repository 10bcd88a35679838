import { PageLink } from "@/ui/page-link";
import { notFound } from "next/navigation";
import { WORDS } from "@/core/words/pages";
import { Questions } from "@/features/marking/talk";
import { findAssignment } from "@/server/classes/assignment";
import { findClassRole } from "@/server/classes/class";
import { questionsOf, titlesOf } from "@/server/classes/questions";
import { worksFor } from "@/server/classes/reach";
import { db } from "@/server/db/pool";
import { requirePageUser } from "@/server/http/page-user";
import { UserBar } from "../../../../user-bar";

export const generateMetadata = () => ({ title: WORDS.questionsOf });

/** Where a group is stuck, to be answered. */
export default async function QuestionsPage({ params }: { params: Promise<{ id: string; timeline: string }> }) {
  const { id, timeline } = await params;
  const user = await requirePageUser(`/assignments/${id}/questions/${timeline}`);
  const a = await findAssignment(id);
  const role = a ? await findClassRole(db(), a.classId, user.id) : null;
  if (!a || role === null || role === "student" || !(await worksFor(db(), timeline, user.id))) notFound();
  const questions = await questionsOf(timeline);
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[640px] px-5 py-7">
        <h1 className="text-[26px]">{WORDS.questionsOf}</h1>
        <p className="text-quiet">{a.title}</p>
        {questions.length > 0 ? (
          <Questions questions={questions} titles={await titlesOf(timeline)} />
        ) : (
          <p className="mt-4">{WORDS.nothingAsked}</p>
        )}
        <p className="mt-6 flex flex-wrap gap-4">
          <PageLink href={`/assignments/${id}`} className="font-bold text-verdigris underline">
            {WORDS.backToTheDesk}
          </PageLink>
          <a
            href={`/timelines/${timeline}/reader`}
            target="_blank"
            rel="noreferrer"
            className="font-bold text-verdigris underline"
          >
            {WORDS.lookAtTheDraft}
          </a>
        </p>
      </main>
    </>
  );
}
