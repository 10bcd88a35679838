"use client";

import { useId, useState } from "react";
import { FORMATS, type FormatId } from "@/core/formats/formats";
import { toFrozen } from "@/core/formats/frozen";
import { onlyEvents } from "@/core/formats/only-events";
import { orderOf } from "@/core/timeline/order";
import { WORDS } from "@/core/words/take-out";
import { Button } from "@/ui/controls/button";
import { INPUT } from "@/ui/controls/field";
import { HowItGoes } from "@/ui/controls/how-it-goes";
import { Modal } from "@/ui/controls/modal";
import { saveFile } from "@/ui/save-file";
import { useEditor } from "../store/editor-context";
import { writeFile } from "../write-file";

/** Saves the timeline, or some events of it, as a file. `some`: those that are looked at or chosen, and how they are called. */
export function TakeOut({
  some,
  onClose,
}: {
  some: { ids: readonly string[]; chosen: boolean } | null;
  onClose: () => void;
}) {
  const { store } = useEditor();
  const [format, setFormat] = useState<FormatId>("xlsx");
  const [onlySome, setOnlySome] = useState(some !== null);
  const [writing, setWriting] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const formatId = useId();
  const [timeline] = useState(() => store.getState().timeline);
  const all = orderOf(timeline.events);
  const isFamily = all.some((e) => /\/[A-Z]{2,5}\d*$/.test(e.origin));
  const save = async () => {
    setWriting(true);
    setProblem(null);
    try {
      const whole = toFrozen(timeline, true);
      const frozen = some && onlySome ? onlyEvents(whole, new Set(some.ids)) : whole;
      const came = await writeFile(frozen, format);
      if ("problem" in came) setProblem(came.problem || WORDS.notWritten);
      else {
        const { mediaType, endings } = FORMATS.find((f) => f.id === format)!;
        saveFile(
          new Blob([came.bytes as BlobPart], { type: mediaType }),
          timeline.title || WORDS.untitled,
          endings[0]!,
        );
        onClose();
      }
    } catch {
      setProblem(WORDS.notWritten);
    }
    setWriting(false);
  };
  const choice = (label: string, value: boolean) => (
    <label className="flex min-h-6 items-center gap-2">
      <input
        type="radio"
        className="size-4 accent-verdigris"
        checked={onlySome === value}
        onChange={() => setOnlySome(value)}
      />
      {label}
    </label>
  );
  return (
    <Modal title={WORDS.takeOut} open onOpenChange={(open) => (open ? null : onClose())}>
      <div className="flex flex-col gap-4">
        <HowItGoes task="take-out" />
        {some ? (
          <fieldset className="flex flex-col gap-1">
            <legend className="mb-1 text-[13px] text-quiet">{WORDS.which}</legend>
            {choice(some.chosen ? WORDS.chosen(some.ids.length) : WORDS.lookedAt(some.ids.length), true)}
            {choice(WORDS.all(all.length), false)}
          </fieldset>
        ) : null}
        <div>
          <label htmlFor={formatId} className="mb-1 block text-[13px] text-quiet">
            {WORDS.as}
          </label>
          <select
            id={formatId}
            className={INPUT}
            value={format}
            onChange={(e) => setFormat(e.target.value as FormatId)}
          >
            {FORMATS.filter((f) => f.id !== "ged" || isFamily).map((f) => (
              <option key={f.id} value={f.id}>
                {WORDS.formats[f.id]}
              </option>
            ))}
          </select>
          <p className="mt-1.5 text-[14px] text-quiet">{WORDS.hints[format]}</p>
        </div>
        <p role="alert" className="font-bold text-copper-dark empty:hidden">
          {problem}
        </p>
        <Button kind="main" className="self-start" disabled={writing} onClick={() => void save()}>
          {writing ? WORDS.saving : WORDS.save}
        </Button>
      </div>
    </Modal>
  );
}
