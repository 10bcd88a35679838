/**
 * Makes the index of a reader's page searched while one types, grouped by category or tag too, and opens every event whole in its place. It
 * follows what is opened or read beside it. Bundled into public/reader/index.js, which is fetched when the index is first looked at.
 */
import { byCategory, byTag, type Group } from "@/core/timeline/groups";
import { WORDS } from "@/core/words/en/index-view";
import { filterBar, tagsOf } from "./reader-filter-bar";
import { matcher, onFilter, readFilter, textOf } from "./reader-filter";

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

  const group = (way: keyof typeof none, made: readonly Group[]) => {
    shownRows = new Map();
    const sections = made.map((g) => {
      const part = document.createElement("section");
      const heading = document.createElement("h3");
      heading.textContent = g.name || none[way];
      const list = document.createElement("ul");
      for (const id of g.ids) {
        const known = shownRows.get(id) ?? [];
        const own = byId.get(id)!.element;
        const element = known.length === 0 ? own : (own.cloneNode(true) as HTMLElement);
        shownRows.set(id, [...known, element]);
        list.append(element);
      }
      part.append(heading, list);
      return part;
    });
    groups.replaceChildren(...sections);
    filter();
    follow();
  };

  function filter(): void {
    const fits = matcher(readFilter());
    shown = 0;
    for (const r of rows) {
      const on = !fits || fits(r);
      if (on) shown++;
      // What stays as it was is not touched: ten thousand rows are many.
      for (const e of shownRows.get(r.id) ?? []) if (e.hidden === on) e.hidden = !on;
    }
    for (const part of groups.querySelectorAll<HTMLElement>(":scope > section")) {
      const empty = !part.querySelector("li:not([hidden])");
      if (part.hidden !== empty) part.hidden = empty;
    }
  }

  /** All that the page says of the event, in its place. */
  groups.addEventListener(
    "toggle",
    (e) => {
      const details = e.target as HTMLDetailsElement;
      const id = details.closest("li")?.dataset.id;
      const more = details.querySelector<HTMLElement>(".more");
      if (!details.open || !id || !more || more.dataset.whole) return;
      more.dataset.whole = "yes";
      const event = document.getElementById(`e-${id}`);
      const parts = [...(event?.querySelectorAll<HTMLElement>(":scope > .story, :scope > .beside") ?? [])].map(
        (part) => {
          const copy = part.cloneNode(true) as HTMLElement;
          for (const named of copy.querySelectorAll("[id]")) named.removeAttribute("id");
          // Its title and date stand over it already.
          copy.querySelector("h2")?.remove();
          copy.querySelector(".date")?.remove();
          return copy;
        },
      );
      const chart = document.createElement("a");
      chart.href = `#e-${id}`;
      chart.dataset.lead = "chart";
      chart.textContent = WORDS.onTheChart;
      const lead = more.querySelector<HTMLElement>(".lead");
      lead?.append(" ", chart);
      more.replaceChildren(...parts, ...(lead ? [lead] : []));
    },
    { capture: true },
  );

  /** What is opened on the chart, or read, is marked and in sight. */
  function follow(): void {
    const now = document.body.dataset.open || document.body.dataset.reads || "";
    for (const e of groups.querySelectorAll("[aria-current]")) e.removeAttribute("aria-current");
    const own = shownRows.get(now)?.[0];
    own?.querySelector("summary")?.setAttribute("aria-current", "true");
    if (!own || own.hidden || !document.body.dataset.beside) return;
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
