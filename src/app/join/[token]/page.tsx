import { WORDS } from "@/core/words/pages";
import { WORDS as TOGETHER } from "@/core/words/together";
import { PageLink } from "@/ui/page-link";
import { buttonLook } from "@/ui/controls/button";
import { OpenTimelineButton } from "@/ui/open-timeline-button";
import { findPageUser } from "@/server/http/page-user";
import { findInvitation } from "@/server/timelines/invite";
import { UserBar } from "../../user-bar";

export const generateMetadata = () => ({ title: WORDS.join });

export default async function JoinPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  // Who invites to what is said before anybody signs in: the link was given to them.
  const [user, invitation] = [await findPageUser(), await findInvitation(token)];
  const back = `to=${encodeURIComponent(`/join/${token}`)}`;
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[520px] px-5 py-10">
        {invitation?.over ? (
          <>
            <h1 className="text-[26px]">{TOGETHER.overTitle}</h1>
            <p className="mt-4">{TOGETHER.over}</p>
          </>
        ) : invitation ? (
          <>
            <h1 className="text-[26px]">{invitation.title || WORDS.anUntitledTimeline}</h1>
            <p className="my-4">
              {invitation.role === "editor"
                ? TOGETHER.invitesEditor(invitation.by)
                : TOGETHER.invitesYou(invitation.by, invitation.role)}
            </p>
            {user ? (
              <OpenTimelineButton path={`/api/join/${token}`} label={WORDS.join} />
            ) : (
              <>
                <p className="mb-3">{TOGETHER.signInFirst}</p>
                <p className="flex gap-2">
                  <PageLink href={`/sign-in?${back}`} className={buttonLook("main")}>
                    {TOGETHER.signIn}
                  </PageLink>
                  <PageLink href={`/sign-up?${back}`} className={buttonLook("plain")}>
                    {TOGETHER.signUp}
                  </PageLink>
                </p>
              </>
            )}
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
