import { PageLink } from "@/ui/page-link";
import { notFound } from "next/navigation";
import { WORDS } from "@/core/words/calls";
import { SentList } from "@/features/together/sent-list";
import { db } from "@/server/db/pool";
import { requirePageUser } from "@/server/http/page-user";
import { hasRight } from "@/server/timelines/access";
import { waitingIn } from "@/server/timelines/calls";
import { titleOf } from "@/server/timelines/queries";
import { UserBar } from "../../../user-bar";

export const generateMetadata = () => ({ title: WORDS.sentIn });

/** What others have sent in and nobody has looked at yet. */
export default async function SentPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const user = await requirePageUser(`/timelines/${id}/sent`);
  if (!(await hasRight(db(), id, user.id, "edit"))) notFound();
  const waiting = await waitingIn(id, user.id);
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[720px] px-5 py-7">
        <p>
          <PageLink href={`/timelines/${id}`} className="font-bold text-verdigris underline">
            {(await titleOf(id)) || WORDS.untitled}
          </PageLink>
        </p>
        <h1 className="mb-4 text-[26px]">{WORDS.sentIn}</h1>
        <SentList timeline={id} waiting={waiting.map((w) => ({ ...w, at: w.at.toISOString() }))} />
      </main>
    </>
  );
}
