import type { ButtonHTMLAttributes } from "react";
import { classes } from "../classes";

type Kind = "main" | "sun" | "plain" | "quiet" | "dark" | "danger";

const LOOK: Record<Kind, string> = {
  main: "bg-verdigris text-white hover:bg-[#095a56]",
  sun: "bg-sun text-slate hover:bg-[#e3a71f]",
  plain: "border border-edge bg-white text-slate hover:bg-verdigris-wash",
  quiet: "text-slate hover:bg-verdigris-wash",
  dark: "border border-[#8ba3a6] text-white hover:bg-white/10",
  danger: "border border-copper text-copper-dark bg-white hover:bg-copper-wash",
};

/** How a button, or a link that looks like one, is dressed. */
export function buttonLook(kind: Kind, size: "normal" | "small" = "normal"): string {
  return classes(
    "inline-flex items-center justify-center gap-1.5 rounded-md font-bold whitespace-nowrap transition-colors duration-150 disabled:opacity-50 disabled:cursor-default",
    size === "small" ? "h-7 px-2 text-[13px]" : "h-9 px-3.5 text-[15px]",
    LOOK[kind],
  );
}

export function Button({
  kind = "plain",
  size = "normal",
  className,
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { kind?: Kind; size?: "normal" | "small" }) {
  return <button type="button" {...rest} className={classes(buttonLook(kind, size), className)} />;
}
