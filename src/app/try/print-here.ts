import { toFrozen } from "@/core/formats/frozen";
import type { Timeline } from "@/core/timeline/timeline";

/** Prints a timeline that is on no server: the very page that readers get for printing, in a frame of its own. */
export async function printHere(timeline: Timeline): Promise<void> {
  const [{ renderReaderPage }, { pageSources }] = await Promise.all([
    import("@/features/reader/reader-page"),
    import("@/features/reader/page-sources"),
  ]);
  const frozen = toFrozen(timeline);
  const { html } = renderReaderPage({
    frozen,
    sources: await pageSources(frozen),
    variant: "print",
    mediaPath: "",
    note: null,
    notes: null,
    address: null,
    outside: { rule: "never", sites: [] },
    listed: false,
    chartScript: "",
    viewsScript: "",
    published: null,
  });
  document.getElementById(FRAME)?.remove();
  const frame = document.createElement("iframe");
  frame.id = FRAME;
  frame.title = timeline.title;
  frame.setAttribute("aria-hidden", "true");
  frame.className = "fixed -left-[3000px] top-0 h-[800px] w-[1100px]";
  document.body.append(frame);
  frame.contentDocument!.open();
  frame.contentDocument!.write(html);
  frame.contentDocument!.close();
  await frame.contentDocument!.fonts.ready;
  frame.contentWindow!.print();
}

const FRAME = "print-here";
