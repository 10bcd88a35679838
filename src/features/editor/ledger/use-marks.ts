import { useCallback, useMemo, useRef, useState } from "react";

export interface Marks {
  /** The rows that are marked, of those that are shown. */
  marked: ReadonlySet<string>;
  /** `upTo`: all from the row that was marked before. */
  mark: (id: string, on: boolean, upTo: boolean) => void;
  all: (on: boolean) => void;
  clear: () => void;
}

/** Rows marked for what is done with several at once. What is filtered away is not marked. */
export function useMarks(rows: readonly string[]): Marks {
  const [own, setOwn] = useState<ReadonlySet<string>>(new Set());
  const last = useRef<string | null>(null);
  const shown = useRef(rows);
  shown.current = rows;
  const marked = useMemo(() => {
    if (own.size === 0) return own;
    return new Set(rows.filter((id) => own.has(id)));
  }, [own, rows]);
  const mark = useCallback((id: string, on: boolean, upTo: boolean) => {
    const all = shown.current;
    const from = upTo && last.current ? all.indexOf(last.current) : -1;
    const to = all.indexOf(id);
    const ids = from < 0 ? [id] : all.slice(Math.min(from, to), Math.max(from, to) + 1);
    last.current = id;
    setOwn((now) => {
      const next = new Set(now);
      for (const one of ids) {
        if (on) next.add(one);
        else next.delete(one);
      }
      return next;
    });
  }, []);
  const all = useCallback((on: boolean) => setOwn(new Set(on ? shown.current : [])), []);
  const clear = useCallback(() => setOwn(new Set()), []);
  return { marked, mark, all, clear };
}
