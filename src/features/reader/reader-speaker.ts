import { WORDS } from "@/core/words/presenting";
import type { PresentSlide, Told } from "./reader-slides";

const two = (n: number) => String(n).padStart(2, "0");
const lasting = (ms: number) => {
  const s = Math.max(0, Math.floor(ms / 1_000));
  return `${Math.floor(s / 60)}:${two(s % 60)}`;
};

/** What the speaker needs beside what all others see: notes, what comes next, the time of day and how long one speaks. */
export function runSpeaker(slides: readonly PresentSlide[], channel: BroadcastChannel): void {
  const root = document.createElement("main");
  root.className = "speaker";
  const make = (name: string, className: string, text = "") => {
    const e = document.createElement(name);
    e.className = className;
    e.textContent = text;
    return e;
  };
  const now = make("h1", "s-now");
  const date = make("p", "s-date");
  const then = make("p", "s-then", WORDS.waiting);
  then.setAttribute("role", "status");
  const notes = make("div", "s-notes");
  notes.setAttribute("role", "region");
  notes.setAttribute("aria-label", WORDS.notes);
  notes.tabIndex = 0;
  notes.hidden = true;
  const clock = make("time", "s-clock");
  const elapsed = make("p", "s-elapsed");
  let begun = Date.now();
  let at = -1;
  let known: Record<string, string> | null = null;
  const say = (way: "next" | "back" | "black") => channel.postMessage({ kind: "go", way } satisfies Told);
  const button = (text: string, press: () => void) => {
    const b = document.createElement("button");
    b.type = "button";
    b.textContent = text;
    b.addEventListener("click", press);
    return b;
  };
  const tools = make("div", "s-tools");
  tools.append(
    button(`← ${WORDS.back}`, () => say("back")),
    button(`${WORDS.next} →`, () => say("next")),
    button(WORDS.black, () => say("black")),
    button(WORDS.startAgain, () => {
      begun = Date.now();
      tick();
    }),
  );
  const times = make("div", "s-times");
  times.append(clock, elapsed);
  root.append(times, date, now, then, notes, tools);
  document.body.replaceChildren(root);

  function tick(): void {
    const d = new Date();
    clock.textContent = `${WORDS.clock} ${two(d.getHours())}:${two(d.getMinutes())}`;
    elapsed.textContent = `${WORDS.elapsed} ${lasting(Date.now() - begun)}`;
  }
  function show(): void {
    const s = slides[at];
    if (!s) return;
    notes.hidden = false;
    now.textContent = s.title;
    date.textContent = `${WORDS.of(at + 1, slides.length)}${s.date ? ` · ${s.date}` : ""}`;
    const next = slides[at + 1];
    then.textContent = next
      ? `${WORDS.comesNext} ${[next.date, next.title].filter(Boolean).join(", ")}`
      : WORDS.atTheEnd;
    const note = known && s.event ? known[s.event] : "";
    notes.textContent = known === null ? WORDS.notesOnlyHere : note || WORDS.noNotes;
    notes.classList.toggle("none", !note);
  }
  channel.onmessage = ({ data }: MessageEvent<Told>) => {
    if (data.kind !== "at") return;
    if (at < 0) begun = data.begun;
    at = data.slide;
    root.classList.toggle("black", data.black);
    show();
  };
  document.addEventListener("keydown", (e) => {
    if (e.altKey || e.ctrlKey || e.metaKey) return;
    const way = { ArrowRight: "next", PageDown: "next", ArrowLeft: "back", PageUp: "back", b: "black", ".": "black" }[
      e.key
    ] as "next" | "back" | "black" | undefined;
    if (!way) return;
    e.preventDefault();
    say(way);
  });
  const address = document.body.dataset.notes;
  if (address)
    void fetch(address)
      .then((r) => (r.ok ? r.json() : null))
      .then((answer: { notes: Record<string, string> } | null) => {
        known = answer?.notes ?? null;
        show();
      });
  tick();
  setInterval(tick, 1_000);
  channel.postMessage({ kind: "hello" } satisfies Told);
}
