"use client";

import { WORDS } from "@/core/words/en/home";
import { MoreHorizontal } from "lucide-react";
import { useRouter } from "next/navigation";
import { DropdownMenu } from "radix-ui";
import { useState } from "react";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";

/** The menu of one card. Deleting can be put back at once. */
export function TimelineMenu({ id, title, owner, me }: { id: string; title: string; owner: boolean; me: string }) {
  const router = useRouter();
  const [deleted, setDeleted] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const set = async (value: boolean) => {
    const answer = await askServer("PATCH", `/api/timelines/${id}`, { deleted: value });
    setProblem(answer.ok ? null : answer.sentence);
    if (!answer.ok) return;
    setDeleted(value);
    if (!value) router.refresh();
  };
  const leave = async () => {
    const answer = await askServer("DELETE", `/api/timelines/${id}/editors/${me}`);
    if (answer.ok) router.refresh();
    else setProblem(answer.sentence);
  };
  return (
    <>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger aria-label={WORDS.moreAbout(title)} className="rounded-md p-1.5 hover:bg-verdigris-wash">
          <MoreHorizontal size={18} />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content align="end" className="z-50 min-w-40 rounded-md border border-line bg-white p-1">
            {owner ? (
              <DropdownMenu.Item
                className="cursor-pointer rounded px-2.5 py-1.5 outline-none data-[highlighted]:bg-verdigris-wash"
                onSelect={() => void set(true)}
              >
                {WORDS.delete}
              </DropdownMenu.Item>
            ) : (
              <DropdownMenu.Item
                className="cursor-pointer rounded px-2.5 py-1.5 outline-none data-[highlighted]:bg-verdigris-wash"
                onSelect={() => void leave()}
              >
                {WORDS.leaveThisTimeline}
              </DropdownMenu.Item>
            )}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      {deleted || problem ? (
        <div
          role="status"
          className="absolute inset-0 z-10 flex flex-col items-center justify-center gap-3 rounded-lg bg-white/95 p-3 text-center"
        >
          <span>{problem ?? WORDS.deletedItsPageIfIt}</span>
          {deleted ? (
            <Button kind="main" onClick={() => void set(false)}>
              {WORDS.putBack}
            </Button>
          ) : (
            <Button onClick={() => setProblem(null)}>{WORDS.close}</Button>
          )}
        </div>
      ) : null}
    </>
  );
}
