import { PageLink } from "@/ui/page-link";
import { WORDS } from "@/core/words/schools";
import { NameForm } from "@/features/classes/name-form";
import { schoolsOf } from "@/server/classes/school";
import { db } from "@/server/db/pool";
import { requirePageUser } from "@/server/http/page-user";
import { UserBar } from "../user-bar";

export const generateMetadata = () => ({ title: WORDS.newSchool });

/** The schools one teaches at, and making one. */
export default async function SchoolsPage() {
  const user = await requirePageUser("/schools");
  const mine = await schoolsOf(db(), user.id);
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[600px] px-5 py-10">
        {mine.length > 0 ? (
          <>
            <h2 className="mb-2 text-[20px]">{WORDS.schoolsOfMine}</h2>
            <ul className="mb-8 divide-y divide-line border-y border-line">
              {mine.map((s) => (
                <li key={s.id} className="py-2">
                  <PageLink href={`/schools/${s.id}`} className="font-bold text-verdigris underline">
                    {s.name}
                  </PageLink>{" "}
                  <span className="text-[14px] text-quiet">{WORDS.role[s.role]}</span>
                </li>
              ))}
            </ul>
          </>
        ) : null}
        <h1 className="mb-2 text-[26px]">{WORDS.newSchool}</h1>
        <p className="mb-5 text-quiet">{WORDS.whatItIs}</p>
        <NameForm label={WORDS.nameOfTheSchool} button={WORDS.makeTheSchool} path="/api/schools" to="/schools" />
      </main>
    </>
  );
}
