"use client";

import { PageLink } from "@/ui/page-link";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { copyTimeline } from "@/core/change/copy-events";
import { fromSnapshot } from "@/core/formats/snapshot";
import { WORDS } from "@/core/words/editor-local";
import { askServer } from "@/ui/ask-server";
import { LocalTimeline } from "./local-timeline";

/** Takes along what was written in this browser before its author had an account, once, and says so. */
export function TakeAlong() {
  const router = useRouter();
  const [done, setDone] = useState<{ id: string; title: string } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    const take = async () => {
      const local = await LocalTimeline.open();
      if (local.isEmpty) return;
      const timeline = fromSnapshot(local.snapshot());
      const title = timeline.title || WORDS.untitled;
      const made = await askServer<{ id: string }>("POST", "/api/timelines", { title: "", subject: "" });
      if (!made.ok) return setProblem(made.sentence);
      const ops = copyTimeline(timeline, timeline.title, () => null);
      const sent = await askServer("POST", `/api/timelines/${made.value.id}/changes`, { id: "along", base: 0, ops });
      if (!sent.ok) {
        await askServer("PATCH", `/api/timelines/${made.value.id}`, { deleted: true });
        return setProblem(sent.sentence);
      }
      await LocalTimeline.clear();
      setDone({ id: made.value.id, title });
      router.refresh();
    };
    // Where it is open in another tab, or that tab is just taking it along, it is left there.
    const run = () => take().catch(() => {});
    if (navigator.locks)
      void navigator.locks.request("fastigo-without-account", { ifAvailable: true }, (lock) => (lock ? run() : null));
    else void run();
  }, [router]);
  if (!done && !problem) return null;
  return (
    <div role="status" className="border-b border-line bg-sun-wash px-[18px] py-2">
      {problem ? WORDS.notTakenAlong(problem) : WORDS.takenAlong(done!.title)}{" "}
      {done ? (
        <PageLink href={`/timelines/${done.id}`} className="font-bold underline">
          {WORDS.openIt}
        </PageLink>
      ) : null}
    </div>
  );
}
