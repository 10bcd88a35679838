"use client";

import { Trash2 } from "lucide-react";
import type { Asked, MediaSort, Requirement, RequirementKind } from "@/core/check/requirements";
import { MEDIA_SORTS, requirementKey } from "@/core/check/requirements";
import { REQUIREMENT_NAMES, requirementText, SORT_NAMES } from "@/core/words/class-work";
import { WORDS } from "@/core/words/setting";
import { SHORT_INPUT } from "@/ui/controls/field";

/** What a requirement says when it is added. */
const FRESH: Record<RequirementKind, Asked> = {
  events: { kind: "events", count: 12 },
  spans: { kind: "spans", count: 2 },
  media: { kind: "media", count: 6 },
  sources: { kind: "sources" },
  structured: { kind: "structured" },
  beyond_encyclopedias: { kind: "beyond_encyclopedias" },
  words: { kind: "words", least: 20, count: 80 },
  words_in_all: { kind: "words_in_all", count: 600 },
  credits: { kind: "credits" },
  around: { kind: "around", event: "", before: 3, after: 3 },
  given: { kind: "given" },
  categories: { kind: "categories", names: [] },
  introduction: { kind: "introduction", count: 60 },
  conclusion: { kind: "conclusion", count: 60 },
  further: { kind: "further", count: 2 },
  close_up: { kind: "close_up", count: 1 },
  places: { kind: "places", count: 5 },
  parts: { kind: "parts", count: 3 },
  voice_each: { kind: "voice_each" },
  voice_whole: { kind: "voice_whole" },
};
const KINDS = Object.keys(FRESH) as RequirementKind[];
/** These may stand several times: once for each kind of media, once for each event. */
const SEVERAL: ReadonlySet<RequirementKind> = new Set(["media", "around"]);

/** A requirement as it is being written: numbers as typed, so that a field may be empty while one types. */
export interface RequirementDraft {
  key: number;
  kind: RequirementKind;
  wished: boolean;
  numbers: Record<string, string>;
  text: string;
  of: MediaSort[];
}

export function draftOf(r: Requirement, key: number): RequirementDraft {
  const numbers: Record<string, string> = {};
  for (const [name, value] of Object.entries(r)) if (typeof value === "number") numbers[name] = String(value);
  return {
    key,
    kind: r.kind,
    wished: r.wished ?? false,
    numbers,
    text: r.kind === "categories" ? r.names.join(", ") : r.kind === "around" ? r.event : "",
    of: (r.kind === "media" && r.of) || ["picture", "video"],
  };
}

const USUAL_MEDIA = "picture+video";

/** What a draft comes to; null while it says nothing: no number, no category. */
export function requirementOf(d: RequirementDraft): Requirement | null {
  const number = (name: string, least = 1) => {
    const text = (d.numbers[name] ?? "").trim();
    return /^\d{1,5}$/.test(text) && Number(text) >= least && Number(text) <= 10_000 ? Number(text) : null;
  };
  const wished = d.wished ? { wished: true as const } : {};
  const count = number("count");
  switch (d.kind) {
    case "structured":
    case "beyond_encyclopedias":
    case "credits":
    case "given":
    case "voice_each":
    case "voice_whole":
      return { kind: d.kind, ...wished };
    case "sources":
      return { kind: d.kind, ...(count === null || count === 1 ? {} : { count }), ...wished };
    case "words": {
      const least = number("least");
      if (count === null && least === null) return null;
      return { kind: d.kind, ...(count === null ? {} : { count }), ...(least === null ? {} : { least }), ...wished };
    }
    case "words_in_all": {
      const most = number("most");
      return count === null ? null : { kind: d.kind, count, ...(most === null ? {} : { most }), ...wished };
    }
    case "around": {
      const [before, after] = [number("before", 0) ?? 0, number("after", 0) ?? 0];
      return before + after === 0 ? null : { kind: d.kind, event: d.text.trim(), before, after, ...wished };
    }
    case "categories": {
      const names = d.text
        .split(",")
        .map((n) => n.trim())
        .filter(Boolean)
        .slice(0, 20);
      return names.length === 0 ? null : { kind: d.kind, names, ...wished };
    }
    case "media": {
      if (count === null || d.of.length === 0) return null;
      const of = MEDIA_SORTS.filter((s) => d.of.includes(s));
      return { kind: d.kind, count, ...(of.join("+") === USUAL_MEDIA ? {} : { of }), ...wished };
    }
    default:
      return count === null ? null : { kind: d.kind, count, ...wished };
  }
}

/** Which numbers each kind asks for, and how their fields are called. */
function fieldsOf(kind: RequirementKind): [name: string, label: string][] {
  switch (kind) {
    case "events":
      return [["count", WORDS.eventsAtLeast]];
    case "spans":
      return [["count", WORDS.spansAtLeast]];
    case "media":
      return [["count", WORDS.mediaAtLeast]];
    case "sources":
      return [["count", WORDS.sourcesEach]];
    case "words":
      return [
        ["least", WORDS.wordsAtLeast],
        ["count", WORDS.wordsAtMost],
      ];
    case "words_in_all":
      return [
        ["count", WORDS.wordsInAll],
        ["most", WORDS.wordsInAllMost],
      ];
    case "around":
      return [
        ["before", WORDS.before],
        ["after", WORDS.after],
      ];
    case "introduction":
    case "conclusion":
      return [["count", WORDS.pageWords(REQUIREMENT_NAMES[kind])]];
    case "further":
    case "close_up":
    case "places":
    case "parts":
      return [["count", WORDS.countOf(REQUIREMENT_NAMES[kind])]];
    default:
      return [];
  }
}

/** What is required, a row each: its sentence, its numbers, and whether it is asked or wished. */
export function RequirementRows({
  rows,
  onChange,
}: {
  rows: readonly RequirementDraft[];
  onChange: (rows: RequirementDraft[]) => void;
}) {
  const alter = (key: number, part: Partial<RequirementDraft>) =>
    onChange(rows.map((r) => (r.key === key ? { ...r, ...part } : r)));
  const there = new Set(rows.map((r) => r.kind));
  return (
    <div>
      <p className="mb-2 text-[14px] text-quiet">{WORDS.requirementsHelp}</p>
      {rows.length === 0 ? <p className="mb-2">{WORDS.noRequirements}</p> : null}
      <ul className="divide-y divide-line border-y border-line">
        {rows.map((r) => (
          <RequirementRow
            key={r.key}
            draft={r}
            onChange={(part) => alter(r.key, part)}
            onRemove={() => onChange(rows.filter((x) => x.key !== r.key))}
          />
        ))}
      </ul>
      <select
        aria-label={WORDS.addRequirement}
        className={`${SHORT_INPUT} mt-2 w-auto min-w-64`}
        value=""
        onChange={(e) => {
          const kind = e.target.value as RequirementKind;
          const key = Math.max(0, ...rows.map((r) => r.key)) + 1;
          onChange([...rows, draftOf(FRESH[kind], key)]);
        }}
      >
        <option value="">{WORDS.addRequirement} …</option>
        {KINDS.filter((k) => SEVERAL.has(k) || !there.has(k)).map((k) => (
          <option key={k} value={k}>
            {REQUIREMENT_NAMES[k]}
          </option>
        ))}
      </select>
    </div>
  );
}

function RequirementRow({
  draft: d,
  onChange,
  onRemove,
}: {
  draft: RequirementDraft;
  onChange: (part: Partial<RequirementDraft>) => void;
  onRemove: () => void;
}) {
  const name = REQUIREMENT_NAMES[d.kind];
  const made = requirementOf({ ...d, wished: false });
  return (
    <li className="grid items-start gap-x-3 gap-y-1 py-2 sm:grid-cols-[minmax(0,1fr)_110px_36px]">
      <div className="min-w-0">
        <p className="text-[15px]">{made ? requirementText(made) : <b>{name}</b>}</p>
        <div className="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1">
          {d.kind === "around" ? (
            <input
              aria-label={WORDS.whichEvent}
              placeholder={WORDS.whichEvent}
              className={`${SHORT_INPUT} w-60`}
              maxLength={300}
              value={d.text}
              onChange={(e) => onChange({ text: e.target.value })}
            />
          ) : null}
          {d.kind === "categories" ? (
            <input
              aria-label={WORDS.categories}
              placeholder={WORDS.crossingTrade}
              className={`${SHORT_INPUT} w-80`}
              value={d.text}
              onChange={(e) => onChange({ text: e.target.value })}
            />
          ) : null}
          {fieldsOf(d.kind).map(([field, label]) => (
            <label key={field} className="flex items-center gap-1.5 text-[13px] text-quiet">
              {label}
              <input
                inputMode="numeric"
                className={`${SHORT_INPUT} w-16`}
                placeholder={d.kind === "sources" ? "1" : ""}
                value={d.numbers[field] ?? ""}
                onChange={(e) => onChange({ numbers: { ...d.numbers, [field]: e.target.value } })}
              />
            </label>
          ))}
          {d.kind === "media" ? (
            <fieldset className="flex flex-wrap items-center gap-x-2.5 text-[13px] text-quiet">
              <legend className="sr-only">{WORDS.mediaCounts}</legend>
              {MEDIA_SORTS.map((s) => (
                <label key={s} className="flex items-center gap-1">
                  <input
                    type="checkbox"
                    className="size-4 accent-verdigris"
                    checked={d.of.includes(s)}
                    onChange={(e) => onChange({ of: e.target.checked ? [...d.of, s] : d.of.filter((x) => x !== s) })}
                  />
                  {SORT_NAMES[s]}
                </label>
              ))}
            </fieldset>
          ) : null}
        </div>
      </div>
      <select
        aria-label={WORDS.askedOrWished(name)}
        className={`${SHORT_INPUT} `}
        value={d.wished ? "wished" : "asked"}
        onChange={(e) => onChange({ wished: e.target.value === "wished" })}
      >
        <option value="asked">{WORDS.asked}</option>
        <option value="wished">{WORDS.wished}</option>
      </select>
      <button
        type="button"
        aria-label={WORDS.takeAway(name)}
        title={WORDS.takeAwayShort}
        className="rounded-md p-2 hover:bg-verdigris-wash"
        onClick={onRemove}
      >
        <Trash2 size={16} aria-hidden />
      </button>
    </li>
  );
}

/** What the rows come to; of two that say the same the first stands. */
export function requirementsOf(rows: readonly RequirementDraft[]): Requirement[] {
  const seen = new Set<string>();
  return rows.flatMap((d) => {
    const r = requirementOf(d);
    if (!r || seen.has(requirementKey(r))) return [];
    seen.add(requirementKey(r));
    return [r];
  });
}
