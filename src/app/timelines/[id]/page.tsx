import { WORDS } from "@/core/words/pages";
import { notFound } from "next/navigation";
import { preload } from "react-dom";
import { EditorLoader } from "@/features/editor/editor-loader";
import { ledgerColumnsOf } from "@/server/accounts/account";
import { classesOf } from "@/server/classes/class";
import { mayRecord } from "@/server/classes/outside";
import { schoolsOf } from "@/server/classes/school";
import { ownWork } from "@/server/classes/submit";
import { db } from "@/server/db/pool";
import { BUILD } from "../../reader-response";
import { requirePageUser } from "@/server/http/page-user";
import { findRight, type GuestRole, holds } from "@/server/timelines/access";
import { publicationOf } from "@/server/publishing/publish";
import { guestRoleOf } from "@/server/timelines/invite";
import { GuestView } from "@/features/together/guest-view";
import { UserBar } from "../../user-bar";
import { editorsOf, eventTitles, newsFor, readFields } from "@/server/timelines/queries";

export const generateMetadata = () => ({ title: WORDS.editor });

/** The frame only: the timeline itself is fetched once, packed, so that a large one is not sent as HTML. */
export default async function EditorPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const user = await requirePageUser(`/timelines/${id}`);
  const right = await findRight(db(), id, user.id);
  if (holds(right, "comment") && !holds(right, "edit"))
    return <Guest id={id} account={user.id} as={right === "add" ? "adder" : "commenter"} />;
  if (right !== null && !holds(right, "edit") && (await guestRoleOf(id, user.id)))
    return <Guest id={id} account={user.id} as="reader" />;
  const read = holds(right, "edit") ? await readFields(db(), id) : null;
  if (!read) notFound();
  // Asked for with the page, not when its script has come.
  preload(`/api/timelines/${id}`, { as: "fetch", crossOrigin: "anonymous" });
  return (
    <EditorLoader
      account={user.id}
      timeline={id}
      title={read.fields.title}
      editors={(await editorsOf(db(), id)).map((e) => ({ ...e }))}
      publication={await publicationOf(id)}
      work={await ownWork(id)}
      columns={await ledgerColumnsOf(user.id)}
      mayRecord={await mayRecord(user.id)}
      news={await newsFor(id, user.id)}
      build={BUILD}
      given={{
        classes: (await classesOf(user.id)).flatMap((c) => (c.role === "teacher" ? [{ id: c.id, name: c.name }] : [])),
        schools: (await schoolsOf(db(), user.id)).map((s) => ({ id: s.id, name: s.name })),
      }}
    />
  );
}

/** The timeline as those see it who do not edit it. */
async function Guest({ id, account, as: role }: { id: string; account: string; as: GuestRole }) {
  const read = await readFields(db(), id);
  if (!read) notFound();
  return (
    <div className="flex h-dvh flex-col max-md:h-auto">
      <UserBar />
      <GuestView
        timeline={id}
        title={read.fields.title}
        role={role}
        account={account}
        mayLeave={(await guestRoleOf(id, account)) !== null}
        events={role !== "reader" ? await eventTitles(id) : []}
      />
    </div>
  );
}
