import { WORDS } from "@/core/words/en/pages";
import { OpenTimelineButton } from "@/ui/open-timeline-button";
import { requirePageUser } from "@/server/http/page-user";
import { findInvitation } from "@/server/timelines/invite";
import { UserBar } from "../../user-bar";

export const metadata = { title: WORDS.join };

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
            <h1 className="text-[26px]">{invitation.title || WORDS.anUntitledTimeline}</h1>
            <p className="my-4">{WORDS.invitesYouToWorkOn(invitation.owner)}</p>
            <OpenTimelineButton path={`/api/join/${token}`} label={WORDS.join} />
          </>
        ) : (
          <>
            <h1 className="text-[26px]">{WORDS.thisInvitationIsOver}</h1>
            <p className="mt-4">{WORDS.itHasBeenClosedOr}</p>
          </>
        )}
      </main>
    </>
  );
}
