import { PageLink } from "@/ui/page-link";
import { notFound } from "next/navigation";
import { WORDS } from "@/core/words/privacy";
import { NoticeForm } from "@/features/classes/notice-form";
import { findClass, findClassRole } from "@/server/classes/class";
import { db } from "@/server/db/pool";
import { requirePageUser } from "@/server/http/page-user";
import { UserBar } from "../../../user-bar";

export const generateMetadata = () => ({ title: WORDS.title });

/** What is kept of the students of a class and who sees it; a school adds what it has to say. */
export default async function PrivacyPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const user = await requirePageUser(`/classes/${id}/privacy`);
  const role = await findClassRole(db(), id, user.id);
  const found = role ? await findClass(id) : null;
  if (!found) notFound();
  const points = WORDS.points(
    found.retentionMonths,
    WORDS.publish[found.publishLimit] ?? "",
    found.bylines === "no_names",
    found.outsidePlayers,
    found.recording,
  );
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[680px] px-5 py-8">
        <h1 className="text-[26px]">{WORDS.title}</h1>
        <p className="mt-2">{WORDS.intro(found.name, found.teacher)}</p>
        <ul className="mt-4 flex list-disc flex-col gap-2 ps-5">
          {points.map((p) => (
            <li key={p}>{p}</li>
          ))}
        </ul>
        {role === "teacher" ? (
          <NoticeForm classId={id} notice={found.notice} />
        ) : found.notice ? (
          <section aria-label={WORDS.fromSchool} className="mt-6">
            <h2 className="text-[20px]">{WORDS.fromSchool}</h2>
            <p className="mt-1 whitespace-pre-line">{found.notice}</p>
          </section>
        ) : null}
        <p className="mt-6 print:hidden">
          <PageLink href={`/classes/${id}`} className="font-bold text-verdigris underline">
            {WORDS.back}
          </PageLink>
        </p>
      </main>
    </>
  );
}
