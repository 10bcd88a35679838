// What a folder that works without any server holds beside its pictures: one page with everything a published one has, its type, and the
// data in open formats. As a learning package (SCORM 1.2) with the manifest that platforms look for.
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { escapeXml } from "@/core/chart/draw/to-svg";
import { writeFormat } from "@/core/formats/formats";
import { type Frozen, timelineFromFrozen } from "@/core/formats/frozen";
import { styleOf } from "@/core/looks/style";
import { writeSources } from "@/core/sources/write-sources";
import { shippedType } from "@/core/text/families";
import { FOLDER } from "@/core/words/folder";
import { languageLike } from "@/core/language/asked-language";
import { readerScripts } from "@/features/reader/reader-scripts";
import { WORKER_IN_PAGE } from "@/features/reader/chart-data-element";
import { pageSources } from "@/features/reader/page-sources";
import { renderReaderPage } from "@/features/reader/reader-page";

export interface FolderAround {
  /** Where the application lies. */
  root: string;
  /** Today, in words. */
  day: string;
  /** As a learning package. */
  scorm: boolean;
  /** The endings of the media's names, by `ID/SIZE`. */
  endings: Readonly<Record<string, string>>;
}

/** A file of a folder: its path, and what is in it. */
export type FolderEntry = [path: string, content: string | Uint8Array];

const SCRIPTS = ["chart", "index", "map", "practice", "present"];

/** The script of a reader's page in the language of its timeline. */
const scriptIn = (frozen: Frozen, name: string) =>
  ["public", readerScripts(languageLike(frozen.language)), `${name}.js`] as const;

/** The files of a folder but those of its media, which lie in `media/ID/SIZE` with the endings of their kinds. */
export async function folderEntries(frozen: Frozen, around: FolderAround): Promise<FolderEntry[]> {
  const { root, day, scorm } = around;
  const read = (...path: string[]) => new Uint8Array(readFileSync(join(root, ...path)));
  const entries: FolderEntry[] = [["index.html", await page(frozen, around)]];
  if (scorm) {
    entries.push(
      ["imsmanifest.xml", manifest(frozen, ["index.html", ...SCRIPTS.map((s) => `reader/${s}.js`), "reader/scorm.js"])],
      ["reader/scorm.js", read(...scriptIn(frozen, "scorm"))],
    );
  }
  entries.push(
    ["README.txt", FOLDER.readme(frozen.title || FOLDER.untitled, day)],
    ["data.json", await writeFormat("json", frozen, { width: 0, height: 0 })],
    ["data.csv", await writeFormat("csv", frozen, { width: 0, height: 0 })],
  );
  const sources = frozen.sources ?? [];
  if (sources.length > 0) entries.push(["sources.bib", await writeSources(sources, "bibtex")]);
  for (const script of SCRIPTS) entries.push([`reader/${script}.js`, read(...scriptIn(frozen, script))]);
  entries.push(["favicon.svg", read("public", "favicon.svg")]);
  const style = styleOf(timelineFromFrozen(frozen));
  for (const name of new Set(["hyperlegible", style.family, style.heading] as const)) {
    const { file } = shippedType(name);
    // The house has letters that lean, for Western Europe.
    const cuts = [
      "latin-wght-normal",
      "latin-ext-wght-normal",
      ...(name === "hyperlegible" ? ["latin-wght-italic"] : []),
    ];
    for (const cut of cuts) {
      const type = `${file}-${cut}.woff2`;
      entries.push([`fonts/${type}`, read("public", "fonts", type)]);
    }
    entries.push([`fonts/LICENSE-${file}.txt`, read("public", "fonts", `LICENSE-${file}.txt`)]);
  }
  return entries;
}

async function page(frozen: Frozen, { root, day, scorm, endings }: FolderAround): Promise<string> {
  const script = (name: string) => readFileSync(join(root, ...scriptIn(frozen, name)), "utf8").trim();
  const { html } = renderReaderPage({
    frozen,
    sources: await pageSources(frozen),
    variant: "page",
    mediaPath: "media",
    endings,
    note: null,
    listed: false,
    chartScript: "reader/chart.js",
    viewsScript: script("views"),
    outside: { rule: "ask", sites: [] },
    address: null,
    notes: null,
    published: day,
  });
  const end = html.indexOf("</style>");
  // What leads to a server's own files leads to those beside the page.
  const head = html
    .slice(0, end)
    .replaceAll("url(/fonts/", "url(fonts/")
    .replaceAll('href="/favicon.svg"', 'href="favicon.svg"')
    .replaceAll(/<link rel="preload"[^>]*>/g, "");
  const worker = `<script type="text/plain" id="${WORKER_IN_PAGE}">${readFileSync(
    join(root, "public", "reader", "chart-worker.js"),
    "utf8",
  )
    .trim()
    .replaceAll("</script", "<\\/script")}</script>`;
  const body = html
    .slice(end)
    .replace('<a href="/" aria-label="Fastigo">', '<a href="#begin" aria-label="Fastigo">')
    .replace(' <a href="/">Fastigo</a>.', " Fastigo.")
    .replace(/ <a href="\?as=print">[^<]*<\/a>/, "")
    .replace("</body>", () => `${worker}${scorm ? '<script src="reader/scorm.js"></script>' : ""}</body>`);
  return head + body;
}

/** The manifest of a content package with one piece (IMS Content Packaging 1.1.2, as SCORM 1.2 uses it). */
function manifest(frozen: Frozen, files: readonly string[]): string {
  const title = escapeXml(frozen.title || FOLDER.untitled);
  return `<?xml version="1.0" encoding="UTF-8"?>
<manifest identifier="fastigo-timeline" version="1.0" xmlns="http://www.imsproject.org/xsd/imscp_rootv1p1p2" xmlns:adlcp="http://www.adlnet.org/xsd/adlcp_rootv1p2" xmlns:xsi="http://www.w3.org/2001/XMLSchema-instance" xsi:schemaLocation="http://www.imsproject.org/xsd/imscp_rootv1p1p2 imscp_rootv1p1p2.xsd http://www.adlnet.org/xsd/adlcp_rootv1p2 adlcp_rootv1p2.xsd">
 <metadata><schema>ADL SCORM</schema><schemaversion>1.2</schemaversion></metadata>
 <organizations default="timeline">
  <organization identifier="timeline"><title>${title}</title>
   <item identifier="item" identifierref="page"><title>${title}</title></item>
  </organization>
 </organizations>
 <resources>
  <resource identifier="page" type="webcontent" adlcp:scormtype="sco" href="index.html">
${files.map((f) => `   <file href="${escapeXml(f)}"/>`).join("\n")}
  </resource>
 </resources>
</manifest>
`;
}
