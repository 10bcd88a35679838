"use client";

import { WORDS } from "@/core/words/en/editor-history";
import { useCallback, useEffect, useState } from "react";
import type { Op, Value } from "@/core/change/change";
import type { Timeline } from "@/core/timeline/timeline";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { useEditor, useEditorState } from "../store/editor-context";
import { Frame } from "../sheet/event-sheet";

interface Row {
  seq: number;
  at: string;
  author: string;
  ops: Op[];
  was: ({ value?: unknown; skipped?: string } | null)[];
  /** How many steps there are in all; `ops` holds the first. */
  steps: number;
}

/** Who changed what, the newest first, with the value each change replaced. */
export function HistoryPanel({ onClose }: { onClose: () => void }) {
  const { store } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const waiting = useEditorState((s) => s.waiting);
  const [rows, setRows] = useState<Row[] | null>(null);
  const [more, setMore] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const load = useCallback(
    async (before?: number) => {
      const answer = await askServer<{ rows: Row[] }>(
        "GET",
        `/api/timelines/${store.timelineId}/history${before ? `?before=${before}` : ""}`,
      );
      if (!answer.ok) return setProblem(answer.sentence);
      setMore(answer.value.rows.length === 100);
      setRows((old) => (before && old ? [...old, ...answer.value.rows] : answer.value.rows));
    },
    [store.timelineId],
  );
  // biome-ignore lint/correctness/useExhaustiveDependencies: read again when a change has been confirmed
  useEffect(() => {
    void load();
  }, [load, waiting]);
  return (
    <Frame title={WORDS.history} onClose={onClose}>
      {problem ? <p role="alert">{problem}</p> : null}
      {rows === null && !problem ? <p>{WORDS.fetching}</p> : null}
      <ol className="flex flex-col divide-y divide-line text-[14px]">
        {(rows ?? []).map((r) => (
          <li key={r.seq} className="py-2">
            <p className="text-[13px] text-quiet">
              {new Date(r.at).toLocaleString("en-GB", {
                day: "numeric",
                month: "short",
                hour: "2-digit",
                minute: "2-digit",
              })}{" "}
              · <strong className="text-slate">{r.author}</strong>
            </p>
            <ul>
              {r.ops.map((op, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: the steps of a confirmed change never move
                <li key={`${r.seq}-${i}`}>{inWords(op, r.was[i] ?? null, timeline)}</li>
              ))}
              {r.steps > r.ops.length ? (
                <li>
                  {WORDS.andMore(r.steps - r.ops.length, r.steps - r.ops.length === 1 ? WORDS.step : WORDS.steps)}
                </li>
              ) : null}
            </ul>
          </li>
        ))}
      </ol>
      {more && rows ? (
        <Button className="mt-3" onClick={() => void load(rows.at(-1)!.seq)}>
          {WORDS.showEarlierOnes}
        </Button>
      ) : null}
    </Frame>
  );
}

const FIELD: Record<string, string> = {
  shortTitle: "short title",
  partOf: "part of",
  byHand: "order",
  dateOrder: "order of day and month",
  when: "date",
  foundOn: "day it was looked up",
  text: "words",
  firstView: "first view",
  gridlines: "lines across the chart",
  marks: "marks on the ridge",
  spot: "place of the label",
  closeUp: "close-up",
  done: "percent done",
  lengths: "how long spans last",
  today: "today's line",
  pictures: "pictures on the chart",
  typeSize: "type of labels",
  labelWords: "words under titles",
  loudness: "loudness of the label",
  focus: "what of a picture is seen",
  caption: "caption",
};

function inWords(op: Op, was: Row["was"][number], t: Timeline): string {
  const left = was?.skipped ? " (had no effect: changed by someone else first)" : "";
  switch (op.kind) {
    case "describe":
      return `wrote in the ${op.of === "introduction" ? "introduction" : `description of ${eventName(op.of, t)}`}`;
    case "set_timeline":
      return `set the timeline's ${FIELD[op.field] ?? op.field} from ${value(was?.value)} to ${value(op.value)}${left}`;
    case "set_event":
      return `set ${FIELD[op.field] ?? op.field} of ${eventName(op.id, t)} from ${value(was?.value, t)} to ${value(op.value, t)}${left}`;
    case "add_event":
      return `added ${eventName(op.id, t)}`;
    case "delete_event":
      return `deleted ${eventName(op.id, t)}`;
    case "restore_event":
      return `put ${eventName(op.id, t)} back`;
    case "set_category":
      return `set ${op.field} of a category from ${value(was?.value)} to ${value(op.value)}${left}`;
    case "set_item":
      return `set ${FIELD[op.field] ?? op.field} of a ${t.items.get(op.id)?.list ?? "source"} from ${value(was?.value)} to ${value(op.value)}${left}`;
    default: {
      const [verb, what] = op.kind.split("_");
      const name =
        what === "category"
          ? `category “${t.categories.get(op.id)?.name ?? ""}”`
          : `a ${t.items.get(op.id)?.kind ?? t.items.get(op.id)?.list ?? what}`;
      return `${verb === "add" ? "added" : verb === "delete" ? "deleted" : "put back"} ${name}`;
    }
  }
}

function eventName(id: string, t: Timeline): string {
  return `“${t.events.get(id)?.title || "Untitled"}”`;
}

function value(v: unknown, t?: Timeline): string {
  if (v === null || v === undefined || v === "") return "nothing";
  if (typeof v === "object" && "along" in v) return "a place by hand";
  if (typeof v === "object" && "kind" in v)
    return v.kind === "list"
      ? `“${(v as { text?: string }).text}”`
      : `every ${(v as { step?: number }).step} ${(v as { unit?: string }).unit}`;
  if (typeof v === "object") return `“${(v as { typed?: string }).typed || "no date"}”`;
  if (typeof v === "boolean") return v ? "yes" : "no";
  const id = String(v).replace(/^~/, "");
  const named = t?.categories.get(id)?.name ?? t?.events.get(id)?.title;
  return `“${named ?? String(v as Value)}”`;
}
