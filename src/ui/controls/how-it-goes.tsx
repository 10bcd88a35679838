import { CircleHelp } from "lucide-react";
import { type GuideTask, WORDS } from "@/core/words/guide";

/** Leads to the task of the guide that is done here; opens beside what one is at. */
export function HowItGoes({ task, className = "" }: { task: GuideTask["id"]; className?: string }) {
  return (
    <a
      href={`/help/${task}`}
      target="_blank"
      rel="noreferrer"
      className={`inline-flex items-center gap-1 text-[14px] text-verdigris underline ${className}`}
    >
      <CircleHelp size={15} aria-hidden="true" /> {WORDS.howItGoes}
    </a>
  );
}
