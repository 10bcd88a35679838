import { OpenTimelineButton } from "@/ui/open-timeline-button";
import { requirePageUser } from "@/server/http/page-user";
import { findInvitation } from "@/server/timelines/invite";
import { UserBar } from "../../user-bar";

export const metadata = { title: "Join" };

export default async function JoinPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  await requirePageUser(`/join/${token}`);
  const invitation = await findInvitation(token);
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[520px] px-5 py-10">
        {invitation ? (
          <>
            <h1 className="text-[26px]">{invitation.title || "An untitled timeline"}</h1>
            <p className="my-4">
              {invitation.owner} invites you to work on this timeline together. You can both edit everything in it, at
              once; who wrote what is kept.
            </p>
            <OpenTimelineButton path={`/api/join/${token}`} label="Join" />
          </>
        ) : (
          <>
            <h1 className="text-[26px]">This invitation is over</h1>
            <p className="mt-4">It has been closed or renewed. Ask for a new link.</p>
          </>
        )}
      </main>
    </>
  );
}
