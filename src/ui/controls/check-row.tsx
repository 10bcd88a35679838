import { useId } from "react";
import { classes } from "@/ui/classes";

/** A box to tick, with its words beside it. `small`: several in one line. */
export function CheckRow({
  label,
  checked,
  onChange,
  small = false,
}: {
  label: string;
  checked: boolean;
  onChange: (checked: boolean) => void;
  small?: boolean;
}) {
  const id = useId();
  return (
    <div className={classes("flex min-h-6 items-center", small ? "gap-1.5 text-[14px]" : "gap-2")}>
      <input
        id={id}
        type="checkbox"
        className="size-4 accent-verdigris"
        checked={checked}
        onChange={(e) => onChange(e.target.checked)}
      />
      <label htmlFor={id}>{label}</label>
    </div>
  );
}
