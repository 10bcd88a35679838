"use client";

import { useDeferredValue, useEffect, useMemo, useState } from "react";
import type { ListAnswer } from "@/core/sources/asked";
import { type Work, workOf, worksOf } from "@/core/sources/cited";
import type { Run } from "@/core/sources/runs";
import { orderOf } from "@/core/timeline/order";
import { type Item, itemsByOwner } from "@/core/timeline/timeline";
import { useEditorState } from "../store/editor-context";
import { askSources } from "./ask-sources";

const REST_MS = 250;

export interface Listed {
  /** Everything that is named, in the order of the events, then what nothing names yet. */
  works: Work<Item>[];
  /** The line of a work as the list has it; null while it is not known, or where no style can be had. */
  runsOf: (work: string) => Run[] | null;
  /** The works in the order of the list. */
  order: string[];
  numberOf: (work: string) => number | null;
  /** How an event names a source: "(Bell, 1872, p. 4)"; null: by its whole line. */
  citeOf: (item: Item) => string | null;
}

/** The sources of the timeline, each once: those that are named in the order of the events, then the others. */
export function useWorks(): Work<Item>[] {
  const { items, sources } = useEditorState((s) => s.timeline);
  // Writing in an event waits for no list.
  const events = useDeferredValue(useEditorState((s) => s.timeline.events));
  return useMemo(() => {
    const by = itemsByOwner({ items });
    const named = worksOf(
      sources,
      ["timeline", ...orderOf(events).map((e) => e.id)].flatMap((of) => by(of, "source")),
    );
    const known = new Set(named.map((w) => w.id));
    const others = [...sources.values()].flatMap((source) =>
      source.deleted || known.has(source.id) ? [] : [{ id: source.id, source, references: [] }],
    );
    return [...named, ...others];
  }, [events, items, sources]);
}

/** The list of sources as it stands: written anew when writing rests. */
export function useSourceList(): Listed {
  const { sourceManner, language } = useEditorState((s) => s.timeline);
  const works = useWorks();
  const [written, setWritten] = useState<{ works: Work<Item>[]; answer: ListAnswer } | null>(null);
  useEffect(() => {
    if (works.every((w) => w.source.kind === "line") && sourceManner !== "numbered") return setWritten(null);
    const cited = works.flatMap((w) => w.references.map((r) => ({ work: w.id, page: r.page })));
    let wanted = true;
    const rest = setTimeout(() => {
      void askSources<"list">({
        list: { works: works.map(({ id, source }) => ({ id, source })), manner: sourceManner, language, cited },
      }).then(
        (answer) => wanted && setWritten({ works, answer }),
        () => wanted && setWritten(null),
      );
    }, REST_MS);
    return () => {
      wanted = false;
      clearTimeout(rest);
    };
  }, [works, sourceManner, language]);
  return useMemo(() => {
    const entries = new Map(written?.answer.entries.map((e) => [e.id, e]));
    const cited = new Map<string, string | null>();
    const references = written?.works.flatMap((w) => w.references) ?? [];
    for (const [n, r] of references.entries()) cited.set(r.id, written!.answer.cited[n] ?? null);
    return {
      works,
      runsOf: (id) => entries.get(id)?.runs ?? null,
      numberOf: (id) => entries.get(id)?.number ?? null,
      order: written?.answer.entries.map((e) => e.id) ?? works.map((w) => w.id),
      citeOf: (item) => (entries.has(workOf(item)) ? (cited.get(item.id) ?? null) : null),
    };
  }, [works, written]);
}
