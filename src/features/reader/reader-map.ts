/**
 * Puts a map over the list of places of a reader's page, with a window in time that can be moved and plays. The list stays: it has all
 * that is on the map. Bundled into public/reader/map.js, with the coasts in it.
 */
import world from "world-atlas/countries-110m.json";
import { WORDS } from "@/core/words/places";
import type { Focus, Point } from "@/core/timeline/fields";
import type { MapCanvas, MapMark } from "@/ui/map/map-canvas";
import { PictureMap } from "@/ui/map/picture-map";
import { WorldMap } from "@/ui/map/world-map";
import { matcher, onFilter, readFilter } from "./reader-filter";
import { windowOnTheRidge } from "./reader-window";

/** How long each event stands while it plays, ms. */
const STEP_MS = 700;

const host = document.querySelector<HTMLElement>("#map .world");
const rows = [...document.querySelectorAll<HTMLElement>("#map .places li")];
if (host) mount(host);

interface Row {
  id: string;
  colour: string;
  element: HTMLElement;
  category: string | null;
  tags: readonly string[];
  point: Point | null;
  spot: Focus | null;
}

/** A map of its kind in a room of its own, shown one at a time. */
interface Kind {
  name: string;
  has: (row: Row) => boolean;
  label: (n: number) => string;
  /** Shows these rows; `fit` brings all of them into view. */
  show: (shown: readonly Row[], selected: string | null) => void;
  fit: (all: readonly Row[]) => void;
  zoomBy: (factor: number) => void;
  room: HTMLElement;
}

function mount(room: HTMLElement): void {
  const listed = new Map(
    [...document.querySelectorAll<HTMLElement>("#index .groups li")].map((l) => [l.dataset.id ?? "", l.dataset]),
  );
  const all: Row[] = rows.map((element) => {
    const { id = "", colour = "", lat, lon, x, y } = element.dataset;
    return {
      id,
      colour,
      element,
      category: listed.get(id)?.category ?? null,
      tags: listed.get(id)?.tags?.split("\n") ?? [],
      point: lat === undefined ? null : { lat: Number(lat), lon: Number(lon) },
      spot: x === undefined ? null : { x: Number(x), y: Number(y) },
    };
  });
  const kinds: Kind[] = [];
  const url = room.dataset.map;
  if (url) {
    const proportion = Number(room.dataset.proportion);
    kinds.push(
      kindOf(
        WORDS.ownMap,
        WORDS.ownMapOf,
        (r) => r.spot,
        (earth, pick) => new PictureMap(earth, { url, proportion }, { pick }),
        proportion,
      ),
    );
  }
  if (all.some((r) => r.point))
    kinds.push(
      kindOf(
        WORDS.world,
        WORDS.mapOf,
        (r) => r.point,
        (earth, pick) => new WorldMap(earth, { coarse: async () => world }, { pick }),
      ),
    );
  if (kinds.length === 0) return;
  let kind = kinds[0]!;
  /** The rows on the map that is seen, and which of them are within the window. */
  let on: Row[] = [];
  let [from, to] = [0, 0];
  let selected: string | null = null;
  /** What shares a mark that was pressed. */
  let here: ReadonlySet<string> | null = null;
  let playing: ReturnType<typeof setInterval> | null = null;

  function kindOf<P>(
    name: string,
    label: (n: number) => string,
    at: (row: Row) => P | null,
    make: (earth: HTMLElement, pick: (ids: string[]) => void) => MapCanvas<P>,
    proportion: number | null = null,
  ): Kind {
    const earth = document.createElement("div");
    earth.className = proportion === null ? "earth" : "earth own";
    // A map of one's own has its own shape.
    if (proportion !== null) {
      earth.style.aspectRatio = String(proportion);
      earth.style.width = `min(100%, calc(70vh * ${proportion}))`;
    }
    earth.setAttribute("role", "img");
    const map = make(earth, (ids) => {
      // Beside the chart it is opened there.
      if (ids.length === 1) location.hash = `${document.body.dataset.view === "chart" ? "e" : "r"}-${ids[0]}`;
      else {
        here = new Set(ids);
        show();
      }
    });
    // For tests, which press where something stands.
    Object.assign(earth, { map });
    const marks = (list: readonly Row[]) =>
      list.flatMap((r): MapMark<P>[] => {
        const place = at(r);
        return place ? [{ id: r.id, colour: r.colour, at: place }] : [];
      });
    return {
      name,
      label,
      room: earth,
      has: (r) => at(r) !== null,
      zoomBy: (factor) => map.zoomBy(factor),
      fit: (list) => map.fit(marks(list).map((m) => m.at)),
      show: (list, chosen) => {
        map.show(marks(list), chosen);
        const place = marks(list).find((m) => m.id === chosen)?.at;
        if (place) map.bring(place);
      },
    };
  }

  room.hidden = false;
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
  const slider = (label: string, set: (v: number) => void) => {
    const input = document.createElement("input");
    input.type = "range";
    input.min = "0";
    input.setAttribute("aria-label", label);
    input.addEventListener("input", () => {
      stop();
      here = null;
      set(Number(input.value));
      show();
    });
    return input;
  };
  const first = slider(WORDS.from, (v) => {
    from = v;
    to = Math.max(to, v);
  });
  const end = slider(WORDS.to, (v) => {
    to = v;
    from = Math.min(from, v);
  });
  const play = button(WORDS.play, () => {
    if (playing) return stop();
    if (to >= on.length - 1) to = from = from === on.length - 1 ? 0 : from;
    here = null;
    play.textContent = WORDS.stop;
    playing = setInterval(() => {
      if (to >= on.length - 1) stop();
      else to++;
      show();
    }, STEP_MS);
    show();
  });
  const whole = button(WORDS.whole, () => {
    here = null;
    [from, to] = [0, Math.max(0, on.length - 1)];
    kind.fit(on);
    show();
  });
  const ridge = windowOnTheRidge({
    places: () => on.map((r) => document.getElementById(`e-${r.id}`)?.dataset.at ?? "0").map(Number),
    range: () => [from, to],
    set: (a, b) => {
      stop();
      here = null;
      [from, to] = [a, b];
      show();
    },
  });
  function stop(): void {
    if (playing) clearInterval(playing);
    playing = null;
    play.textContent = WORDS.play;
  }
  function show(): void {
    const shown = on.slice(from, to + 1);
    for (const input of [first, end]) input.max = String(Math.max(0, on.length - 1));
    first.value = String(from);
    end.value = String(to);
    const dates = [from, to].map((i) => on[i]?.element.querySelector("span")?.textContent ?? "");
    said.textContent = here
      ? WORDS.here(here.size)
      : on.length === 0
        ? WORDS.shown(0, 0)
        : `${WORDS.shown(shown.length, on.length)}: ${from === to ? dates[0] : dates.join(" – ")}`;
    const listed = new Set(shown);
    for (const r of all) r.element.hidden = here ? !here.has(r.id) : !listed.has(r);
    kind.room.setAttribute("aria-label", kind.label(shown.length));
    kind.show(shown, selected);
    ridge?.draw();
  }
  function choose(which: Kind): void {
    kind = which;
    stop();
    here = null;
    const fits = matcher(readFilter());
    on = all.filter((r) => kind.has(r) && (!fits || fits(r)));
    [from, to] = [0, Math.max(0, on.length - 1)];
    for (const k of kinds) k.room.hidden = k !== kind;
    for (const [i, b] of ways.entries()) b.setAttribute("aria-pressed", String(kinds[i] === kind));
    kind.fit(on);
    show();
  }
  const ways = kinds.map((k) => button(k.name, () => choose(k)));
  const tools = document.createElement("div");
  tools.className = "time";
  tools.append(play, first, end, whole);
  const near = document.createElement("div");
  near.className = "near";
  near.append(
    button("+", () => kind.zoomBy(1.6), WORDS.nearer),
    button("−", () => kind.zoomBy(1 / 1.6), WORDS.away),
  );
  if (kinds.length > 1) {
    const which = document.createElement("div");
    which.className = "which";
    which.setAttribute("role", "group");
    which.setAttribute("aria-label", WORDS.whichMap);
    which.append(...ways);
    room.append(which);
  }
  const frame = document.createElement("div");
  frame.className = "frame";
  // Beside the map, which is one picture, not in it.
  frame.append(...kinds.map((k) => k.room), near);
  room.append(frame, ...(ridge ? [ridge.element] : []), tools, said);
  // What one points at or stands on in the list is shown on the map.
  for (const r of all)
    for (const type of ["pointerenter", "focusin"] as const)
      r.element.addEventListener(type, () => {
        selected = r.id;
        kind.show(on.slice(from, to + 1), selected);
      });
  // It follows chart and list: what is opened or read there is marked, and what the filter leaves is what there is.
  const follow = () => {
    const { open, reads } = document.body.dataset;
    selected = open || reads || null;
    kind.show(on.slice(from, to + 1), selected);
  };
  document.addEventListener("opened", follow);
  document.addEventListener("reads", follow);
  onFilter(() => choose(kind));
  choose(kind);
  follow();
}
