"use client";

import type { ReactNode } from "react";
import { classes } from "@/ui/classes";

/** One button of the bar over a formatted text. */
export function Tool({
  label,
  on,
  run,
  icon,
  disabled = false,
}: {
  label: string;
  on: boolean | undefined;
  run: () => void;
  icon: ReactNode;
  disabled?: boolean;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      aria-pressed={on ?? false}
      disabled={disabled}
      onMouseDown={(e) => e.preventDefault()}
      onClick={run}
      className={classes(
        "rounded p-1.5 disabled:opacity-35",
        on ? "bg-verdigris text-white" : "hover:bg-verdigris-wash",
      )}
    >
      {icon}
    </button>
  );
}
