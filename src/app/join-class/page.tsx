import { WORDS } from "@/core/words/pages";
import { PageLink } from "@/ui/page-link";
import { JoinClassForm } from "@/features/classes/class-forms";
import { findPageUser } from "@/server/http/page-user";
import { UserBar } from "../user-bar";

export const generateMetadata = () => ({ title: WORDS.joinAClass });

export default async function JoinClassPage({ searchParams }: { searchParams: Promise<{ code?: string }> }) {
  const { code } = await searchParams;
  const user = await findPageUser();
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[420px] px-5 py-10">
        <h1 className="mb-5 text-[26px]">{WORDS.joinAClass}</h1>
        <JoinClassForm signedIn={user !== null} code={typeof code === "string" ? code.slice(0, 12) : ""} />
        {user ? null : (
          <p className="mt-4 text-[14px]">
            {WORDS.youHaveJoinedBefore}{" "}
            <PageLink href="/sign-in" className="font-bold text-verdigris underline">
              {WORDS.signIn}
            </PageLink>{" "}
            {WORDS.withYourSignInName}
          </p>
        )}
      </main>
    </>
  );
}
