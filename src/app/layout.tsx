import { WORDS } from "@/core/words/pages";
import { directionOf, language } from "@/core/language/spoken";
import type { Metadata, Viewport } from "next";
import { headers } from "next/headers";
import Script from "next/script";
import type { ReactNode } from "react";
import { WordsHere } from "@/ui/words-here";
import "./globals.css";

export const generateMetadata = (): Metadata => ({
  title: { default: WORDS.fastigo, template: "%s - Fastigo" },
  description: WORDS.buildAChronologicalTimelineOf,
  icons: { icon: "/favicon.svg" },
});
export const viewport: Viewport = { width: "device-width", initialScale: 1, themeColor: "#16323A" };
/** Every page carries a nonce of its own, so none is made in advance. */
export const dynamic = "force-dynamic";

export default async function RootLayout({ children }: { children: ReactNode }) {
  const spoken = language();
  const script = `/words/${spoken}.js?${process.env.FASTIGO_BUILD ?? ""}`;
  const nonce = (await headers()).get("x-nonce") ?? "";
  return (
    <html lang={spoken} dir={directionOf(spoken)}>
      <body>
        {/* English comes with what says it; another language is there before anything is said. */}
        {spoken === "en" ? null : <Script id="words" nonce={nonce} strategy="beforeInteractive" src={script} />}
        <WordsHere language={spoken} script={script}>
          {children}
        </WordsHere>
      </body>
    </html>
  );
}
