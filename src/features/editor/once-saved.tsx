"use client";

import { type ComponentProps, useEffect, useEffectEvent, useState } from "react";
import { WORDS } from "@/core/words/editor";
import { Button } from "@/ui/controls/button";
import { useEditorState } from "./store/editor-context";

/** So long nothing is said of a press that waits: most is saved by then. */
const QUIET_MS = 600;

/**
 * A button for what the server does with the timeline as it has it. A press while something is on its way to it is taken, and done once
 * all of it is saved; it can be taken back by another press, and goes when the button does. Nothing is done while `disabled`.
 */
export function OnceSaved({
  onPress,
  disabled = false,
  ...rest
}: Omit<ComponentProps<typeof Button>, "onClick"> & { onPress: () => void }) {
  const waits = useEditorState((s) => s.waiting) > 0;
  const [asked, setAsked] = useState(false);
  const [isLong, setLong] = useState(false);
  const act = useEffectEvent(() => {
    setAsked(false);
    if (!disabled) onPress();
  });
  useEffect(() => {
    if (!asked) return;
    if (!waits) return act();
    const timer = setTimeout(() => setLong(true), QUIET_MS);
    return () => {
      clearTimeout(timer);
      setLong(false);
    };
  }, [asked, waits]);
  return (
    <>
      <Button
        {...rest}
        disabled={disabled}
        aria-busy={asked}
        onClick={() => {
          if (asked || waits) setAsked(!asked);
          else onPress();
        }}
      />
      {isLong ? (
        <span role="status" className="max-w-[44ch] self-center text-[13px] text-quiet">
          {WORDS.onceSaved}
        </span>
      ) : null}
    </>
  );
}
