import { language } from "../language/spoken";
import type { Timeline, TimelineEvent } from "../timeline/timeline";
import { gregorianFromDay } from "../time/calendar";
import { centuryText, whenLabel } from "../time/write-when";
import { extent, inDays, isDated, type Moment, startOf, type When } from "../time/when";
import { mannerOf } from "../timeline/read-options";

/** An event to be put in order: when it begins, as far as that is known, in days. */
export interface Card {
  id: string;
  title: string;
  /** As it is read. */
  date: string;
  from: number;
  to: number;
}

export interface Chosen {
  /** At most so many. */
  count: number;
  /** Events that are part of others too. */
  parts: boolean;
  /** Spans too, by their beginnings. */
  spans: boolean;
}

/** How one card stands in a finished order. */
export interface Off {
  id: string;
  /** Places too early (less than 0) or too late. */
  places: number;
  /** Between its date and the date that belongs where it stands, days. */
  days: number;
}

export interface Marked {
  /** Cards that stand where they may. */
  right: number;
  of: number;
  /** 1: all in order; 0: turned round. Each card counts by how many places it is off. */
  share: number;
  off: Off[];
}

function cardOf(e: TimelineEvent, timeline: Timeline): Card | null {
  const start = startOf(e.when);
  if (!start) return null;
  const { from, to } = firstMoment(e.when);
  const at = inDays(start);
  const date = whenLabel(e.when, mannerOf(timeline));
  return { id: e.id, title: e.title, date, from: from ?? at, to: Math.max(to ?? at, from ?? at) };
}

/** Between which days it begins; null: not known. */
function firstMoment(when: When): { from: number | null; to: number | null } {
  const r = when.readAs;
  const m: Moment | null = r.kind === "moment" ? r.at : r.kind === "span" ? r.start : null;
  if (!m) return { from: null, to: null };
  const e = extent(m);
  return { from: e.from && inDays(e.from), to: e.to && inDays(e.to) };
}

/** What can be asked of a timeline: dated events with a title, and of them so many by chance. `random` gives numbers from 0 to 1. */
export function chooseCards(timeline: Timeline, chosen: Chosen, random: () => number): Card[] {
  const can = [...timeline.events.values()].filter(
    (e) =>
      !e.deleted &&
      !e.chapter &&
      isDated(e.when) &&
      e.title.trim() !== "" &&
      (chosen.parts || e.partOf === null) &&
      (chosen.spans || e.when.readAs.kind !== "span"),
  );
  const cards = can.flatMap((e) => cardOf(e, timeline) ?? []);
  return shuffled(cards, random).slice(0, chosen.count);
}

/** The same in an order by chance (Fisher and Yates). */
export function shuffled<T>(list: readonly T[], random: () => number): T[] {
  const all = [...list];
  for (let i = all.length - 1; i > 0; i--) {
    const k = Math.floor(random() * (i + 1));
    [all[i], all[k]] = [all[k]!, all[i]!];
  }
  return all;
}

/** Years before this one are counted in no centuries. */
const FIRST_YEAR = -9_999;

/** The century a card is of, in words; null: it is of long before there were any one would count. */
export function centuryOf(card: Card): string | null {
  const { year } = gregorianFromDay(Math.floor(card.from));
  return year < FIRST_YEAR ? null : centuryText(year, { era: "BC", language: language() });
}

const surelyBefore = (a: Card, b: Card) => a.to < b.from;
const middle = (c: Card) => (c.from + c.to) / 2;

/** How an order stands to what is known. Where two may have been at one time, either order is right. */
export function markOrder(placed: readonly Card[]): Marked {
  const sorted = [...placed].sort((a, b) => middle(a) - middle(b));
  let sum = 0;
  const off: Off[] = [];
  for (const [at, c] of placed.entries()) {
    const first = placed.filter((o) => surelyBefore(o, c)).length;
    const last = placed.length - 1 - placed.filter((o) => surelyBefore(c, o)).length;
    const places = at < first ? at - first : at > last ? at - last : 0;
    sum += Math.abs(places);
    if (places !== 0) off.push({ id: c.id, places, days: Math.abs(middle(c) - middle(sorted[at]!)) });
  }
  const worst = Math.floor(placed.length ** 2 / 2);
  return { right: placed.length - off.length, of: placed.length, share: worst === 0 ? 1 : 1 - sum / worst, off };
}

/** Whether a card may stand between those already placed, and if not, how far it is off, days: less than 0 too early. */
export function checkPlace(placed: readonly Card[], at: number, card: Card): number {
  let off = 0;
  for (const [i, c] of placed.entries()) {
    if (i < at && surelyBefore(card, c)) off = Math.max(off, c.from - card.to);
    if (i >= at && surelyBefore(c, card)) off = off > 0 ? off : Math.min(off, c.to - card.from);
  }
  return off;
}

/** Where a card belongs among those that stand in order. */
export function placeFor(placed: readonly Card[], card: Card): number {
  const next = placed.findIndex((c) => middle(c) > middle(card));
  return next < 0 ? placed.length : next;
}
