"use client";

import { locale } from "@/core/language/spoken";
import { ListTree, Plus, Quote, Split, Trash2 } from "lucide-react";
import { nanoid } from "nanoid";
import { useState } from "react";
import type { ItemField, Op } from "@/core/change/change";
import { sourceText } from "@/core/sources/cited";
import { takeApart } from "@/core/sources/take-apart";
import { type Item, itemsOf } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/sources";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { useEditor, useEditorState } from "../store/editor-context";
import { placeForNewItem } from "../store/event-deeds";
import { TextField } from "../sheet/text-field";
import { SourceFields } from "./source-fields";
import { SourceLine } from "./source-line";
import { type Listed, useSourceList, useWorks } from "./use-source-list";

/** The sources of an event: lines, or sources of the timeline with the page and the words that are meant. */
export function SourcesField({ of, onList }: { of: string; onList: () => void }) {
  const { store } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const list = useSourceList();
  const items = itemsOf(timeline, of, "source");
  const add = (fields: { source?: string }) =>
    store.edit([
      {
        kind: "add_item",
        id: nanoid(10),
        fields: { of, list: "source", place: placeForNewItem(timeline, of, "source"), ...fields },
      },
    ]);
  const others = list.works.filter(
    (w) => timeline.sources.has(w.id) && sourceText(w.source) && !items.some((i) => i.source === w.id),
  );
  return (
    <section aria-label={WORDS.sources}>
      <div className="flex flex-col gap-2.5">
        {items.map((item, i) => (
          <Reference key={item.id} item={item} number={i + 1} name={items.length > 1 ? ` ${i + 1}` : ""} list={list} />
        ))}
      </div>
      <div className="mt-1 flex flex-wrap items-center gap-1">
        <Button size="small" kind="quiet" onClick={() => add({})}>
          <Plus size={15} /> {items.length === 0 ? WORDS.addASource : WORDS.addAnotherSource}
        </Button>
        <Button size="small" kind="quiet" onClick={onList}>
          <ListTree size={15} /> {WORDS.allSources(list.works.length)}
        </Button>
        {others.length > 0 ? (
          <select
            aria-label={WORDS.useOne}
            className={`${INPUT} h-7 w-auto max-w-full min-w-0 flex-1 basis-40 text-[13px]`}
            value=""
            onChange={(e) => e.target.value && add({ source: e.target.value })}
          >
            <option value="">{WORDS.useOne}</option>
            {others
              .map((w) => ({ id: w.id, text: sourceText(w.source) }))
              .sort((a, b) => a.text.localeCompare(b.text, locale()))
              .map((w) => (
                <option key={w.id} value={w.id}>
                  {w.text.slice(0, 120)}
                </option>
              ))}
          </select>
        ) : null}
      </div>
    </section>
  );
}

/** One entry: its source as the list has it, or its line; where in it; its words. */
function Reference({ item, number, name, list }: { item: Item; number: number; name: string; list: Listed }) {
  const { store } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const [open, setOpen] = useState(false);
  const [quoting, setQuoting] = useState(item.quote !== "");
  const record = item.source === null ? null : (timeline.sources.get(item.source) ?? null);
  const apart = record !== null && record.kind !== "line";
  const set = (field: ItemField) => (value: string) =>
    store.edit([{ kind: "set_item", id: item.id, field, value }], `item:${item.id}:${field}`);
  const setLine = (field: "text" | "address") =>
    record === null
      ? set(field)
      : (value: string) => {
          const own = field === "text" ? "title" : "address";
          return store.edit([{ kind: "set_source", id: record.id, field: own, value }], `source:${record.id}:${own}`);
        };
  const elsewhere = record
    ? new Set(
        (list.works.find((w) => w.id === record.id)?.references ?? []).map((r) => r.of).filter((of) => of !== item.of),
      ).size
    : 0;
  const takeItApart = () => {
    const done = takeApart(store.getState().timeline, item, () => nanoid(10));
    if (done && !store.edit(done.ops)) setOpen(true);
  };
  const remove: Op[] = [{ kind: "delete_item", id: item.id }];
  const text = record ? record.title : item.text;
  const address = record ? record.address : item.address;
  const cited = apart ? list.citeOf(item) : null;
  if (record?.deleted)
    return (
      <div className="flex items-center gap-2 rounded-md border border-line bg-panel px-3 py-2 text-[14px]">
        <span className="flex-1">{WORDS.notThere}</span>
        <Button size="small" onClick={() => store.edit([{ kind: "restore_source", id: record.id }])}>
          {WORDS.putItBack}
        </Button>
        <Button size="small" onClick={() => store.edit(remove)}>
          {WORDS.removeSource}
        </Button>
      </div>
    );
  return (
    <div
      role="group"
      aria-label={WORDS.sourceNumber(number)}
      className="rounded-md border border-line bg-panel/50 p-2.5"
    >
      {apart ? (
        <p className="mb-2 text-[14px]">
          <SourceLine source={record} runs={list.runsOf(record.id)} />
          {cited ? <span className="ms-1.5 whitespace-nowrap text-quiet">{cited}</span> : null}
        </p>
      ) : (
        <div className="mb-2 grid grid-cols-2 gap-2">
          <TextField
            label={WORDS.source(name)}
            value={text}
            onChange={setLine("text")}
            placeholder={WORDS.lineExample}
          />
          <TextField label={WORDS.itsAddress} value={address} onChange={setLine("address")} placeholder={WORDS.https} />
        </div>
      )}
      {elsewhere > 0 ? <p className="mb-2 text-[13px] text-quiet">{WORDS.alsoIn(elsewhere)}</p> : null}
      {apart && open ? (
        <div className="mb-2.5 border-s-2 border-verdigris ps-2.5">
          <SourceFields source={record} />
        </div>
      ) : null}
      {apart || item.page ? (
        <TextField label={WORDS.page} value={item.page} placeholder={WORDS.pageExample} onChange={set("page")} />
      ) : null}
      {quoting ? (
        <div className="mt-2">
          <TextField
            label={WORDS.quote}
            value={item.quote}
            multiline
            placeholder={WORDS.quoteExample}
            onChange={set("quote")}
          />
        </div>
      ) : null}
      <div className="mt-1.5 flex flex-wrap items-center gap-1">
        {apart ? (
          <Button size="small" aria-expanded={open} onClick={() => setOpen(!open)}>
            {open ? WORDS.closeFields : WORDS.fieldsOfIt}
          </Button>
        ) : text.trim() || address.trim() ? (
          <Button size="small" kind="quiet" title={WORDS.takeApartHint} onClick={takeItApart}>
            <Split size={14} /> {WORDS.takeApart}
          </Button>
        ) : null}
        {quoting ? null : (
          <Button size="small" kind="quiet" onClick={() => setQuoting(true)}>
            <Quote size={13} /> {WORDS.addWords}
          </Button>
        )}
        <button
          type="button"
          aria-label={WORDS.removeSource}
          title={WORDS.undoPutsBack}
          className="ms-auto rounded-md p-1.5 hover:bg-verdigris-wash"
          onClick={() => store.edit(remove)}
        >
          <Trash2 size={16} />
        </button>
      </div>
    </div>
  );
}

/** How the list of sources is written, for the whole timeline; and the way to the list. */
export function SourceManner({ onList }: { onList: () => void }) {
  const { store } = useEditor();
  const manner = useEditorState((s) => s.timeline.sourceManner);
  const works = useWorks();
  return (
    <section aria-label={WORDS.sources}>
      <Field label={WORDS.manner} hint={WORDS.mannerHint}>
        {(ids) => (
          <select
            id={ids.id}
            className={INPUT}
            value={manner}
            onChange={(e) => store.edit([{ kind: "set_timeline", field: "sourceManner", value: e.target.value }])}
          >
            {(["apa", "harvard", "numbered"] as const).map((m) => (
              <option key={m} value={m}>
                {WORDS.manners[m]}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Button size="small" className="mt-1.5" onClick={onList}>
        <ListTree size={15} /> {WORDS.allSources(works.length)}
      </Button>
    </section>
  );
}
