"use client";

import { X } from "lucide-react";
import type { SourceField, Value } from "@/core/change/change";
import { FIELDS_OF } from "@/core/sources/cited";
import { isDated } from "@/core/time/when";
import { SOURCE_KINDS, type SourceKind } from "@/core/timeline/fields";
import type { Source } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/sources";
import { Field, INPUT } from "@/ui/controls/field";
import { useEditor } from "../store/editor-context";
import { TextField } from "../sheet/text-field";
import { WhenField } from "../sheet/when-field";

type Apart = Exclude<SourceKind, "line">;

/** The fields of a source: those its kind asks for, and every other one that holds something. */
export function SourceFields({ source }: { source: Source }) {
  const { store } = useEditor();
  const set = (field: SourceField, value: Value, group = true) =>
    store.edit([{ kind: "set_source", id: source.id, field, value }], group ? `source:${source.id}:${field}` : null);
  const kind: Apart = source.kind === "line" ? "other" : source.kind;
  const fields = [
    ...FIELDS_OF[kind],
    ...FIELDS_OF.other.filter((f) => !FIELDS_OF[kind].includes(f) && holds(source, f)),
  ];
  const label = (f: SourceField) =>
    f === "within" ? WORDS.withinOf[kind] : f === "authors" ? WORDS.authorsOf[kind] : WORDS.fields[f as "title"];
  const short = new Set<SourceField>(["volume", "issue", "pages"]);
  return (
    <div className="flex flex-col gap-2.5">
      <Field label={WORDS.fields.kind}>
        {(ids) => (
          <select
            id={ids.id}
            className={INPUT}
            value={source.kind}
            onChange={(e) => set("kind", e.target.value, false)}
          >
            {SOURCE_KINDS.map((k) => (
              <option key={k} value={k}>
                {WORDS.kinds[k]}
              </option>
            ))}
          </select>
        )}
      </Field>
      <TextField
        key="title"
        label={WORDS.fields.title}
        strong
        value={source.title}
        onChange={(value) => set("title", value)}
      />
      <div className="grid grid-cols-6 gap-2.5">
        {fields.map((f) => (
          <div
            key={f}
            className={short.has(f) ? "col-span-2" : f === "place" || f === "publisher" ? "col-span-3" : "col-span-6"}
          >
            {f === "authors" ? (
              <Authors label={label(f)} value={source.authors} onChange={(value) => set(f, value)} />
            ) : f === "date" ? (
              <WhenField label={label(f)} value={source.date} onChange={(value) => set(f, value)} />
            ) : f === "lookedUp" ? (
              <Field label={label(f)}>
                {(ids) => (
                  <input
                    id={ids.id}
                    type="date"
                    className={INPUT}
                    value={source.lookedUp}
                    onChange={(e) => /^(\d{4}-\d{2}-\d{2})?$/.test(e.target.value) && set(f, e.target.value)}
                  />
                )}
              </Field>
            ) : (
              <TextField
                label={label(f)}
                value={source[f as "within"]}
                {...(f === "address" ? { placeholder: WORDS.https } : {})}
                onChange={(value) => set(f, value)}
              />
            )}
          </div>
        ))}
      </div>
      {Object.keys(source.rest).length > 0 ? (
        <div className="text-[13px] text-quiet">
          <p>{WORDS.alsoKept}</p>
          <ul className="flex flex-wrap gap-x-3 gap-y-1">
            {Object.entries(source.rest).map(([name, text]) => (
              <li key={name} className="flex items-center gap-1">
                <span className="break-all">
                  {name}: {text.slice(0, 120)}
                </span>
                <button
                  type="button"
                  aria-label={`${WORDS.removeSource}: ${name}`}
                  title={WORDS.undoPutsBack}
                  className="flex size-6 items-center justify-center rounded-md hover:bg-verdigris-wash"
                  onClick={() => {
                    const { [name]: _, ...rest } = source.rest;
                    set("rest", rest, false);
                  }}
                >
                  <X size={12} />
                </button>
              </li>
            ))}
          </ul>
        </div>
      ) : null}
    </div>
  );
}

function holds(source: Source, field: SourceField): boolean {
  const value = source[field];
  if (Array.isArray(value)) return value.length > 0;
  return field === "date" ? source.date.typed !== "" || isDated(source.date) : value !== "";
}

/** Names, one a line; a name of two or three words without a comma is offered with its family name first. */
function Authors({
  label,
  value,
  onChange,
}: {
  label: string;
  value: readonly string[];
  onChange: (names: string[]) => string | null;
}) {
  const turned = value.flatMap((name, at) => {
    const words = name.trim().split(/\s+/);
    const isName =
      !name.includes(",") && words.length > 1 && words.length < 4 && words.every((w) => /^\p{Lu}/u.test(w));
    return isName ? [{ at, name: `${words.at(-1)}, ${words.slice(0, -1).join(" ")}` }] : [];
  });
  const split = (text: string) => text.split("\n").flatMap((l) => (l.trim() ? [l.trim()] : []));
  return (
    <div>
      <TextField
        label={label}
        value={value.join("\n")}
        multiline
        hint={WORDS.oneNameALine}
        onChange={(text) => onChange(split(text))}
      />
      {turned.length > 0 ? (
        <div className="mt-1 flex flex-wrap gap-1.5">
          {turned.map((t) => (
            <button
              key={t.at}
              type="button"
              className="min-h-6 rounded-md bg-verdigris-wash px-2 text-[13px] font-bold text-verdigris"
              onClick={() => onChange(value.map((v, i) => (i === t.at ? t.name : v)))}
            >
              {WORDS.writeAs(t.name)}
            </button>
          ))}
        </div>
      ) : null}
    </div>
  );
}
