import { PageLink } from "@/ui/page-link";
import { WORDS as LOCAL } from "@/core/words/editor-local";
import { WORDS } from "@/core/words/pages";
import { findPageUser } from "@/server/http/page-user";
import { UserBar } from "../user-bar";
import { TryHere } from "./try-page";

export const generateMetadata = () => ({ title: WORDS.editor });

/** The editor without an account; whoever has one begins at home. */
export default async function TryPage() {
  if (!(await findPageUser())) return <TryHere />;
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[560px] px-5 py-10">
        <p>{LOCAL.youAreSignedIn}</p>
        <PageLink href="/" className="mt-3 inline-block font-bold text-verdigris underline">
          {LOCAL.toYourTimelines}
        </PageLink>
      </main>
    </>
  );
}
