"use client";

import { useState } from "react";
import { askServer } from "@/ui/ask-server";
import { useReady } from "@/ui/use-ready";
import { Button } from "./button";
import { Field, INPUT } from "./field";

/** A field of words and the button that sends them to a route; what could not be sent stays in the field. */
export function SendLine({
  label,
  button,
  path,
  method,
  more = {},
  onSent,
}: {
  label: string;
  button: string;
  path: string;
  method: "POST" | "PUT";
  /** What is sent beside the text. */
  more?: Record<string, string>;
  onSent: () => void;
}) {
  const ready = useReady();
  const [text, setText] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <div className="mt-1 flex items-end gap-1.5">
      <Field label={label} problem={problem} className="flex-1">
        {(ids) => (
          <textarea
            id={ids.id}
            aria-describedby={ids.describedBy}
            rows={2}
            maxLength={2_000}
            className={`${INPUT} h-auto py-1.5`}
            value={text}
            onChange={(e) => setText(e.target.value)}
          />
        )}
      </Field>
      <Button
        size="small"
        disabled={!ready || text.trim() === ""}
        onClick={async () => {
          const answer = await askServer(method, path, { ...more, text });
          setProblem(answer.ok ? null : answer.sentence);
          if (!answer.ok) return;
          setText("");
          onSent();
        }}
      >
        {button}
      </Button>
    </div>
  );
}
