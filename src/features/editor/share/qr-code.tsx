"use client";

import { useEffect, useState } from "react";
import { WORDS } from "@/core/words/en/editor-share";
import { buttonLook } from "@/ui/controls/button";

/** A link as a QR code (ISO/IEC 18004), to be shown or printed. */
export function QrCode({ url }: { url: string }) {
  const [open, setOpen] = useState(false);
  const [svg, setSvg] = useState<string | null>(null);
  useEffect(() => {
    if (!open) return;
    let wanted = true;
    void import("qrcode").then(async ({ default: QRCode }) => {
      const made = await QRCode.toString(url, { type: "svg", errorCorrectionLevel: "M", margin: 2 });
      if (wanted) setSvg(made);
    });
    return () => {
      wanted = false;
    };
  }, [open, url]);
  const address = svg && `data:image/svg+xml;utf8,${encodeURIComponent(svg)}`;
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
