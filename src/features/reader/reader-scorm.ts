/**
 * Tells a learning platform how a reader is getting on, by the run-time interface of SCORM 1.2 (ADL, 2001, part 3): that the timeline was
 * read, and how well a practice went. Bundled into public/reader/scorm.js, which only learning packages hold. Where there is no
 * platform it does nothing.
 */

interface Api {
  LMSInitialize(nothing: ""): string;
  LMSGetValue(name: string): string;
  LMSSetValue(name: string, value: string): string;
  LMSCommit(nothing: ""): string;
  LMSFinish(nothing: ""): string;
}
/** How far up the windows an interface is looked for. */
const MOST_WINDOWS = 10;

function findApi(): Api | null {
  let at: Window = window;
  for (let n = 0; n < MOST_WINDOWS; n++) {
    try {
      const api = (at as unknown as { API?: Api }).API;
      if (api) return api;
    } catch {
      return null; // a window of another site
    }
    if (at.parent === at) break;
    at = at.parent;
  }
  try {
    return (window.opener as { API?: Api } | null)?.API ?? null;
  } catch {
    return null;
  }
}

const api = findApi();
if (api && api.LMSInitialize("") === "true") {
  const began = Date.now();
  const set = (name: string, value: string) => {
    api.LMSSetValue(name, value);
    api.LMSCommit("");
  };
  const isDone = () => /completed|passed/.test(api.LMSGetValue("cmi.core.lesson_status"));
  if (!isDone()) set("cmi.core.lesson_status", "incomplete");
  const place = api.LMSGetValue("cmi.core.lesson_location");
  if (place && !location.hash) location.hash = place;
  window.addEventListener("hashchange", () => set("cmi.core.lesson_location", location.hash.slice(0, 255)));
  const complete = () => {
    if (!isDone()) set("cmi.core.lesson_status", "completed");
  };

  // It was read when its end has been in view, or every event was opened.
  let atEnd = false;
  const left = new Set([...document.querySelectorAll(".event")].map((e) => e.id));
  const look = () => {
    const { view, open } = document.body.dataset;
    if (open) left.delete(`e-${open}`);
    if ((view === "read" && atEnd) || left.size === 0) complete();
  };
  const end = document.querySelector(".foot");
  if (end)
    new IntersectionObserver((seen) => {
      atEnd = seen.at(-1)!.isIntersecting;
      look();
    }).observe(end);
  document.addEventListener("opened", look);
  document.addEventListener("practised", (e) => {
    const score = Math.round(Math.max(0, Math.min(1, (e as CustomEvent<number>).detail)) * 100);
    api.LMSSetValue("cmi.core.score.min", "0");
    api.LMSSetValue("cmi.core.score.max", "100");
    // The best of several counts.
    const before = Number(api.LMSGetValue("cmi.core.score.raw") || 0);
    set("cmi.core.score.raw", String(Math.max(before, score)));
    complete();
  });

  let finished = false;
  window.addEventListener("pagehide", () => {
    if (finished) return;
    finished = true;
    const seconds = Math.floor((Date.now() - began) / 1000);
    const two = (n: number) => String(Math.floor(n)).padStart(2, "0");
    api.LMSSetValue(
      "cmi.core.session_time",
      `${two(seconds / 3600).padStart(4, "0")}:${two((seconds / 60) % 60)}:${two(seconds % 60)}`,
    );
    api.LMSCommit("");
    api.LMSFinish("");
  });
}
