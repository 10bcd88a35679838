import { PageLink } from "@/ui/page-link";
import { notFound } from "next/navigation";
import { WORDS } from "@/core/words/platform";
import { requirePageUser } from "@/server/http/page-user";
import { choiceOf } from "@/server/lti/choose";
import { buttonLook } from "@/ui/controls/button";
import { UserBar } from "../../user-bar";

export const generateMetadata = () => ({ title: WORDS.choose });

/** A teacher chooses which assignment a link of a learning platform leads to. */
export default async function ChoosePage({ params }: { params: Promise<{ choice: string }> }) {
  const { choice } = await params;
  const user = await requirePageUser(`/lti/${choice}`);
  const found = await choiceOf(choice, user.id);
  if (!found) notFound();
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[640px] px-5 py-8">
        <h1 className="text-[26px]">{WORDS.choose}</h1>
        <p className="mt-1 text-quiet">{WORDS.chooseHelp(found.platform.name, found.className)}</p>
        {found.assignments.length === 0 ? (
          <>
            <p className="mt-4">{WORDS.none}</p>
            <PageLink href={`/classes/${found.classId}/new-assignment`} className={`${buttonLook("main")} mt-3`}>
              {WORDS.newAssignment}
            </PageLink>
          </>
        ) : (
          <form method="post" action={`/api/lti/choices/${choice}`} className="mt-4 flex flex-col items-start gap-2">
            {found.assignments.map((a) => (
              <button key={a.id} type="submit" name="assignment" value={a.id} className={buttonLook("plain")}>
                {WORDS.link(a.title)}
              </button>
            ))}
          </form>
        )}
      </main>
    </>
  );
}
