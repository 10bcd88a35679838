import { type ReactNode, useId } from "react";
import { classes } from "../classes";

export const INPUT =
  "w-full rounded-md border border-edge bg-white px-2.5 h-9 text-[15px] text-slate placeholder:text-[#5d7479]";

/** The same where it stands among words, and is as wide as it is told. */
export const SHORT_INPUT =
  "rounded-md border border-edge bg-white px-2 h-8 text-[14px] text-slate placeholder:text-[#5d7479]";

/** A label, a control, and beneath it a hint and what is wrong with it. */
export function Field({
  label,
  note,
  hint,
  problem,
  children,
  className,
}: {
  label: string;
  note?: ReactNode;
  hint?: ReactNode;
  problem?: string | null | undefined;
  children: (ids: { id: string; describedBy: string }) => ReactNode;
  className?: string;
}) {
  const id = useId();
  return (
    <div className={classes("min-w-0", className)}>
      <div className="mb-1 flex items-baseline justify-between gap-2">
        <label htmlFor={id} className="text-[13px] text-quiet">
          {label}
        </label>
        {note ? <span className="text-[13px] text-quiet">{note}</span> : null}
      </div>
      {children({ id, describedBy: `${id}-help` })}
      <div id={`${id}-help`} aria-live="polite">
        {hint ? <div className="mt-1 text-[13px] text-quiet">{hint}</div> : null}
        {problem ? <div className="mt-1 text-[13px] font-bold text-copper-dark">{problem}</div> : null}
      </div>
    </div>
  );
}
