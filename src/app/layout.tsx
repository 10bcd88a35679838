import { WORDS } from "@/core/words/en/pages";
import type { Metadata, Viewport } from "next";
import type { ReactNode } from "react";
import "./globals.css";

export const metadata: Metadata = {
  title: { default: WORDS.fastigo, template: "%s - Fastigo" },
  description: WORDS.buildAChronologicalTimelineOf,
  icons: { icon: "/favicon.svg" },
};
export const viewport: Viewport = { width: "device-width", initialScale: 1, themeColor: "#16323A" };
/** Every page carries a nonce of its own, so none is made in advance. */
export const dynamic = "force-dynamic";

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en">
      <body>{children}</body>
    </html>
  );
}
