import { directionOf, language } from "@/core/language/spoken";
import { escapeXml } from "@/core/chart/draw/to-svg";
import { pageStyle } from "@/core/looks/page-style";
import { HOUSE_STYLE } from "@/core/looks/style";
import { WORDS } from "@/core/words/practice";
import { type Task, TASK } from "./practice-task";

const STYLE = `html{color:var(--ink);background:var(--paper);font:16px/1.5 var(--type),sans-serif}body{margin:0}h1,h2{font-family:var(--head),sans-serif;line-height:1.15;margin:0}:focus-visible{outline:3px solid var(--sun);outline-offset:2px}main{padding:24px}a{color:var(--accent)}`;

/** The page a practice of a class is done on; all of it is the script's. */
export function practicePage({ script, ...task }: Task & { script: string }): { html: string; style: string } {
  const style = pageStyle(HOUSE_STYLE) + STYLE;
  const data = JSON.stringify(task).replaceAll("<", "\\u003c");
  const html = `<!doctype html>
<html lang="${language()}" dir="${directionOf(language())}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><title>${escapeXml(WORDS.title(task.title))} - Fastigo</title><meta name="robots" content="noindex"><link rel="icon" href="/favicon.svg"><style>${style}</style></head>
<body><main><h1>${escapeXml(WORDS.title(task.title))}</h1><p><a href="${escapeXml(task.back)}">${WORDS.backToClass}</a></p><noscript><p>${WORDS.needsScript}</p></noscript></main>
<script type="application/json" id="${TASK}">${data}</script><script src="${escapeXml(script)}" defer></script></body></html>`;
  return { html, style };
}
