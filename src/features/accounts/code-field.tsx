import type { ChangeEvent } from "react";
import { WORDS } from "@/core/words/accounts";
import { Field, INPUT } from "@/ui/controls/field";

/** The six digits of a device, or a spare code. */
export function CodeField({
  value,
  onChange,
  problem,
  autoFocus,
  hint = WORDS.stepCodeHint,
}: {
  value: string;
  onChange: (e: ChangeEvent<HTMLInputElement>) => void;
  problem?: string | undefined;
  autoFocus?: boolean;
  hint?: string;
}) {
  return (
    <Field label={WORDS.stepCode} hint={hint} problem={problem}>
      {(ids) => (
        <input
          id={ids.id}
          aria-describedby={ids.describedBy}
          autoComplete="one-time-code"
          autoCapitalize="none"
          spellCheck={false}
          // biome-ignore lint/a11y/noAutofocus: it is what was asked for just now
          autoFocus={autoFocus}
          className={`${INPUT} tracking-[0.2em]`}
          value={value}
          onChange={onChange}
        />
      )}
    </Field>
  );
}
