import { PageLink } from "@/ui/page-link";
import { notFound } from "next/navigation";
import { WORDS } from "@/core/words/schools";
import { SchoolDesk, TakeOutClass } from "@/features/classes/school-forms";
import { findSchool, schoolClasses, schoolTeachers } from "@/server/classes/school";
import { providerFor } from "@/server/classes/sign-on-classes";
import { requirePageUser } from "@/server/http/page-user";
import { publishedToSchool } from "@/server/publishing/listed";
import { ListOf } from "../../published-list";
import { UserBar } from "../../user-bar";

export const generateMetadata = () => ({ title: WORDS.school });

/** A school: what is published to it, for all who are of it; for its teachers its classes and colleagues. */
export default async function SchoolPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const user = await requirePageUser(`/schools/${id}`);
  const school = await findSchool(id, user.id);
  if (!school) notFound();
  const published = await publishedToSchool(id);
  const administers = school.role === "administrator";
  const { teachers, invited } = school.role ? await schoolTeachers(id) : { teachers: [], invited: [] };
  const classes = school.role ? await schoolClasses(id) : [];
  return (
    <>
      <UserBar />
      <main className="mx-auto grid max-w-[1080px] gap-8 px-5 py-7 md:grid-cols-[minmax(0,1fr)_380px]">
        <div>
          <h1 className="text-[26px]">{school.name}</h1>
          <h2 className="mt-5 mb-2 text-[20px]">{WORDS.published}</h2>
          {published.length === 0 ? (
            <p className="text-quiet">{WORDS.nothingPublished}</p>
          ) : (
            <ListOf listed={published} />
          )}
          {school.role ? (
            <>
              <h2 className="mt-7 mb-2 text-[20px]">{WORDS.classes}</h2>
              {classes.length === 0 ? <p className="text-quiet">{WORDS.noClasses}</p> : null}
              <ul className="divide-y divide-line border-y border-line empty:hidden">
                {classes.map((c) => (
                  <li key={c.id} className="flex flex-wrap items-center gap-x-3 py-2">
                    <PageLink href={`/classes/${c.id}`} className="font-bold text-verdigris underline">
                      {c.name}
                    </PageLink>
                    <span className="text-[14px] text-quiet">{WORDS.classLine(c.teacher, c.members)}</span>
                    {administers ? <TakeOutClass id={c.id} name={c.name} /> : null}
                  </li>
                ))}
              </ul>
            </>
          ) : null}
        </div>
        {school.role ? (
          <SchoolDesk
            school={{ id, name: school.name, publishLimit: school.publishLimit, signOnProvider: school.signOnProvider }}
            provider={administers ? await providerFor(id) : null}
            me={user.id}
            administers={administers}
            teachers={teachers.map((t) => ({ ...t }))}
            invited={administers ? invited.map((i) => ({ ...i })) : []}
          />
        ) : null}
      </main>
    </>
  );
}
