import { PageLink } from "@/ui/page-link";
import { GUIDE, WORDS } from "@/core/words/guide";
import { findTasks } from "./find-tasks";
import { Button } from "@/ui/controls/button";
import { INPUT } from "@/ui/controls/field";
import { UserBar } from "../user-bar";

export const generateMetadata = () => ({ title: WORDS.help });

/** The guide: tasks as people name them, found by words. */
export default async function HelpPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const { q } = await searchParams;
  const typed = (typeof q === "string" ? q : "").trim().slice(0, 100);
  const found = findTasks(typed);
  const shown = found.length > 0 ? found : GUIDE;
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[880px] px-5 pb-12">
        <h1 className="mt-8 text-[26px]">{WORDS.help}</h1>
        <p className="mt-1 mb-4">{WORDS.intro}</p>
        <form method="get" className="mb-5 flex items-end gap-2">
          <label className="block max-w-[420px] flex-1 text-[13px] text-quiet">
            {WORDS.find}
            <input type="search" name="q" defaultValue={typed} maxLength={100} className={`${INPUT} mt-1`} />
          </label>
          <Button type="submit">{WORDS.findDo}</Button>
        </form>
        {found.length === 0 ? <p role="status">{WORDS.none(typed)}</p> : null}
        <ul className="grid gap-3 sm:grid-cols-2">
          {shown.map((t) => (
            <li key={t.id} className="rounded-lg border border-line p-3.5">
              <h2 className="text-[17px]">
                <PageLink href={`/help/${t.id}`} className="text-verdigris underline">
                  {t.title}
                </PageLink>
              </h2>
              <p className="mt-1 line-clamp-2 text-[14px] text-quiet">{t.steps[0]}</p>
            </li>
          ))}
        </ul>
        <p className="mt-6">
          <a href="/help/pdf" className="text-verdigris underline">
            {WORDS.asPdf}
          </a>
        </p>
      </main>
    </>
  );
}
