import { WORDS } from "@/core/words/pages";
import { notFound } from "next/navigation";
import { AssignmentForm } from "@/features/classes/assignment-form";
import { usableAsModel } from "@/server/classes/begin";
import { findClass, findClassRole } from "@/server/classes/class";
import { db } from "@/server/db/pool";
import { requirePageUser } from "@/server/http/page-user";
import { UserBar } from "../../../user-bar";

export const generateMetadata = () => ({ title: WORDS.newAssignment });

export default async function NewAssignmentPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const user = await requirePageUser(`/classes/${id}/new-assignment`);
  const found = (await findClassRole(db(), id, user.id)) === "teacher" ? await findClass(id) : null;
  if (!found) notFound();
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[1080px] px-5 py-7">
        <h1 className="mb-5 text-[26px]">{WORDS.newAssignment}</h1>
        <AssignmentForm classId={id} zone={found.zone} models={await usableAsModel(user.id)} />
      </main>
    </>
  );
}
