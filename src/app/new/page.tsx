import { PageLink } from "@/ui/page-link";
import { WORDS } from "@/core/words/pages";
import { STARTING_POINTS, WORDS as BEGIN } from "@/core/words/starting-points";
import { NewForm } from "@/features/home/new-form";
import { requirePageUser } from "@/server/http/page-user";
import { UserBar } from "../user-bar";
import { PointDrawing } from "./point-drawing";

export const generateMetadata = () => ({ title: WORDS.newTimeline });

export default async function NewPage() {
  await requirePageUser("/new");
  return (
    <>
      <UserBar />
      <main className="mx-auto flex max-w-[1240px] gap-x-14 gap-y-10 px-5 py-10 max-lg:flex-col">
        <section className="w-full max-w-[420px] shrink-0">
          <h1 className="mb-5 text-[26px]">{WORDS.newTimeline}</h1>
          <NewForm />
        </section>
        <section className="min-w-0 flex-1" aria-labelledby="starting-points">
          <h2 id="starting-points" className="text-[19px]">
            {BEGIN.beginWith}
          </h2>
          <p className="mt-1 mb-4 text-[14px] text-quiet">{BEGIN.beginWithHint}</p>
          <ul className="grid gap-4 [grid-template-columns:repeat(auto-fill,minmax(min(240px,100%),1fr))]">
            {STARTING_POINTS.map((p) => (
              <li key={p.id} className="relative overflow-hidden rounded-lg border border-line">
                <div aria-hidden="true" className="border-b border-line">
                  <PointDrawing point={p} width={340} height={150} />
                </div>
                <div className="px-3 pt-2.5 pb-3">
                  <h3 className="text-[16px]">
                    <PageLink href={`/new/${p.id}`} className="rounded after:absolute after:inset-0 after:content-['']">
                      {p.title}
                    </PageLink>
                  </h3>
                  <p className="mt-0.5 text-[14px]">{p.what}</p>
                </div>
              </li>
            ))}
          </ul>
        </section>
      </main>
    </>
  );
}
