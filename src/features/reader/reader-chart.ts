/**
 * The chart of a reader's page that can be moved: takes the place of the drawings that need no script. Bundled into
 * public/reader/chart.js.
 */
import { mediaUrl } from "./page-input";
import { WORDS } from "@/core/words/reader";
import type { PictureSize } from "@/core/chart/draw/scene";
import { uprightLength } from "@/core/chart/frame/layout";
import { whenLabel } from "@/core/time/write-when";
import type { CardContent } from "@/ui/stage/card";
import { ChartStage } from "@/ui/stage/chart-stage";
import { CHART_DATA, readChartData, WORKER_IN_PAGE } from "./chart-data-element";
import { filterBar, tagsOf } from "./reader-filter-bar";
import { matcher, onFilter, readFilter, setFilter } from "./reader-filter";
import { Opened } from "./reader-open";
import { Pictures } from "./reader-pictures";
import { mannerOf } from "@/core/timeline/read-options";

/** Which build this script is of, as its address says: its worker is of the same. */
const BUILD = /\?.*$/.exec((document.currentScript as HTMLScriptElement | null)?.src ?? "")?.[0] ?? "";

/** The chart is as high as the window leaves room for above its buttons, within these, px. */
const LEAST = 520;
const MOST = 1_200;
const BUTTONS = 92;

function heightFor(box: HTMLElement): number {
  const above = box.getBoundingClientRect().top + window.scrollY;
  return Math.min(MOST, Math.max(LEAST, window.innerHeight - above - BUTTONS));
}

/** The chart follows what is typed when nothing was typed for so long, ms. */
const RESTED_MS = 120;

/** What stands under the drawing in its box, px. */
const STRIP = 30;

/** While an event hangs open the chart is as high as the window, but no lower than this, px. */
const LEAST_OPEN = 480;

function start(pictures: Pictures): void {
  const data = document.getElementById(CHART_DATA);
  const section = document.getElementById("chart");
  const still = section?.querySelector<HTMLElement>(".chart");
  if (!data || !section || !still) return;
  let timeline = readChartData(data.textContent ?? "");
  const box = document.createElement("div");
  box.className = "chart-live";
  const mediaPath = data.dataset.media ?? "";
  const endings = JSON.parse(data.dataset.endings ?? "{}") as Record<string, string>;
  const fileOf = (media: string, size: string) => mediaUrl({ mediaPath, endings }, media, size);
  const hidden = new Set<string>(readFilter().hide);

  const pictureUrl = (item: string, size: PictureSize) => {
    const media = timeline.items.get(item)?.media;
    return media ? fileOf(media, size) : null;
  };
  const bar = document.createElement("div");
  bar.className = "zoom";
  bar.setAttribute("role", "group");
  bar.setAttribute("aria-label", WORDS.howTheChartIsSeen);
  const button = (text: string, name: string, act: () => void) => {
    const b = document.createElement("button");
    b.type = "button";
    b.textContent = text;
    b.setAttribute("aria-label", name);
    b.title = name;
    b.addEventListener("click", act);
    bar.append(b);
    return b;
  };
  const list = makeList(timeline);

  const addressed = () => new URLSearchParams(location.search).get("view");
  let open = false;
  /** What was asked for while the chart was hidden, and had no size, is done when it is shown. */
  let late = false;
  const size = () => {
    late = section.clientWidth === 0;
    if (late) return;
    if (open) {
      const above = box.getBoundingClientRect().top + window.scrollY;
      box.style.height = `${Math.max(LEAST_OPEN, window.innerHeight - above)}px`;
      return;
    }
    const upright = Math.max(280, box.clientWidth || section.clientWidth) <= 560;
    const height = upright
      ? uprightLength(timeline.events.size)
      : heightFor(section.classList.contains("live") ? box : still);
    box.style.height = `${height + STRIP}px`;
  };
  /** The still drawing stands until this one is laid out; one that needs more height gets it. */
  const drawn = (height: number) => {
    if (!section.classList.contains("live")) {
      section.classList.add("live");
      box.after(bar);
    }
    const room = box.clientHeight - STRIP;
    if (!open && height > room + 1) box.style.height = `${Math.round(height) + STRIP}px`;
  };
  still.before(box);
  size();
  const stage = new ChartStage(
    box,
    {
      pictureUrl,
      drawn,
      select: (id, opens) => {
        if (!open) stage.select(id);
        if (id && opens) location.hash = `e-${id}`;
      },
      card: (id) => cardOf(id, mediaPath, fileOf),
      list: (ids) => list.show(ids),
      seen: (text, whole) => {
        out.disabled = whole;
        all.disabled = whole;
        const address = new URL(location.href);
        if (text) address.searchParams.set("view", text);
        // A view of one's own that is the whole is told from none, so that it stays when the page is opened again.
        else if (timeline.firstView) address.searchParams.set("view", "");
        else address.searchParams.delete("view");
        if (address.href !== location.href) history.replaceState(history.state, "", address);
      },
      footInset: 0,
      closeUp: (id, open) => {
        const e = timeline.events.get(id);
        if (!e) return;
        const events = new Map(timeline.events).set(id, { ...e, closeUp: open ? "open" : "closed" });
        timeline = { ...timeline, events };
        size();
        shown();
      },
      add: null,
    },
    chartWorker,
  );
  const hint = document.createElement("p");
  hint.textContent = WORDS.pressAnEvent;
  bar.append(hint);
  const out = button("–", WORDS.zoomOut, () => stage.zoomBy(-1));
  button("+", WORDS.zoomIn, () => stage.zoomBy(1));
  const all = button(WORDS.wholeTimeline, WORDS.wholeTimeline, () => stage.whole());
  out.disabled = true;
  all.disabled = true;
  stage.lookAtText(addressed() ?? timeline.firstView);
  /** How many of its events there are left. */
  let left = timeline.events.size;
  const filtered = (): typeof timeline => {
    const f = readFilter();
    const fits = matcher({ ...f, hide: [] });
    const within = matcher(f);
    const living = [...timeline.events].filter(([, e]) => !e.chapter);
    left = within ? living.filter(([, e]) => within(e)).length : living.length;
    return fits
      ? { ...timeline, events: new Map([...timeline.events].filter(([, e]) => e.chapter || fits(e))) }
      : timeline;
  };
  const shown = () => stage.show({ timeline: filtered(), hidden: new Set(hidden), upright: null, rows: null });
  shown();
  const opened = new Opened({
    box,
    section,
    stage,
    timeline: () => timeline,
    pictures,
    pictureUrl,
    fit: (on) => {
      open = on;
      size();
    },
  });
  let width = section.clientWidth;
  new ResizeObserver(() => {
    if (section.clientWidth === 0 || (section.clientWidth === width && !late)) return;
    width = section.clientWidth;
    size();
    opened.place();
  }).observe(section);
  window.addEventListener("resize", () => {
    size();
    opened.place();
  });

  // The key is a part of the filter.
  const keys = new Map<string, HTMLButtonElement>();
  for (const item of section.querySelectorAll<HTMLElement>(".key li")) {
    const id = item.dataset.category;
    if (!id) continue;
    const b = document.createElement("button");
    b.type = "button";
    b.append(...item.childNodes);
    b.setAttribute("aria-pressed", "true");
    b.addEventListener("click", () => {
      setFilter({ hide: hidden.has(id) ? [...hidden].filter((h) => h !== id) : [...hidden, id] });
    });
    item.append(b);
    keys.set(id, b);
    b.setAttribute("aria-pressed", String(!hidden.has(id)));
  }
  let soon: ReturnType<typeof setTimeout> | undefined;
  onFilter(() => {
    const { hide } = readFilter();
    hidden.clear();
    for (const id of hide) hidden.add(id);
    for (const [id, b] of keys) b.setAttribute("aria-pressed", String(!hidden.has(id)));
    filtered();
    clearTimeout(soon);
    // Each letter is searched for at once; the chart is laid out when one rests.
    soon = setTimeout(shown, RESTED_MS);
  });
  const events = [...timeline.events.values()].filter((e) => !e.chapter);
  const fields = section.querySelector<HTMLElement>(".filter");
  if (fields) filterBar(fields, tagsOf(events), events.length, () => left);
}

/** In a folder without a server the worker's script stands in the page: from a file none may be loaded. */
function chartWorker(): Worker {
  const inPage = document.getElementById(WORKER_IN_PAGE)?.textContent;
  const address = inPage
    ? URL.createObjectURL(new Blob([inPage], { type: "text/javascript" }))
    : `/reader/chart-worker.js${BUILD}`;
  return new Worker(address, { type: "module" });
}

/** What the page says of an event in its list, in short. */
function cardOf(id: string, mediaPath: string, fileOf: (media: string, size: string) => string): CardContent | null {
  const item = document.getElementById(`e-${id}`);
  if (!item) return null;
  const text = (of: string) => item.querySelector(of)?.textContent?.trim() ?? "";
  const large =
    item.querySelector<HTMLAnchorElement>(".story figure a:has(img):not(.play)")?.getAttribute("href") ?? null;
  const media = large?.startsWith(`${mediaPath}/`) ? /^([^/]+)\/large/.exec(large.slice(mediaPath.length + 1)) : null;
  return {
    date: text(".story .date"),
    title: text(".story h2"),
    text: text(".story .text"),
    partOf: text(".when .of"),
    picture: media ? fileOf(media[1]!, "medium") : null,
  };
}

/** A list of events that stand in one place. */
function makeList(timeline: ReturnType<typeof readChartData>): { show: (ids: string[]) => void } {
  const dialog = document.createElement("dialog");
  dialog.className = "list";
  document.body.append(dialog);
  dialog.addEventListener("click", (e) => {
    if (e.target === dialog || (e.target as Element).closest("a,button")) dialog.close();
  });
  return {
    show: (ids) => {
      const heading = document.createElement("h2");
      heading.textContent = WORDS.eventsHere(ids.length);
      const items = document.createElement("ul");
      for (const id of ids.slice(0, 500)) {
        const e = timeline.events.get(id);
        if (!e) continue;
        const li = document.createElement("li");
        const a = document.createElement("a");
        a.href = `#e-${id}`;
        const date = document.createElement("strong");
        date.textContent = whenLabel(e.when, mannerOf(timeline));
        a.append(date, ` ${e.title || WORDS.untitled}`);
        li.append(a);
        items.append(li);
      }
      const close = document.createElement("button");
      close.type = "button";
      close.textContent = WORDS.close;
      dialog.replaceChildren(heading, items, close);
      dialog.setAttribute("aria-label", heading.textContent);
      dialog.showModal();
    },
  };
}

/** The chart begins when it is first shown: hidden it has no width. */
function whenShown(): void {
  const section = document.getElementById("chart");
  if (!section) return;
  const pictures = new Pictures();
  const watch = new ResizeObserver(() => {
    if (section.clientWidth === 0) return;
    watch.disconnect();
    start(pictures);
  });
  watch.observe(section);
}

whenShown();
