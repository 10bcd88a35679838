import { PageLink } from "@/ui/page-link";
import { notFound } from "next/navigation";
import { GUIDE, WORDS } from "@/core/words/guide";
import { UserBar } from "../../user-bar";

const find = (id: string) => GUIDE.find((t) => t.id === id);

export async function generateMetadata({ params }: { params: Promise<{ task: string }> }) {
  return { title: find((await params).task)?.title ?? WORDS.help };
}

/** One task of the guide. */
export default async function TaskPage({ params }: { params: Promise<{ task: string }> }) {
  const task = find((await params).task);
  if (!task) notFound();
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[880px] px-5 pb-12">
        <p className="mt-6">
          <PageLink href="/help" className="text-verdigris underline">
            {WORDS.all}
          </PageLink>
        </p>
        <h1 className="mt-2 text-[26px]">{task.title}</h1>
        <ol className="mt-3 list-decimal ps-6 text-[17px]">
          {task.steps.map((s) => (
            <li key={s} className="mb-2">
              {s}
            </li>
          ))}
        </ol>
        {task.picture ? (
          <img
            src={`/help/pictures/${task.picture.file}`}
            alt={task.picture.alt}
            loading="lazy"
            className="mt-4 max-h-[560px] max-w-full border border-line"
          />
        ) : null}
        {task.links.length > 0 ? (
          <nav aria-label={WORDS.goOn} className="mt-5 border-t border-line pt-3">
            <h2 className="mb-1 text-[17px]">{WORDS.goOn}</h2>
            <ul>
              {task.links.map((l) => (
                <li key={l.to} className="py-0.5">
                  <PageLink href={l.to} className="text-verdigris underline">
                    {l.text}
                  </PageLink>
                </li>
              ))}
            </ul>
          </nav>
        ) : null}
      </main>
    </>
  );
}
