import { WORDS } from "@/core/words/schools";
import { JoinSchoolButton } from "@/features/classes/school-forms";
import { schoolInvitation } from "@/server/classes/school";
import { requirePageUser } from "@/server/http/page-user";
import { UserBar } from "../../../user-bar";

export const generateMetadata = () => ({ title: WORDS.join });

/** Where the link in a letter to a colleague leads. */
export default async function JoinSchoolPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  await requirePageUser(`/schools/join/${token}`);
  const invitation = await schoolInvitation(token);
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[520px] px-5 py-10">
        {invitation ? (
          <>
            <h1 className="text-[26px]">{invitation.name}</h1>
            <p className="my-4">{WORDS.invites(invitation.by, invitation.name)}</p>
            <JoinSchoolButton token={token} />
          </>
        ) : (
          <>
            <h1 className="text-[26px]">{WORDS.over}</h1>
            <p className="mt-4">{WORDS.overMore}</p>
          </>
        )}
      </main>
    </>
  );
}
