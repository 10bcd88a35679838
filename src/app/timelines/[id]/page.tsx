import { notFound } from "next/navigation";
import { toSnapshot } from "@/core/formats/snapshot";
import { Editor } from "@/features/editor/editor";
import { ownWork } from "@/server/classes/submit";
import { db } from "@/server/db/pool";
import { requirePageUser } from "@/server/http/page-user";
import { findRole } from "@/server/timelines/access";
import { publicationOf } from "@/server/timelines/publish";
import { editorsOf, findTimeline } from "@/server/timelines/queries";

export const metadata = { title: "Editor" };

export default async function EditorPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const user = await requirePageUser(`/timelines/${id}`);
  const role = await findRole(db(), id, user.id);
  const found = role ? await findTimeline(id) : null;
  if (!found) notFound();
  return (
    <Editor
      account={user.id}
      snapshot={toSnapshot(found.timeline, found.seq)}
      editors={(await editorsOf(db(), id)).map((e) => ({ ...e }))}
      publication={await publicationOf(id)}
      work={await ownWork(id)}
    />
  );
}
