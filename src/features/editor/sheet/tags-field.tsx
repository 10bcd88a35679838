"use client";

import { X } from "lucide-react";
import { useId, useState } from "react";
import { readTags } from "@/core/ledger/read-cell";
import { tagsIn } from "@/core/ledger/look-at";
import { WORDS as LEDGER } from "@/core/words/editor-ledger";
import { WORDS } from "@/core/words/editor-sheet";
import { Field, INPUT } from "@/ui/controls/field";
import { useEditorState } from "../store/editor-context";

/** The tags of an event: each can be taken away; Enter or a comma adds what was written. Those in use are suggested. */
export function TagsField({
  value,
  onChange,
}: {
  value: readonly string[];
  onChange: (tags: readonly string[]) => string | null;
}) {
  const events = useEditorState((s) => s.timeline.events);
  const [text, setText] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const listId = useId();
  const add = (typed: string) => {
    if (typed.trim() === "") return setText("");
    const { tags, rest } = readTags([...value, typed].join(","));
    setText(rest);
    setProblem(rest ? LEDGER.notAValue("tags", rest) : null);
    if (tags.length > value.length) setProblem(onChange(tags) ?? (rest ? LEDGER.notAValue("tags", rest) : null));
  };
  return (
    <Field label={WORDS.tags} problem={problem}>
      {(ids) => (
        <div>
          {value.length > 0 ? (
            <ul className="mb-1.5 flex flex-wrap gap-1.5">
              {value.map((tag) => (
                <li key={tag} className="flex items-center rounded-md border border-line bg-panel ps-2 text-[14px]">
                  <span>{tag}</span>
                  <button
                    type="button"
                    aria-label={WORDS.takeTheTagAway(tag)}
                    className="flex size-7 items-center justify-center rounded-md hover:bg-verdigris-wash max-sm:size-11"
                    onClick={() => onChange(value.filter((t) => t !== tag))}
                  >
                    <X size={13} />
                  </button>
                </li>
              ))}
            </ul>
          ) : null}
          <input
            id={ids.id}
            aria-describedby={ids.describedBy}
            className={INPUT}
            value={text}
            list={listId}
            placeholder={WORDS.tagsExample}
            onChange={(e) => {
              setProblem(null);
              if (e.target.value.includes(",")) add(e.target.value);
              else setText(e.target.value);
            }}
            onKeyDown={(e) => {
              if (e.key === "Enter" && !e.nativeEvent.isComposing) {
                e.preventDefault();
                add(text);
              }
            }}
            onBlur={() => add(text)}
          />
          <datalist id={listId}>
            {tagsIn(events.values())
              .filter(({ tag }) => !value.some((t) => t.toLowerCase() === tag.toLowerCase()))
              .map(({ tag }) => (
                <option key={tag} value={tag} />
              ))}
          </datalist>
        </div>
      )}
    </Field>
  );
}
