/**
 * The reader's page can be read without a script; this shows one view of it at a time, moves the reading line, and walks the
 * events by arrow keys. Bundled into public/reader/views.js, which the server puts into each page: its hash stands in the page's
 * policy.
 */
const VIEWS = ["chart", "read"];
/** As wide as a phone held upright, px: the chart is a second look there. */
const NARROW = 560;
/** What is read stands in this share of the window. */
const READING = 0.45;

const links = document.querySelectorAll<HTMLAnchorElement>("[data-to]");
const events = [...document.querySelectorAll<HTMLElement>(".event")];
const line = document.querySelector<HTMLElement>(".strip .line");

function view(): string {
  const place = location.hash.slice(1);
  if (VIEWS.includes(place)) return place;
  if (place.startsWith("e-")) return "read";
  return window.innerWidth <= NARROW ? "read" : "chart";
}

function show(): void {
  const now = view();
  document.body.dataset.view = now;
  for (const a of links)
    if (a.dataset.to === now) a.setAttribute("aria-current", "page");
    else a.removeAttribute("aria-current");
  const event = location.hash.startsWith("#e-") ? document.getElementById(location.hash.slice(1)) : null;
  if (event) goTo(event);
  else if (!location.hash.startsWith("#e-")) window.scrollTo(0, 0);
  mark();
}

function goTo(event: HTMLElement): void {
  event.scrollIntoView();
  event.focus({ preventScroll: true });
}

/** The number of the event that is being read. */
function current(): number {
  return Math.max(
    0,
    events.findLastIndex((e) => e.getBoundingClientRect().top < window.innerHeight * READING),
  );
}

function mark(): void {
  const event = events[current()];
  if (!line || !event) return;
  line.style.display = document.body.dataset.view === "read" ? "block" : "none";
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
document.addEventListener("keydown", (e) => {
  if (e.altKey || e.ctrlKey || e.metaKey || /^(INPUT|VIDEO|AUDIO)$/.test((e.target as Element).tagName)) return;
  if (document.body.dataset.view !== "read" || (e.key !== "ArrowRight" && e.key !== "ArrowLeft")) return;
  const next = events[current() + (e.key === "ArrowRight" ? 1 : -1)];
  if (!next) return;
  e.preventDefault();
  history.replaceState(null, "", `#${next.id}`);
  goTo(next);
  mark();
});
show();
