import "server-only";
import { createHash } from "node:crypto";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { languageLike } from "@/core/language/asked-language";
import { type Language, speakIn } from "@/core/language/spoken";
import { readerScripts } from "@/features/reader/reader-scripts";
import type { ReaderPage } from "@/features/reader/page-input";
import { outsideOrigins } from "@/features/reader/reader-outside-figure";
import { pageSources } from "@/features/reader/page-sources";
import { renderReaderPage } from "@/features/reader/reader-page";
import { sha256 } from "@/server/http/plain-page";
import { OWN_FRAMES } from "./own-frames";
import type { StoredPage } from "@/server/publishing/versions";

/** What the door of a page says about it. */
export type PageOptions = Omit<ReaderPage, "chartScript" | "viewsScript" | "frozen" | "sources">;

const views = new Map<Language, string>();
/** The bundle of `features/reader/reader-views` in a language, read once; it is made with the build. */
function viewsScript(language: Language): string {
  const root = process.env.FASTIGO_ROOT ?? process.cwd();
  const known = views.get(language);
  if (known !== undefined) return known;
  const text = readFileSync(join(root, "public", readerScripts(language), "views.js"), "utf8").trim();
  views.set(language, text);
  return text;
}

/** The players of other sites that may stand in its frames. */
function framed(p: Parameters<typeof outsideOrigins>[0]): string[] {
  const origins = outsideOrigins(p);
  return origins.length === 0 ? [] : [`frame-src ${origins.join(" ")}`];
}

/** A reader's page ready to be stored and sent, with its ETag and the policy that allows just its own script and style. */
export async function makePage(
  p: Omit<ReaderPage, "chartScript" | "viewsScript" | "sources">,
  build: string,
): Promise<StoredPage> {
  // A page speaks the language its timeline is written in.
  const language = languageLike(p.frozen.language);
  const sources = await speakIn(language, () => pageSources(p.frozen));
  const { html, style, script } = speakIn(language, () =>
    renderReaderPage({
      ...p,
      sources,
      chartScript: `${readerScripts(language)}/chart.js?${build}`,
      viewsScript: viewsScript(language),
    }),
  );
  const policy = [
    "default-src 'none'",
    script ? `script-src 'self' ${sha256(script)}` : "script-src 'none'",
    "worker-src 'self'",
    `style-src ${sha256(style)}`,
    "img-src 'self'",
    ...framed(p),
    "media-src 'self' data:",
    // Only an editor's preview asks for anything: the notes.
    ...(p.notes ? ["connect-src 'self'"] : []),
    "font-src 'self'",
    "base-uri 'none'",
    "form-action 'none'",
    OWN_FRAMES,
  ].join("; ");
  return { html, etag: `"${createHash("sha256").update(html).digest("hex").slice(0, 32)}"`, policy };
}
