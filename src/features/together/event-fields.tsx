"use client";

import { WORDS } from "@/core/words/own-events";
import { Field, INPUT } from "@/ui/controls/field";
import { useReady } from "@/ui/use-ready";

/** An event as somebody says it who does not edit the timeline. */
export interface SaidEvent {
  when: string;
  title: string;
  text: string;
  /** The id of one of the timeline's, or null. */
  category: string | null;
}

export const NOTHING_SAID: SaidEvent = { when: "", title: "", text: "", category: null };

/** The fields that say an event: when, what, more, and which of the timeline's categories. */
export function EventFields({
  event,
  categories,
  onChange,
}: {
  event: SaidEvent;
  categories: readonly { id: string; name: string }[];
  onChange: (event: SaidEvent) => void;
}) {
  const ready = useReady();
  const line = (name: "when" | "title", label: string, hint?: string) => (
    <Field label={label} {...(hint ? { hint } : {})} className="mt-2">
      {(ids) => (
        <input
          id={ids.id}
          aria-describedby={ids.describedBy}
          className={INPUT}
          maxLength={300}
          disabled={!ready}
          value={event[name]}
          onChange={(e) => onChange({ ...event, [name]: e.target.value })}
        />
      )}
    </Field>
  );
  return (
    <>
      {line("when", WORDS.when, WORDS.whenHelp)}
      {line("title", WORDS.title)}
      <Field label={WORDS.text} className="mt-2">
        {(ids) => (
          <textarea
            id={ids.id}
            rows={4}
            maxLength={50_000}
            disabled={!ready}
            className={`${INPUT} h-auto py-1.5`}
            value={event.text}
            onChange={(e) => onChange({ ...event, text: e.target.value })}
          />
        )}
      </Field>
      {categories.length > 0 ? (
        <Field label={WORDS.category} className="mt-2">
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              disabled={!ready}
              value={event.category ?? ""}
              onChange={(e) => onChange({ ...event, category: e.target.value || null })}
            >
              <option value="">{WORDS.none}</option>
              {categories.map((c) => (
                <option key={c.id} value={c.id}>
                  {c.name}
                </option>
              ))}
            </select>
          )}
        </Field>
      ) : null}
    </>
  );
}
