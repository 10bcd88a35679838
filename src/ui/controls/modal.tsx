"use client";

import { WORDS } from "@/core/words/controls";
import { X } from "lucide-react";
import { Dialog } from "radix-ui";
import { type ReactNode, useRef } from "react";

/** A dialog for something that is done and closed again. */
export function Modal({
  title,
  open,
  onOpenChange,
  children,
  wide,
}: {
  title: string;
  open: boolean;
  onOpenChange: (open: boolean) => void;
  children: ReactNode;
  wide?: boolean;
}) {
  // Where the keyboard was, and is again afterwards: these dialogs have no button of their own that Radix would know.
  const before = useRef<Element | null>(null);
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-slate/50" />
        <Dialog.Content
          aria-describedby={undefined}
          onOpenAutoFocus={() => {
            before.current = document.activeElement;
          }}
          onCloseAutoFocus={(e) => {
            e.preventDefault();
            if (before.current instanceof HTMLElement) before.current.focus();
          }}
          className={`fixed left-1/2 top-[8vh] z-50 max-h-[84vh] w-[calc(100vw-24px)] ${wide ? "max-w-[720px]" : "max-w-[480px]"} -translate-x-1/2 scroll-pt-16 overflow-y-auto rounded-lg border border-line bg-white`}
        >
          {/* However far down one is, it says what it is and closes. */}
          <div className="sticky top-0 z-10 flex items-center justify-between border-b border-line bg-white px-5 py-3">
            <Dialog.Title className="text-[19px]">{title}</Dialog.Title>
            <Dialog.Close aria-label={WORDS.close} className="rounded-md p-1.5 hover:bg-verdigris-wash">
              <X size={18} />
            </Dialog.Close>
          </div>
          <div className="px-5 py-4">{children}</div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
