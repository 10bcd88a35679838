import { WORDS } from "@/core/words/pages";
import { doneJob } from "@/server/jobs/queue";
import { findThumbnail, type TimelineCard } from "@/server/timelines/queries";

const LIMIT_MS = 15_000;
const FRAME = "aspect-[300/132] overflow-hidden border-b border-line";

export function NoThumb({ text = "" }: { text?: string }) {
  return <p className={`${FRAME} bg-panel px-3 py-2 text-[14px] text-quiet`}>{text}</p>;
}

/** The chart in small, for a card: as it was stored, or as the job that draws it now does. The page does not wait for it. */
export async function ChartThumb({ card, of }: { card: TimelineCard; of: string }) {
  const svg = card.thumbnail === undefined ? await draw(card.id, of) : card.thumbnail;
  if (svg === undefined) return <NoThumb text={WORDS.theDrawingTakesLongerThan} />;
  if (svg === null) return <NoThumb text={WORDS.thisTimelineCouldNotBe} />;
  // The SVG comes from our own painter, which escapes every text.
  return (
    <div
      aria-hidden="true"
      className={`${FRAME} [&>svg]:h-auto [&>svg]:w-full`}
      dangerouslySetInnerHTML={{ __html: svg }}
    />
  );
}

/** Null: it cannot be drawn; undefined: not yet. */
async function draw(id: string, by: string): Promise<string | null | undefined> {
  try {
    const failed = await doneJob("thumbnail", id, { timeline: id }, { by, lane: by, limitMs: LIMIT_MS });
    if (failed) return failed.failed === "too_slow" ? null : undefined;
    return await findThumbnail(id);
  } catch (error) {
    console.error(error);
    return undefined;
  }
}
