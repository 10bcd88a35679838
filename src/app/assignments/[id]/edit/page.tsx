import { WORDS } from "@/core/words/pages";
import { notFound } from "next/navigation";
import { AssignmentForm } from "@/features/classes/assignment-form";
import { dueInZone, findAssignment, givenEventsOf, isBegun } from "@/server/classes/assignment";
import { usableAsModel } from "@/server/classes/begin";
import { UseAgain } from "@/features/classes/use-again";
import { classesOf, findClassRole } from "@/server/classes/class";
import { db } from "@/server/db/pool";
import { requirePageUser } from "@/server/http/page-user";
import { UserBar } from "../../../user-bar";

export const generateMetadata = () => ({ title: WORDS.editTheAssignment });

export default async function EditAssignmentPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const user = await requirePageUser(`/assignments/${id}/edit`);
  const a = await findAssignment(id);
  if (!a || (await findClassRole(db(), a.classId, user.id)) !== "teacher") notFound();
  const given = await givenEventsOf(id);
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[1080px] px-5 py-7">
        <h1 className="mb-5 text-[26px]">{WORDS.editTheAssignment}</h1>
        <AssignmentForm
          classId={a.classId}
          zone={a.zone}
          models={await usableAsModel(user.id)}
          known={{
            id,
            begun: await isBegun(id),
            title: a.title,
            instructions: a.instructions.blocks,
            pictures: a.instructions.pictures.map((p) => ({ ...p, src: `/api/assignments/${id}/pictures/${p.id}` })),
            period: a.period.typed,
            due: await dueInZone(id),
            total: a.total,
            requirements: a.requirements,
            given: given.map((g) => ({ title: g.title, typed: g.rightWhen.typed, locked: g.locked })),
            options: a.options,
          }}
        />
        <UseAgain
          id={id}
          classes={(await classesOf(user.id))
            .filter((c) => c.role === "teacher" && !c.archived)
            .map((c) => ({ id: c.id, name: c.name }))}
        />
      </main>
    </>
  );
}
