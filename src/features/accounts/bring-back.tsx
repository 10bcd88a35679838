"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { WORDS } from "@/core/words/accounts";
import { buttonLook } from "@/ui/controls/button";
import { Problem } from "@/ui/controls/problem";
import { useReady } from "@/ui/use-ready";
import { type BroughtBack, bringBack } from "./read-archive";

/** Brings the timelines of an archive back, one after another. */
export function BringBack() {
  const router = useRouter();
  const ready = useReady();
  const [at, setAt] = useState<string | null>(null);
  const [came, setCame] = useState<BroughtBack | null>(null);
  const take = async (file: File) => {
    setCame(null);
    setAt(file.name);
    const done = await bringBack(file, (title, n, of) => setAt(WORDS.bringingBack(title || WORDS.untitled, n, of)));
    setAt(null);
    setCame(done);
    router.refresh();
  };
  return (
    <section aria-label={WORDS.bringBack} className="mt-5">
      <h3 className="text-[16px]">{WORDS.bringBack}</h3>
      <p>{WORDS.bringBackMore}</p>
      <p className="mb-2">{WORDS.bringBackClasses}</p>
      <label
        className={`${buttonLook("plain")} cursor-pointer focus-within:outline-2 ${at || !ready ? "opacity-50" : ""}`}
      >
        {WORDS.chooseArchive}
        <input
          type="file"
          accept=".zip"
          className="sr-only"
          // What is chosen before the page is awake would be lost.
          disabled={at !== null || !ready}
          onChange={(e) => {
            const file = e.target.files?.[0];
            e.target.value = "";
            if (file) void take(file);
          }}
        />
      </label>
      <div role="status" className="mt-2">
        {at}
        {came && came.done > 0 ? <p className="font-bold text-verdigris">{WORDS.broughtBack(came.done)}</p> : null}
        {came?.classes.map((c) => (
          <p key={c.id}>
            <a href={`/classes/${c.id}`} className="font-bold text-verdigris underline">
              {WORDS.classBack(c.name)}
            </a>{" "}
            {WORDS.classBackMore}
          </p>
        ))}
      </div>
      {came?.problems.map((p) => (
        <Problem key={p} text={p} className="mt-1" />
      ))}
    </section>
  );
}
