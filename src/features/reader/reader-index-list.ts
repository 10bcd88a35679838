/**
 * Makes the index of a reader's page searched while one types, grouped by category or tag too, and opens every event whole in its place. It
 * follows what is opened or read beside it. Bundled into public/reader/index.js, which is fetched when the index is first looked at.
 */
import { byCategory, byTag, type Group } from "@/core/timeline/groups";
import { WORDS } from "@/core/words/index-view";
import { chunksOf, isMany } from "./index-chunks";
import { filterBar, tagsOf } from "./reader-filter-bar";
import { matcher, onFilter, readFilter, textOf } from "./reader-filter";

/** As many rows of what is found as a window shows stand at once; the others come when nothing is typed for a while, ms, so many at a time. */
const AT_ONCE = 18;
const RESTED_MS = 250;
const SLICE = 40;
const SLICE_MS = 60;

const section = document.getElementById("index");
const groups = section?.querySelector<HTMLElement>(".groups");
if (section && groups) listIn(section, groups);

interface Row {
  id: string;
  category: string | null;
  tags: readonly string[];
  element: HTMLElement;
}

function listIn(section: HTMLElement, groups: HTMLElement): void {
  const rows: Row[] = [...groups.querySelectorAll<HTMLElement>("li")].map((element) => ({
    id: element.dataset.id ?? "",
    category: element.dataset.category ?? null,
    tags: element.dataset.tags?.split("\n") ?? [],
    element,
  }));
  const byId = new Map(rows.map((r) => [r.id, r]));
  /** Where an event stands under several tags, all of its rows. */
  let shownRows = new Map<string, HTMLElement[]>(rows.map((r) => [r.id, [r.element]]));
  let shown = rows.length;
  const times: Group[] = [...groups.querySelectorAll<HTMLElement>(":scope > section")].map((s) => ({
    name: s.querySelector("h3")?.textContent ?? "",
    ids: [...s.querySelectorAll<HTMLElement>("li")].map((l) => l.dataset.id ?? ""),
  }));
  const categories = [...document.querySelectorAll<HTMLElement>("#chart .key li[data-category]")].map((l) => ({
    id: l.dataset.category ?? "",
    name: l.textContent ?? "",
  }));
  const tags = tagsOf(rows);

  /** What is there to group by. */
  const ways = [
    ["time", () => times] as const,
    ...(categories.length > 0 ? [["category", () => byCategory(rows, categories)] as const] : []),
    ...(tags.length > 0 ? [["tag", () => byTag(rows)] as const] : []),
  ];
  const none = { time: WORDS.noDate, category: WORDS.noCategory, tag: WORDS.noTag };

  /** Where what is found stands: the whole list is only hidden meanwhile, and comes back as it was. */
  const found = document.createElement("div");
  found.className = "groups found";
  found.hidden = true;
  groups.before(found);
  let way: keyof typeof none = "time";
  let made: readonly Group[] = times;
  let filling: ReturnType<typeof setTimeout> | undefined;

  const headed = (name: string, into: HTMLElement) => {
    const part = document.createElement("section");
    const heading = document.createElement("h3");
    heading.textContent = name || none[way];
    const list = document.createElement("ul");
    part.append(heading, list);
    into.append(part);
    return list;
  };

  const group = (by: keyof typeof none, all: readonly Group[]) => {
    way = by;
    made = all;
    shownRows = new Map();
    const whole = document.createElement("div");
    for (const g of all) {
      let list = headed(g.name, whole);
      for (const [n, ids] of chunksOf(g.ids).entries()) {
        if (n > 0) {
          const next = document.createElement("ul");
          list.after(next);
          list = next;
        }
        list.classList.toggle("many", isMany(ids));
        for (const id of ids) {
          const known = shownRows.get(id) ?? [];
          const own = byId.get(id)!.element;
          const element = known.length === 0 ? own : (own.cloneNode(true) as HTMLElement);
          shownRows.set(id, [...known, element]);
          list.append(element);
        }
      }
    }
    groups.replaceChildren(...whole.childNodes);
    filter();
    follow();
  };

  /** Out of sight and reach, but laid out: to hide ten thousand rows, and to show them again, costs little then. */
  const away = (on: boolean) => {
    groups.classList.toggle("away", on);
    if (on) groups.setAttribute("aria-hidden", "true");
    else groups.removeAttribute("aria-hidden");
  };

  function filter(): void {
    clearTimeout(filling);
    const fits = matcher(readFilter());
    const fitting = fits && new Set(rows.filter(fits).map((r) => r.id));
    shown = fitting?.size ?? rows.length;
    if (!fits && found.hidden) return;
    const left: [Group, string][] = [];
    for (const g of made) for (const id of g.ids) if (!fitting || fitting.has(id)) left.push([g, id]);
    found.hidden = false;
    found.replaceChildren();
    let last: Group | null = null;
    let list: HTMLElement = found;
    const fill = (until: number) => {
      for (const [g, id] of left.splice(0, until)) {
        if (g !== last) list = headed(g.name, found);
        last = g;
        list.append(byId.get(id)!.element.cloneNode(true));
      }
    };
    fill(AT_ONCE);
    // Ten thousand rows are hidden, or shown again, when nothing was typed for a while; until then they lie below.
    filling = setTimeout(() => {
      away(fitting !== null);
      if (!fitting) {
        found.hidden = true;
        found.replaceChildren();
        return;
      }
      const more = () => {
        fill(SLICE);
        if (left.length > 0) filling = setTimeout(more, SLICE_MS);
      };
      more();
    }, RESTED_MS);
  }

  /** All that the page says of the event, in its place. */
  const fillIn = (details: HTMLDetailsElement) => {
    const id = details.closest("li")?.dataset.id;
    const more = details.querySelector<HTMLElement>(".more");
    if (!details.open || !id || !more || more.dataset.whole) return;
    more.dataset.whole = "yes";
    const event = document.getElementById(`e-${id}`);
    const parts = [...(event?.querySelectorAll<HTMLElement>(":scope > .story, :scope > .beside") ?? [])].map((part) => {
      const copy = part.cloneNode(true) as HTMLElement;
      for (const named of copy.querySelectorAll("[id]")) named.removeAttribute("id");
      // Its title and date stand over it already.
      copy.querySelector("h2")?.remove();
      copy.querySelector(".date")?.remove();
      return copy;
    });
    const chart = document.createElement("a");
    chart.href = `#e-${id}`;
    chart.dataset.lead = "chart";
    chart.textContent = WORDS.onTheChart;
    const lead = more.querySelector<HTMLElement>(".lead");
    lead?.append(" ", chart);
    more.replaceChildren(...parts, ...(lead ? [lead] : []));
  };
  section.addEventListener("toggle", (e) => fillIn(e.target as HTMLDetailsElement), { capture: true });
  // Some may have been opened before this script had come.
  for (const details of section.querySelectorAll("details")) fillIn(details);

  /** What is opened on the chart, or read, is marked and in sight. */
  function follow(): void {
    const now = document.body.dataset.open || document.body.dataset.reads || "";
    for (const e of section.querySelectorAll("[aria-current]")) e.removeAttribute("aria-current");
    const own = found.hidden
      ? shownRows.get(now)?.[0]
      : found.querySelector<HTMLElement>(`[data-id="${CSS.escape(now)}"]`);
    own?.querySelector("summary")?.setAttribute("aria-current", "true");
    if (!own || !document.body.dataset.beside) return;
    // Only the column moves, never the page.
    const [top, row] = [section.getBoundingClientRect(), own.getBoundingClientRect()];
    if (row.top < top.top || row.bottom > top.bottom) section.scrollTop += row.top - top.top - top.height / 3;
  }

  // The rows are filtered before the bar says how many are left.
  onFilter(filter);
  filter();
  const bar = document.createElement("div");
  bar.className = "filter";
  filterBar(bar, tags, rows.length, () => shown);
  if (ways.length > 1) {
    const label = document.createElement("label");
    label.textContent = `${WORDS.grouped} `;
    const select = document.createElement("select");
    for (const [way] of ways) {
      const option = document.createElement("option");
      option.value = way;
      option.textContent = WORDS.by[way];
      select.append(option);
    }
    select.addEventListener("change", () => {
      const chosen = ways.find(([way]) => way === select.value)!;
      group(chosen[0], chosen[1]());
    });
    label.append(select);
    bar.append(label);
  }
  section.querySelector("h2")?.after(bar);
  document.addEventListener("opened", follow);
  document.addEventListener("reads", follow);
  follow();

  // What is searched is read while nothing else is to be done, so that typing never waits for it.
  let at = 0;
  const read = () => {
    const until = performance.now() + 8;
    while (at < rows.length && performance.now() < until) textOf(rows[at++]!.id);
    if (at < rows.length) setTimeout(read, 30);
  };
  setTimeout(read, 200);
}
