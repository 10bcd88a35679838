"use client";

import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { WORDS } from "@/core/words/home";

/** Over many timelines: finds by title and subject, sorts, and shows one folder alone. The address says what is shown. */
export function FindTimelines({
  find,
  sort,
  folder,
  folders,
}: {
  find: string;
  sort: string;
  folder: string;
  folders: readonly string[];
}) {
  const router = useRouter();
  const [text, setText] = useState(find);
  const go = (next: Record<string, string>) => {
    const query = new URLSearchParams(
      Object.entries({ find: text, sort, folder, ...next }).filter(([, v]) => v !== ""),
    );
    router.replace(query.size > 0 ? `/?${query}` : "/", { scroll: false });
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: another text looks anew, when the typing rests
  useEffect(() => {
    if (text === find) return;
    const rest = setTimeout(() => go({ find: text }), 250);
    return () => clearTimeout(rest);
  }, [text]);
  const field = "h-9 rounded-md border border-edge bg-white px-2.5 text-[15px] placeholder:text-[#5d7479]";
  return (
    <search className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-2">
      <input
        type="search"
        aria-label={WORDS.find}
        placeholder={WORDS.findByTitle}
        className={`${field} w-60 max-sm:w-full`}
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      <span className="flex items-center gap-1.5 text-[14px] text-quiet">
        {WORDS.sortBy}
        <select aria-label={WORDS.sortBy} className={field} value={sort} onChange={(e) => go({ sort: e.target.value })}>
          <option value="">{WORDS.lastChange}</option>
          <option value="title">{WORDS.byTitle}</option>
          <option value="subject">{WORDS.bySubject}</option>
        </select>
      </span>
      {folders.length > 0 ? (
        <span className="flex items-center gap-1.5 text-[14px] text-quiet">
          {WORDS.folder}
          <select
            aria-label={WORDS.folder}
            className={field}
            value={folder}
            onChange={(e) => go({ folder: e.target.value })}
          >
            <option value="">{WORDS.allFolders}</option>
            {folders.map((f) => (
              <option key={f}>{f}</option>
            ))}
          </select>
        </span>
      ) : null}
    </search>
  );
}
