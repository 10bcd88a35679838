"use client";

import { WORDS } from "@/core/words/home";
import { MoreHorizontal } from "lucide-react";
import { useRouter } from "next/navigation";
import { DropdownMenu } from "radix-ui";
import { useState } from "react";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { Modal } from "@/ui/controls/modal";

/** The menu of one card. Deleting can be put back at once. */
export function TimelineMenu({
  id,
  title,
  owner,
  me,
  folder,
  folders,
}: {
  id: string;
  title: string;
  owner: boolean;
  me: string;
  folder: string;
  /** The folders in use, to choose from. */
  folders: readonly string[];
}) {
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
  const [filing, setFiling] = useState(false);
  const [name, setName] = useState(folder);
  const file = async () => {
    const answer = await askServer("PUT", `/api/timelines/${id}/folder`, { folder: name });
    if (!answer.ok) return setProblem(answer.sentence);
    setFiling(false);
    router.refresh();
  };
  const duplicate = async () => {
    const answer = await askServer("POST", `/api/timelines/${id}/duplicate`);
    if (answer.ok) router.refresh();
    else setProblem(answer.sentence);
  };
  return (
    <>
      <Modal title={WORDS.putIntoAFolder} open={filing} onOpenChange={setFiling}>
        <form
          className="flex flex-col gap-3"
          onSubmit={(e) => {
            e.preventDefault();
            void file();
          }}
        >
          <Field label={WORDS.folder} hint={WORDS.folderHint} problem={problem}>
            {(ids) => (
              <input
                id={ids.id}
                aria-describedby={ids.describedBy}
                className={INPUT}
                value={name}
                maxLength={60}
                list={`folders-${id}`}
                onChange={(e) => setName(e.target.value)}
              />
            )}
          </Field>
          <datalist id={`folders-${id}`}>
            {folders.map((f) => (
              <option key={f} value={f} />
            ))}
          </datalist>
          <Button kind="main" type="submit">
            {WORDS.keep}
          </Button>
        </form>
      </Modal>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger aria-label={WORDS.moreAbout(title)} className="rounded-md p-1.5 hover:bg-verdigris-wash">
          <MoreHorizontal size={18} />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content align="end" className="z-50 min-w-40 rounded-md border border-line bg-white p-1">
            <DropdownMenu.Item
              className="cursor-pointer rounded px-2.5 py-1.5 outline-none data-[highlighted]:bg-verdigris-wash"
              onSelect={() => void duplicate()}
            >
              {WORDS.duplicate}
            </DropdownMenu.Item>
            <DropdownMenu.Item
              className="cursor-pointer rounded px-2.5 py-1.5 outline-none data-[highlighted]:bg-verdigris-wash"
              onSelect={() => setFiling(true)}
            >
              {WORDS.putIntoAFolder}
            </DropdownMenu.Item>
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
      {deleted || (problem && !filing) ? (
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
