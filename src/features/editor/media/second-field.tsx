"use client";

import { WORDS } from "@/core/words/editor-sheet";
import { readSecond, secondText } from "@/core/text/webvtt";
import { useEffect, useState } from "react";
import { Field, INPUT } from "@/ui/controls/field";

/** Where in a recording: taken over when one leaves the field or presses Enter; what cannot be read stays in it with a sentence. */
export function SecondField({
  label,
  value,
  placeholder,
  mayBeEmpty = false,
  onChange,
}: {
  label: string;
  value: number | null;
  placeholder?: string;
  mayBeEmpty?: boolean;
  /** Gives a sentence where it is not taken. */
  onChange: (at: number | null) => string | null;
}) {
  const shown = value === null ? "" : secondText(value);
  const [text, setText] = useState(shown);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    setText(shown);
    setProblem(null);
  }, [shown]);
  const take = () => {
    if (text.trim() === shown) return setProblem(null);
    const at = text.trim() === "" ? null : readSecond(text);
    if (at === null && !(mayBeEmpty && text.trim() === "")) return setProblem(WORDS.noSecond(text.trim()));
    const refused = onChange(at);
    setProblem(refused);
    if (!refused) setText(at === null ? "" : secondText(at));
  };
  return (
    <Field label={label} problem={problem}>
      {(ids) => (
        <input
          id={ids.id}
          aria-describedby={ids.describedBy}
          className={INPUT}
          value={text}
          placeholder={placeholder}
          onChange={(e) => setText(e.target.value)}
          onBlur={take}
          onKeyDown={(e) => {
            if (e.key === "Enter" && !e.nativeEvent.isComposing) take();
          }}
        />
      )}
    </Field>
  );
}
