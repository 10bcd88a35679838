"use client";

import { useMemo } from "react";
import type { Compared, Difference, PutBack } from "@/core/history/compare";
import { blocksOf, plainTextOf } from "@/core/text/description";
import { inRows } from "@/core/timeline/order";
import type { Timeline } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/editor-history";
import { Button } from "@/ui/controls/button";
import { fieldName, isOrder, isSpoken, value } from "./step-words";
import { WordsChanged } from "./words-changed";

/** What is different between two moments: event by event, words within the text; each can be put back. */
export function Differences({
  compared,
  before,
  after,
  selected,
  onSelect,
  onPutBack,
}: {
  compared: Compared;
  before: Timeline;
  after: Timeline;
  selected: string | null;
  /** Null where nothing can be gone to. */
  onSelect: ((id: string) => void) | null;
  /** Null where nothing can be put back. */
  onPutBack: ((wish: PutBack) => void) | null;
}) {
  const groups = useMemo(() => grouped(compared, before, after), [compared, before, after]);
  const own = compared.differences.filter(
    (d) =>
      d.kind === "timeline" ||
      d.kind === "introduction" ||
      d.kind === "closing" ||
      d.kind === "category" ||
      (d.kind === "item" && d.of === "timeline" && isSpoken("item", d.field)),
  );
  if (groups.length === 0 && own.length === 0) return <p className="text-quiet">{WORDS.noDifference}</p>;
  return (
    <>
      {onPutBack ? (
        <Button className="mt-2 mb-3" onClick={() => onPutBack({ what: "all" })}>
          {WORDS.putBackAll}
        </Button>
      ) : null}
      <ul className="flex flex-col divide-y divide-line text-[14px]">
        {own.length > 0 ? (
          <li className="py-2">
            <h3 className="font-sans text-[14px] font-bold">{WORDS.theTimeline}</h3>
            {own.map((d) => (
              <One key={keyOf(d)} of={d} before={before} after={after} onPutBack={null} />
            ))}
          </li>
        ) : null}
        {groups.map(({ id, state, title, list }) => (
          <li key={id} className={id === selected ? "bg-sun-wash px-1.5 py-2" : "py-2"}>
            <p className="flex flex-wrap items-baseline gap-x-2">
              {onSelect ? (
                <button
                  type="button"
                  className="min-h-6 text-start font-bold text-verdigris underline"
                  onClick={() => onSelect(id)}
                >
                  {title || WORDS.untitled}
                </button>
              ) : (
                <strong>{title || WORDS.untitled}</strong>
              )}
              <span className="text-[13px] text-quiet">
                {state === "added" ? WORDS.addedSince : state === "removed" ? WORDS.removedSince : ""}
              </span>
              {onPutBack ? (
                <Button size="small" className="ms-auto" onClick={() => onPutBack({ what: "event", id })}>
                  {state === "added" ? WORDS.takeAwayAgain : WORDS.putBackEvent}
                </Button>
              ) : null}
            </p>
            {list.map((d) => (
              <One key={keyOf(d)} of={d} before={before} after={after} onPutBack={onPutBack} />
            ))}
          </li>
        ))}
      </ul>
    </>
  );
}

interface Group {
  id: string;
  state: "added" | "removed" | "changed";
  title: string;
  list: Difference[];
}

/** By event, in the order of time. */
function grouped(compared: Compared, before: Timeline, after: Timeline): Group[] {
  const lists = new Map<string, Difference[]>();
  for (const d of compared.differences) {
    const id =
      d.kind === "event" || d.kind === "description" ? d.id : d.kind === "item" && d.of !== "timeline" ? d.of : null;
    if (id === null || (d.kind === "item" && !isSpoken("item", d.field))) continue;
    lists.set(id, [...(lists.get(id) ?? []), d]);
  }
  const states = new Map<string, Group["state"]>([
    ...compared.changed.map((id) => [id, "changed"] as const),
    ...compared.added.map((id) => [id, "added"] as const),
    ...compared.removed.map((id) => [id, "removed"] as const),
  ]);
  const all = [...states.keys()].flatMap((id) => {
    const e = states.get(id) === "removed" ? before.events.get(id) : after.events.get(id);
    return e ? [e] : [];
  });
  return inRows(all).map((e) => ({
    id: e.id,
    state: states.get(e.id)!,
    title: e.title,
    list: lists.get(e.id) ?? [],
  }));
}

function keyOf(d: Difference): string {
  return [d.kind, "id" in d ? d.id : "", "field" in d ? (d.field ?? "") : ""].join(" ");
}

const WORDY = new Set([
  "title",
  "shortTitle",
  "note",
  "place",
  "text",
  "caption",
  "credit",
  "subject",
  "byline",
  "name",
]);

function One({
  of: d,
  before,
  after,
  onPutBack,
}: {
  of: Difference;
  before: Timeline;
  after: Timeline;
  onPutBack: ((wish: PutBack) => void) | null;
}) {
  const plain = (state: Uint8Array) => plainTextOf(blocksOf(state));
  const words = (field: string, was: unknown, is: unknown) =>
    `${value(was, field, before)} → ${value(is, field, after)}`;
  let label: string;
  let shown: React.ReactNode = null;
  let wish: PutBack | null = null;
  switch (d.kind) {
    case "introduction":
    case "closing":
    case "description":
      label = d.kind === "description" ? WORDS.description : WORDS[d.kind];
      shown = <WordsChanged before={plain(d.before)} after={plain(d.after)} />;
      if (d.kind === "description") wish = { what: "field", id: d.id, field: "description" };
      break;
    case "timeline":
    case "event":
      label = fieldName(isOrder(d.kind, d.field, d.before, d.after) ? "byHand" : d.field);
      shown = isOrder(d.kind, d.field, d.before, d.after) ? null : WORDY.has(d.field) ? (
        <WordsChanged before={String(d.before)} after={String(d.after)} />
      ) : (
        words(d.field, d.before, d.after)
      );
      if (d.kind === "event") wish = { what: "field", id: d.id, field: d.field };
      break;
    default: {
      const name =
        d.kind === "category"
          ? WORDS.category((after.categories.get(d.id) ?? before.categories.get(d.id))?.name ?? "")
          : d.kind === "source"
            ? WORDS.sourceNamed((after.sources.get(d.id) ?? before.sources.get(d.id))?.title.slice(0, 60) ?? "")
            : WORDS.entry[(after.items.get(d.id) ?? before.items.get(d.id))?.list ?? "source"];
      if (d.what === "changed") {
        const order = isOrder(d.kind, d.field!, d.before, d.after);
        label = WORDS.changed(name, fieldName(order ? "byHand" : d.field));
        // The names of files, and keys of an order, say nothing to anybody.
        shown =
          order || d.field === "media" ? null : WORDY.has(d.field!) ? (
            <WordsChanged before={String(d.before)} after={String(d.after)} />
          ) : (
            words(d.field!, d.before, d.after)
          );
      } else {
        label = d.what === "added" ? WORDS.added(name) : WORDS.removed(name);
        const item = d.kind === "item" ? (after.items.get(d.id) ?? before.items.get(d.id)) : null;
        shown = item ? item.text || item.address : null;
      }
    }
  }
  return (
    <div className="mt-1">
      <p className="flex items-baseline gap-2 text-[13px] text-quiet">
        {label}
        {wish && onPutBack ? (
          <button
            type="button"
            className="ms-auto min-h-6 font-bold text-verdigris underline"
            onClick={() => onPutBack(wish!)}
          >
            {WORDS.putBackField}
          </button>
        ) : null}
      </p>
      <div>{shown}</div>
    </div>
  );
}
