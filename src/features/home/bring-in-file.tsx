"use client";

import { useEffect, useRef, useState } from "react";
import { kindOf, READ_ENDINGS } from "@/core/bring-in/files/endings";
import { LIMITS } from "@/core/change/limits";
import { WORDS as BRING_IN } from "@/core/words/bring-in";
import { WORDS } from "@/core/words/home";
import { askServer } from "@/ui/ask-server";
import { buttonLook } from "@/ui/controls/button";
import { handFile } from "@/ui/handed-file";

/** Begins a timeline with a file: chosen, or dropped anywhere on the page. It is looked at in the editor before anything comes in. */
export function BringInFile() {
  const [problem, setProblem] = useState<string | null>(null);
  const [over, setOver] = useState(false);
  const [busy, setBusy] = useState(false);
  const begin = async (file: File) => {
    setProblem(null);
    const kind = kindOf(file.name);
    if (!kind) return setProblem(BRING_IN.noSuchFile(file.name));
    setBusy(true);
    // A timeline of a file brings its own title along.
    const title = kind === "json" ? "" : file.name.replace(/\.[^.]+$/, "").slice(0, LIMITS.title);
    const answer = await askServer<{ id: string }>("POST", "/api/timelines", { title, subject: "" });
    if (!answer.ok) {
      setBusy(false);
      return setProblem(answer.sentence);
    }
    try {
      await handFile(answer.value.id, file);
      window.location.assign(`/timelines/${answer.value.id}?bring-in`);
    } catch {
      // Without a place to keep it for the moment it is chosen again there.
      window.location.assign(`/timelines/${answer.value.id}`);
    }
  };
  const latest = useRef(begin);
  latest.current = begin;
  useEffect(() => {
    const drag = (e: DragEvent) => {
      if (!e.dataTransfer?.types.includes("Files")) return;
      e.preventDefault();
      setOver(e.type === "dragover");
      const [file] = e.dataTransfer.files;
      if (e.type === "drop" && file) void latest.current(file);
    };
    const leave = (e: DragEvent) => e.relatedTarget === null && setOver(false);
    document.addEventListener("dragover", drag);
    document.addEventListener("drop", drag);
    document.addEventListener("dragleave", leave);
    return () => {
      document.removeEventListener("dragover", drag);
      document.removeEventListener("drop", drag);
      document.removeEventListener("dragleave", leave);
    };
  }, []);
  return (
    <>
      <label
        className={`${buttonLook("plain")} cursor-pointer focus-within:outline-2 ${busy ? "opacity-50" : ""}`}
        title={WORDS.fromAFileHint}
      >
        {WORDS.fromAFile}
        <input
          type="file"
          accept={READ_ENDINGS.join(",")}
          disabled={busy}
          className="sr-only"
          onChange={(e) => {
            const file = e.target.files?.[0];
            if (file) void begin(file);
            e.target.value = "";
          }}
        />
      </label>
      {problem ? (
        <p role="alert" className="order-last basis-full font-bold text-copper-dark">
          {problem}
        </p>
      ) : null}
      {over ? (
        <div className="pointer-events-none fixed inset-3 z-50 flex items-center justify-center rounded-lg border-2 border-dashed border-verdigris bg-white/85 text-[19px] font-bold text-verdigris">
          {WORDS.dropItHere}
        </div>
      ) : null}
    </>
  );
}
