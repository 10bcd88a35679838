"use client";

import { useEffect, useState } from "react";

/** A text as a QR code (ISO/IEC 18004), an address of a picture; null until it is made. */
export function useQrCode(text: string | null): string | null {
  const [made, setMade] = useState<{ of: string; address: string } | null>(null);
  useEffect(() => {
    if (text === null) return;
    let wanted = true;
    void import("qrcode").then(async ({ default: QRCode }) => {
      const svg = await QRCode.toString(text, { type: "svg", errorCorrectionLevel: "M", margin: 2 });
      if (wanted) setMade({ of: text, address: `data:image/svg+xml;utf8,${encodeURIComponent(svg)}` });
    });
    return () => {
      wanted = false;
    };
  }, [text]);
  return made && made.of === text ? made.address : null;
}
