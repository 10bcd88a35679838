import { type Held, heldBack, lookAlike } from "../looks/facts";
import { blocksOf, plainTextOf, wordCount } from "../text/description";
import { inOrder } from "../timeline/order";
import { stretchOf } from "../timeline/parts";
import { type Problem, problems } from "../timeline/problems";
import type { Timeline, TimelineEvent } from "../timeline/timeline";
import { readingEase } from "./reading-ease";

/** Something that is worth a look before work is handed in. It never stops anybody. */
export type Finding =
  | { code: "problem"; event: string; problem: Problem }
  /** Two events say the same: alike titles, at the same time. */
  | { code: "twice"; event: string; other: string }
  /** Sentences so long that they are hard to follow: words a sentence, on average. */
  | { code: "long_sentences"; event: string; words: number }
  /** Long words and sentences: how easy it is to read, 0 to 100. */
  | { code: "hard_to_read"; event: string; ease: number }
  /** Nothing stands in so much of the period: days from and to, and the share of it. */
  | { code: "empty_stretch"; event: ""; from: number; to: number; share: number }
  /** Something is shown otherwise than it was asked for, since it could not be read. */
  | { code: "contrast"; event: ""; held: Held }
  /** Two categories, by their ids, that look the same on the chart. */
  | { code: "look_alike"; event: ""; one: string; other: string };

/** By what a finding is set aside: it is another one when what it is about changes. */
export function findingKey(f: Finding): string {
  switch (f.code) {
    case "problem":
      return `${f.problem.code} ${f.event} ${"item" in f.problem ? f.problem.item : ""}`.trim();
    case "twice":
      return `twice ${[f.event, f.other].sort().join(" ")}`;
    case "long_sentences":
    case "hard_to_read":
      return `${f.code} ${f.event}`;
    case "empty_stretch":
      return `empty_stretch ${f.from} ${f.to}`;
    case "contrast":
      return `contrast ${f.held.of} ${"name" in f.held ? f.held.name : ""} ${f.held.wanted}`;
    case "look_alike":
      return `look_alike ${f.one} ${f.other}`;
  }
}

/** A sentence of more words than this, on average, is hard to follow. */
const LONG_SENTENCE = 28;
/** Of a text this short the length of its sentences says nothing. */
const LEAST_WORDS = 40;
/** So much of a period without anything in it is worth a look. */
const EMPTY_SHARE = 0.4;
/** Fewer events say nothing of a period. */
const LEAST_EVENTS = 5;
/** What is said elsewhere already: requirements count credits. */
const MOST_FINDINGS = 100;

/** Everything that is worth a look, what is wrong with dates first; in time order each. */
export function lookOver(timeline: Timeline): Finding[] {
  const events = inOrder(timeline.events.values());
  const place = new Map(events.map((e, i) => [e.id, i]));
  const wrong = problems(timeline)
    .map((problem): Finding => ({ code: "problem", event: problem.event, problem }))
    .sort((a, b) => (place.get(a.event) ?? -1) - (place.get(b.event) ?? -1));
  return [
    ...wrong,
    ...twice(events),
    ...hardToFollow(events, timeline.language),
    ...emptyStretch(timeline, events),
    ...hardToSee(timeline),
  ].slice(0, MOST_FINDINGS);
}

const plain = (title: string) =>
  title
    .normalize("NFKD")
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]+/gu, " ")
    .replaceAll(/\b(the|a|an|of|is|was|in|on|at)\b/g, " ")
    .split(" ")
    .filter(Boolean)
    .sort()
    .join(" ");

/** Events with the same words in their titles whose times overlap, or of which one has none. */
function twice(events: readonly TimelineEvent[]): Finding[] {
  const byTitle = new Map<string, TimelineEvent[]>();
  for (const e of events) {
    const key = plain(e.title);
    if (key !== "") byTitle.set(key, [...(byTitle.get(key) ?? []), e]);
  }
  return [...byTitle.values()].flatMap((alike) =>
    alike.slice(1).flatMap((e, i): Finding[] => {
      const before = alike[i]!;
      const [a, b] = [stretchOf(before.when), stretchOf(e.when)];
      const apart = a && b && (a.to < b.from || b.to < a.from);
      return apart ? [] : [{ code: "twice", event: e.id, other: before.id }];
    }),
  );
}

/** Below this a text is for those who have studied its subject, by the scale of the formula. */
const HARD = 30;

function hardToFollow(events: readonly TimelineEvent[], language: string): Finding[] {
  return events.flatMap((e): Finding[] => {
    const text = plainTextOf(blocksOf(e.description));
    const words = wordCount(text);
    if (words < LEAST_WORDS) return [];
    const sentences = text.split(/[.!?…]+(?:\s|$)/).filter((s) => s.trim() !== "").length;
    const each = Math.round(words / Math.max(1, sentences));
    if (each > LONG_SENTENCE) return [{ code: "long_sentences", event: e.id, words: each }];
    const ease = readingEase(text, language);
    return ease !== null && ease < HARD ? [{ code: "hard_to_read", event: e.id, ease }] : [];
  });
}

/** What is shown otherwise so that it can be read, and what cannot be told apart. */
const hardToSee = (t: Timeline): Finding[] => [
  ...heldBack(t).map((held): Finding => ({ code: "contrast", event: "", held })),
  ...lookAlike(t).map((pair): Finding => ({ code: "look_alike", event: "", ...pair })),
];

/** The longest stretch of the period, as it was set or as the events reach, in which there is nothing. */
function emptyStretch(t: Timeline, events: readonly TimelineEvent[]): Finding[] {
  const own = events.flatMap((e) => {
    const s = stretchOf(e.when);
    return s ? [s] : [];
  });
  if (own.length < LEAST_EVENTS) return [];
  own.sort((a, b) => a.from - b.from);
  const whole = stretchOf(t.period) ?? { from: own[0]!.from, to: Math.max(...own.map((s) => s.to)) };
  let reached = whole.from;
  let found = { from: whole.from, to: whole.from };
  for (const s of [...own, { from: whole.to, to: whole.to }]) {
    const from = Math.min(s.from, whole.to);
    if (from - reached > found.to - found.from) found = { from: reached, to: from };
    reached = Math.max(reached, s.to);
  }
  const share = (found.to - found.from) / Math.max(1, whole.to - whole.from);
  return share >= EMPTY_SHARE && Number.isFinite(share) ? [{ code: "empty_stretch", event: "", ...found, share }] : [];
}
