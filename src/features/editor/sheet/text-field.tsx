"use client";

import { useEffect, useRef, useState } from "react";
import { classes } from "@/ui/classes";
import { Field, INPUT } from "@/ui/controls/field";

/** A short text that is saved as it is typed. What does not fit stays in the field with a sentence, and is not saved. */
export function TextField({
  label,
  value,
  onChange,
  placeholder,
  hint,
  strong,
  note,
  list,
  multiline,
}: {
  label: string;
  value: string;
  onChange: (text: string) => string | null;
  placeholder?: string | undefined;
  hint?: string;
  strong?: boolean;
  note?: string;
  list?: string;
  multiline?: boolean;
}) {
  const [text, setText] = useState(value);
  const [problem, setProblem] = useState<string | null>(null);
  const saved = useRef(value);
  useEffect(() => {
    // A change from elsewhere shows here, but never replaces what could not be saved.
    if (value !== saved.current) {
      saved.current = value;
      setText(value);
      setProblem(null);
    }
  }, [value]);
  const change = (next: string) => {
    setText(next);
    const refused = onChange(next);
    setProblem(refused);
    if (!refused) saved.current = next;
  };
  return (
    <Field label={label} hint={hint} problem={problem} note={note}>
      {(ids) =>
        multiline ? (
          <textarea
            id={ids.id}
            aria-describedby={ids.describedBy}
            value={text}
            rows={1}
            placeholder={placeholder}
            className={classes(INPUT, "h-auto min-h-9 py-1.5 [field-sizing:content]")}
            onChange={(e) => change(e.target.value)}
          />
        ) : (
          <input
            id={ids.id}
            aria-describedby={ids.describedBy}
            value={text}
            list={list}
            placeholder={placeholder}
            className={classes(INPUT, strong && "h-10 font-bold")}
            onChange={(e) => change(e.target.value)}
          />
        )
      }
    </Field>
  );
}
