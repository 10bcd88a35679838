/**
 * Puts a map over the list of places of a reader's page, with a window in time that can be moved and plays. The list stays: it has all
 * that is on the map. Bundled into public/reader/map.js, with the coasts in it.
 */
import world from "world-atlas/countries-110m.json";
import { WORDS } from "@/core/words/en/places";
import { type MapMark, WorldMap } from "@/ui/map/world-map";

/** How long each event stands while it plays, ms. */
const STEP_MS = 700;

const host = document.querySelector<HTMLElement>("#map .world");
const rows = [...document.querySelectorAll<HTMLElement>("#map .places li")];
if (host && rows.length > 0) mount(host);

function mount(room: HTMLElement): void {
  const marks: MapMark[] = rows.map((r) => ({
    id: r.dataset.id ?? "",
    lat: Number(r.dataset.lat),
    lon: Number(r.dataset.lon),
    colour: r.dataset.colour ?? "",
  }));
  const last = marks.length - 1;
  let [from, to] = [0, last];
  let selected: string | null = null;
  /** What shares a mark that was pressed. */
  let here: ReadonlySet<string> | null = null;
  let playing: ReturnType<typeof setInterval> | null = null;

  room.hidden = false;
  const earth = document.createElement("div");
  earth.className = "earth";
  earth.setAttribute("role", "img");
  earth.setAttribute("aria-label", WORDS.mapOf(marks.length));
  const said = document.createElement("p");
  said.setAttribute("role", "status");
  const button = (text: string, press: () => void, label = text) => {
    const b = document.createElement("button");
    b.type = "button";
    b.textContent = text;
    b.setAttribute("aria-label", label);
    b.addEventListener("click", press);
    return b;
  };
  const map = new WorldMap(earth, {
    coarse: async () => world,
    pick: (ids) => {
      if (ids.length === 1) location.hash = `r-${ids[0]}`;
      else {
        here = new Set(ids);
        show();
      }
    },
  });
  // For tests, which press where something stands.
  Object.assign(earth, { map });
  const slider = (label: string, value: number, set: (v: number) => void) => {
    const input = document.createElement("input");
    input.type = "range";
    input.min = "0";
    input.max = String(last);
    input.value = String(value);
    input.setAttribute("aria-label", label);
    input.addEventListener("input", () => {
      stop();
      here = null;
      set(Number(input.value));
      show();
    });
    return input;
  };
  const first = slider(WORDS.from, 0, (v) => {
    from = v;
    to = Math.max(to, v);
  });
  const end = slider(WORDS.to, last, (v) => {
    to = v;
    from = Math.min(from, v);
  });
  const play = button(WORDS.play, () => {
    if (playing) return stop();
    if (to >= last) to = from = from === last ? 0 : from;
    here = null;
    play.textContent = WORDS.stop;
    playing = setInterval(() => {
      if (to >= last) stop();
      else to++;
      show();
    }, STEP_MS);
    show();
  });
  const all = button(WORDS.whole, () => {
    here = null;
    [from, to] = [0, last];
    map.fit(marks);
    show();
  });
  function stop(): void {
    if (playing) clearInterval(playing);
    playing = null;
    play.textContent = WORDS.play;
  }
  function show(): void {
    first.value = String(from);
    end.value = String(to);
    const dates = [from, to].map((i) => rows[i]?.querySelector("span")?.textContent ?? "");
    const count = to - from + 1;
    said.textContent = here
      ? WORDS.here(here.size)
      : `${WORDS.shown(count, marks.length)}: ${from === to ? dates[0] : dates.join(" – ")}`;
    rows.forEach((r, i) => {
      r.hidden = here ? !here.has(marks[i]!.id) : i < from || i > to;
    });
    map.show(marks.slice(from, to + 1), selected);
  }
  const tools = document.createElement("div");
  tools.className = "time";
  tools.append(play, first, end, all);
  const near = document.createElement("div");
  near.className = "near";
  near.append(
    button("+", () => map.zoomBy(1.6), WORDS.nearer),
    button("−", () => map.zoomBy(1 / 1.6), WORDS.away),
  );
  earth.append(near);
  room.append(earth, tools, said);
  // What one points at or stands on in the list is shown on the map.
  for (const [i, r] of rows.entries())
    for (const type of ["pointerenter", "focusin"] as const)
      r.addEventListener(type, () => {
        selected = marks[i]!.id;
        map.show(marks.slice(from, to + 1), selected);
      });
  map.fit(marks);
  show();
}
