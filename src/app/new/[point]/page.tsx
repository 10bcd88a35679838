import { PageLink } from "@/ui/page-link";
import { notFound } from "next/navigation";
import { pointTimeline, startingPoint } from "@/core/starting-points/starting-points";
import { whenLabel } from "@/core/time/write-when";
import { inOrder } from "@/core/timeline/order";
import { mannerOf } from "@/core/timeline/read-options";
import { WORDS } from "@/core/words/starting-points";
import { BeginWith } from "@/features/home/begin-with";
import { requirePageUser } from "@/server/http/page-user";
import { UserBar } from "../../user-bar";
import { PointDrawing } from "../point-drawing";

export const generateMetadata = () => ({ title: WORDS.startingPoint });

/** A starting point to look at: its chart and its events; nothing of it is there before one says so. */
export default async function PointPage({ params }: { params: Promise<{ point: string }> }) {
  const { point: id } = await params;
  await requirePageUser(`/new/${encodeURIComponent(id)}`);
  const point = startingPoint(id);
  if (!point) notFound();
  const t = pointTimeline(point);
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[1240px] px-5 py-8">
        <PageLink href="/new" className="text-[14px] text-verdigris underline">
          {WORDS.backToNew}
        </PageLink>
        <div className="mt-2 mb-4 flex flex-wrap items-end gap-x-6 gap-y-2">
          <div className="min-w-0 flex-1">
            <h1 className="text-[26px]">{point.title}</h1>
            <p className="mt-1">{point.what}</p>
          </div>
          <BeginWith point={point.id} />
        </div>
        <div className="overflow-hidden rounded-lg border border-line">
          <PointDrawing point={point} width={1_200} height={440} className="max-sm:hidden" />
          <PointDrawing point={point} width={350} height={640} upright className="sm:hidden" />
        </div>
        <ul className="mt-5 divide-y divide-line">
          {inOrder(t.events.values()).map((e) => (
            <li key={e.id} className="flex flex-wrap gap-x-5 py-1.5">
              <span className="w-[220px] font-bold text-verdigris">{whenLabel(e.when, mannerOf(t))}</span>
              <span className="min-w-0 flex-1">{e.title}</span>
              <span className="text-quiet">{t.categories.get(e.category ?? "")?.name}</span>
            </li>
          ))}
        </ul>
      </main>
    </>
  );
}
