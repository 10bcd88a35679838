"use client";

import { Popover } from "radix-ui";
import { type ReactNode, useState } from "react";
import { classes } from "@/ui/classes";

export const BAR_BUTTON =
  "flex h-7 shrink-0 items-center gap-1 rounded-md px-2 font-bold whitespace-nowrap hover:bg-verdigris-wash max-sm:h-11";

/** A button and what opens under it. */
export function Menu({
  label,
  icon,
  lit,
  children,
  onOpen,
}: {
  label: string;
  icon?: ReactNode;
  lit?: boolean;
  children: ReactNode | ((close: () => void) => ReactNode);
  onOpen?: () => void;
}) {
  const [open, setOpen] = useState(false);
  return (
    <Popover.Root
      open={open}
      onOpenChange={(next) => {
        setOpen(next);
        if (next) onOpen?.();
      }}
    >
      <Popover.Trigger className={classes(BAR_BUTTON, lit && "bg-sun-wash")}>
        {icon} {label}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={4}
          collisionPadding={8}
          aria-label={label}
          className="z-50 max-h-[min(440px,var(--radix-popover-content-available-height))] w-[300px] overflow-y-auto rounded-md border border-edge bg-white p-3 text-[14px] text-slate"
        >
          {typeof children === "function" ? children(() => setOpen(false)) : children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
