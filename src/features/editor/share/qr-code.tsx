"use client";

import { useState } from "react";
import { WORDS } from "@/core/words/editor-share";
import { buttonLook } from "@/ui/controls/button";
import { useQrCode } from "@/ui/use-qr-code";

/** A link as a QR code, to be shown or printed. */
export function QrCode({ url }: { url: string }) {
  const [open, setOpen] = useState(false);
  const address = useQrCode(open ? url : null);
  return (
    <details className="min-w-[160px]" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="cursor-pointer text-[15px] text-verdigris underline">{WORDS.qrCode}</summary>
      {address ? (
        <div className="mt-2">
          <img src={address} alt={WORDS.qrCodeOf(url)} className="size-[180px] border border-line" />
          <a href={address} download="qr-code.svg" className={`${buttonLook("plain", "small")} mt-2`}>
            {WORDS.downloadTheCode}
          </a>
        </div>
      ) : null}
    </details>
  );
}
