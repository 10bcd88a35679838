import { isFailure } from "@/server/http/failure";
import type { TimelineCard } from "@/server/timelines/queries";
import { inThread } from "@/threads/in-thread";
import { BUILD } from "./reader-response";

const LIMIT_MS = 15_000;
const FRAME = "h-[104px] overflow-hidden border-b border-line";

export function NoThumb({ text = "" }: { text?: string }) {
  return <p className={`${FRAME} bg-panel px-3 py-2 text-[14px] text-quiet`}>{text}</p>;
}

/** The chart in small, for a card: as it was stored, or drawn now in a thread. The page does not wait for it. */
export async function ChartThumb({ card, of }: { card: TimelineCard; of: string }) {
  const svg = card.thumbnail === undefined ? await draw(card.id, of) : card.thumbnail;
  if (svg === null)
    return <NoThumb text="This timeline could not be drawn. Its events are kept: open it to see them." />;
  // The SVG comes from our own painter, which escapes every text.
  return (
    <div
      aria-hidden="true"
      className={`${FRAME} [&>svg]:h-auto [&>svg]:w-full`}
      dangerouslySetInnerHTML={{ __html: svg }}
    />
  );
}

async function draw(id: string, of: string): Promise<string | null> {
  try {
    const done = await inThread("thumbnail", [id, BUILD], {
      in: "drawings",
      key: of,
      what: `thumbnail of ${id}`,
      limitMs: LIMIT_MS,
    });
    return isFailure(done) ? null : done.svg;
  } catch (error) {
    console.error(error);
    return null;
  }
}
