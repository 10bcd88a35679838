/**
 * The reader's page can be read without a script; this shows one view of it at a time, moves the reading line, and walks the
 * events by arrow keys. Bundled into public/reader/views.js, which the server puts into each page: its hash stands in the page's
 * policy. It stands before everything it shows, so that nothing is seen that will not stay.
 */
import { playOutside } from "./reader-outside";
import { listenToAll } from "./reader-voices";
import { takeFocus } from "./take-focus";

const VIEWS = ["begin", "chart", "read", "index", "map"];
/** What opens beside chart and read, where the window is as wide as this, px. */
const ASIDES = ["index", "map"];
const WIDE = 1_000;
/** What the address may ask to be done, and what does it: `reader-present.ts`, `reader-practice.ts`. */
const DEEDS: Record<string, string> = { present: "present", speaker: "present", practice: "practice" };
/** What is read stands in this share of the window. */
const READING = 0.45;

const { body } = document;
/** The movable chart did not come: an event is then shown in the list. */
let chartFailed = false;

/** What the address names: a view, an event opened from the chart (#e-...), or an event where it is read (#r-...). */
function named(): { view: string; open: string | null; reads: string | null } {
  const place = location.hash.slice(1);
  const id = decodeURIComponent(place.slice(2));
  // A chapter, or the closing page.
  if (/^[cs]-/.test(place)) return { view: "read", open: null, reads: null };
  if (place.startsWith("r-")) return { view: "read", open: null, reads: id };
  if (place.startsWith("e-"))
    return chartFailed ? { view: "read", open: null, reads: id } : { view: "chart", open: id, reads: null };
  if (VIEWS.includes(place)) return { view: place, open: null, reads: null };
  // In another page's frame, and where the address names a part of it, the chart comes first.
  const chartFirst = body.classList.contains("embed") || new URLSearchParams(location.search).has("view");
  return { view: chartFirst ? "chart" : "begin", open: null, reads: null };
}
window.addEventListener(
  "error",
  (e) => {
    // Where another script does not come, the chart is there all the same.
    if (!(e.target instanceof HTMLScriptElement) || !/\/reader\/(?:[a-z]+\/)?chart\.js/.test(e.target.src)) return;
    chartFailed = true;
    document.dispatchEvent(new CustomEvent("chart-failed"));
  },
  { capture: true },
);
body.dataset.view = named().view;
if (named().open) body.dataset.open = "";

document.addEventListener("DOMContentLoaded", () => {
  listenToAll();
  playOutside();
  const links = document.querySelectorAll<HTMLAnchorElement>("[data-to]");
  const events = [...document.querySelectorAll<HTMLElement>(".event")];
  const line = document.querySelector<HTMLElement>(".strip .line");
  const known = (id: string | null) => (id === null ? null : document.getElementById(`e-${id}`));

  function show(): void {
    const now = named();
    // A page without places has no map.
    if (ASIDES.includes(now.view) && !document.getElementById(now.view))
      now.view = body.classList.contains("embed") ? "chart" : "begin";
    body.dataset.view = now.view;
    const aside = besideOf(now.view);
    if (aside) body.dataset.beside = aside;
    else delete body.dataset.beside;
    for (const part of ["chart", ...ASIDES])
      if (part === now.view || part === aside) fetchFor(document.getElementById(part));
    const deed = DEEDS[location.hash.slice(1)];
    if (deed) fetchFor(document.querySelector<HTMLElement>(`[data-deed=${deed}]`));
    for (const a of links) {
      if (a.dataset.to === now.view) a.setAttribute("aria-current", "page");
      else if (a.dataset.to === aside) a.setAttribute("aria-current", "true");
      else a.removeAttribute("aria-current");
      // From one view to the other the event stays the same.
      // Its own attribute: a whole address would not keep what is asked of this page later.
      if (a.dataset.to === "read") a.setAttribute("href", now.open ? `#r-${now.open}` : "#read");
    }
    const open = known(now.open) ? now.open : null;
    if (open) body.dataset.open = open;
    else delete body.dataset.open;
    const event = known(now.reads);
    const chapter = /^#[cs]-/.test(location.hash) ? document.getElementById(location.hash.slice(1)) : null;
    if (event ?? chapter) goTo((event ?? chapter)!);
    else if (!open) window.scrollTo(0, 0);
    mark();
    document.dispatchEvent(new CustomEvent("opened"));
  }

  // Whoever is about to press has it already.
  const warm = (e: Event) => {
    if ((e.target as Element).closest?.("a[href$='#chart']")) fetchFor(document.getElementById("chart"));
  };
  document.addEventListener("pointerover", warm);
  document.addEventListener("focusin", warm);

  /** What moves the chart, draws the map, or presents, is fetched when it is first wanted. */
  function fetchFor(of: HTMLElement | null): void {
    const address = of?.dataset.script;
    if (!of || !address) return;
    for (const b of document.querySelectorAll<HTMLElement>(`[data-script="${address}"]`)) delete b.dataset.script;
    const script = document.createElement("script");
    script.src = address;
    document.body.append(script);
  }

  // Without a script there is nothing to begin, so the buttons come with it.
  for (const b of document.querySelectorAll<HTMLButtonElement>("[data-deed]")) {
    b.hidden = false;
    b.addEventListener("click", () => {
      const reading = body.dataset.view === "read" && window.scrollY > 0 ? events[current()]?.id.slice(2) : "";
      body.dataset.from = body.dataset.open || reading || "";
      location.hash = b.dataset.deed!;
    });
  }

  function goTo(event: HTMLElement): void {
    event.scrollIntoView();
    takeFocus(event);
    ledTo = event.classList.contains("event") ? { event, y: window.scrollY } : null;
  }

  /** The event somebody was led to counts as read until the page is moved: a short page cannot bring it up. */
  let ledTo: { event: HTMLElement; y: number } | null = null;

  /** The number of the event that is being read. */
  function current(): number {
    if (ledTo && Math.abs(window.scrollY - ledTo.y) < 4) return events.indexOf(ledTo.event);
    ledTo = null;
    return Math.max(
      0,
      events.findLastIndex((e) => e.getBoundingClientRect().top < window.innerHeight * READING),
    );
  }

  /** What stands beside a view, as the address says. */
  function besideOf(view: string): string | null {
    const part = new URLSearchParams(location.search).get("beside") ?? "";
    return (view === "chart" || view === "read") &&
      window.innerWidth >= WIDE &&
      ASIDES.includes(part) &&
      document.getElementById(part)
      ? part
      : null;
  }

  function mark(): void {
    const event = events[current()];
    const reads = body.dataset.view === "read" && event ? event.id.slice(2) : "";
    if (body.dataset.reads !== reads) {
      body.dataset.reads = reads;
      document.dispatchEvent(new CustomEvent("reads"));
    }
    if (!line || !event) return;
    line.style.display = body.dataset.view === "read" ? "block" : "none";
    line.style.left = `${event.dataset.at}%`;
  }

  let waiting = false;
  window.addEventListener(
    "scroll",
    () => {
      if (waiting) return;
      waiting = true;
      requestAnimationFrame(() => {
        waiting = false;
        mark();
      });
    },
    { passive: true },
  );
  window.addEventListener("hashchange", show);
  // Index and map stand beside chart and read where there is room, and go again by the same press.
  for (const a of links)
    a.addEventListener("click", (e) => {
      const part = a.dataset.to ?? "";
      const { view } = named();
      if (!ASIDES.includes(part) || e.ctrlKey || e.metaKey || e.shiftKey) return;
      if (window.innerWidth < WIDE || (view !== "chart" && view !== "read")) return;
      e.preventDefault();
      const address = new URL(location.href);
      if (besideOf(view) === part) address.searchParams.delete("beside");
      else address.searchParams.set("beside", part);
      history.replaceState(history.state, "", address);
      const scroll = window.scrollY;
      show();
      if (!body.dataset.open) window.scrollTo(0, scroll);
    });
  // Links between events lead to where one is: in the list, and beside it, to the list.
  const leads = (e: MouseEvent) => {
    const link = (e.target as Element).closest<HTMLAnchorElement>("a[href^='#e-']");
    const onChart = link?.dataset.lead === "chart" || (body.dataset.view === "chart" && link?.closest("#map"));
    if (!link || onChart || e.ctrlKey || e.metaKey || e.shiftKey) return;
    e.preventDefault();
    location.hash = `r-${link.hash.slice(3)}`;
  };
  for (const part of ["read", "index", "map"]) document.getElementById(part)?.addEventListener("click", leads);
  document.addEventListener("keydown", (e) => {
    if (e.altKey || e.ctrlKey || e.metaKey || /^(INPUT|SELECT|VIDEO|AUDIO)$/.test((e.target as Element).tagName))
      return;
    if (body.dataset.view !== "read" || (e.key !== "ArrowRight" && e.key !== "ArrowLeft")) return;
    if (document.querySelector("dialog[open]")) return;
    const next = events[current() + (e.key === "ArrowRight" ? 1 : -1)];
    if (!next) return;
    e.preventDefault();
    history.replaceState(null, "", `#r-${next.id.slice(2)}`);
    goTo(next);
    mark();
  });
  document.addEventListener("chart-failed", show);
  show();
  // In another page's frame: how high all of it is, for a frame that grows with it. A number says nothing to anybody.
  if (body.classList.contains("embed") && window.parent !== window)
    new ResizeObserver(() => window.parent.postMessage({ fastigoHeight: body.scrollHeight }, "*")).observe(body);
});
