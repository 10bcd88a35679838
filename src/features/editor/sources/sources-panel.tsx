"use client";

import { inAlphabet } from "@/core/language/spoken";
import { Plus, Trash2 } from "lucide-react";
import { nanoid } from "nanoid";
import { useState } from "react";
import type { Op } from "@/core/change/change";
import { sourceText, type Work } from "@/core/sources/cited";
import type { SourceFormat } from "@/core/sources/read-sources";
import { takeApart } from "@/core/sources/take-apart";
import type { Item } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/sources";
import { Button } from "@/ui/controls/button";
import { Problem } from "@/ui/controls/problem";
import { Frame } from "../sheet/frame";
import { saveFile } from "@/ui/save-file";
import { useEditor, useEditorState } from "../store/editor-context";
import { askSources } from "./ask-sources";
import { SourceFields } from "./source-fields";
import { SourceLine } from "./source-line";
import { TakeIn } from "./take-in";
import { type Listed, useSourceList } from "./use-source-list";

const FILES: { format: SourceFormat; name: string; ending: string; type: string }[] = [
  { format: "bibtex", name: "BibTeX", ending: ".bib", type: "application/x-bibtex" },
  { format: "ris", name: "RIS", ending: ".ris", type: "application/x-research-info-systems" },
  { format: "csl-json", name: "CSL-JSON", ending: ".json", type: "application/vnd.citationstyles.csl+json" },
];

/** Every source of the timeline, as the list has it, with what names it; taken in from files and saved as files. */
export function SourcesPanel({ onClose }: { onClose: () => void }) {
  const { store } = useEditor();
  const manner = useEditorState((s) => s.timeline.sourceManner);
  const list = useSourceList();
  const [taking, setTaking] = useState(false);
  const [opened, setOpened] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const place = new Map(list.order.map((id, i) => [id, i]));
  const works = [...list.works].sort(
    (a, b) =>
      (place.get(a.id) ?? list.order.length) - (place.get(b.id) ?? list.order.length) ||
      inAlphabet(sourceText(a.source), sourceText(b.source)),
  );
  const add = () => {
    const id = nanoid(10);
    if (!store.edit([{ kind: "add_source", id, fields: { kind: "book" } }])) setOpened(id);
  };
  const save = async ({ format, ending, type }: (typeof FILES)[number]) => {
    try {
      const text = await askSources<"write">({ write: { sources: works.map((w) => w.source), format } });
      saveFile(new Blob([text], { type }), `${store.getState().timeline.title} ${WORDS.fileName}`, ending);
      setProblem(null);
    } catch {
      setProblem(WORDS.notHad);
    }
  };
  return (
    <Frame title={WORDS.sources} onClose={onClose}>
      <div className="mb-3 flex flex-wrap gap-1.5">
        <Button size="small" onClick={add}>
          <Plus size={15} /> {WORDS.addASource}
        </Button>
        <Button size="small" aria-expanded={taking} onClick={() => setTaking(!taking)}>
          {WORDS.takeIn}
        </Button>
      </div>
      {taking ? <TakeIn /> : null}
      {works.length === 0 ? <p className="text-[14px]">{WORDS.noSources}</p> : null}
      {works.length > 0 ? <p className="mb-1 text-[13px] text-quiet">{WORDS.manners[manner]}</p> : null}
      <ul className="flex flex-col divide-y divide-line">
        {works.map((w) => (
          <Row key={w.id} work={w} list={list} open={opened === w.id} setOpen={(on) => setOpened(on ? w.id : null)} />
        ))}
      </ul>
      {works.length > 0 ? (
        <div className="mt-3 flex flex-wrap items-center gap-1.5 border-t border-line pt-3">
          <span className="text-[13px] text-quiet">{WORDS.saveAs}</span>
          {FILES.map((f) => (
            <Button key={f.format} size="small" onClick={() => void save(f)}>
              {f.name}
            </Button>
          ))}
        </div>
      ) : null}
      <p className="mt-3 text-[13px] text-quiet">
        {WORDS.writtenBy}{" "}
        <a className="underline" href="/licences" target="_blank" rel="noopener">
          {WORDS.licences}
        </a>
      </p>
      <Problem text={problem} className="mt-2 text-[14px]" />
    </Frame>
  );
}

function Row({
  work,
  list,
  open,
  setOpen,
}: {
  work: Work<Item>;
  list: Listed;
  open: boolean;
  setOpen: (on: boolean) => void;
}) {
  const { store, select } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const record = timeline.sources.get(work.id);
  const title = sourceText(work.source).slice(0, 60) || WORDS.untitled;
  const number = list.numberOf(work.id);
  const events = [...new Set(work.references.map((r) => r.of))];
  const remove = () => {
    const ops: Op[] = work.references.map((r) => ({ kind: "delete_item", id: r.id }));
    if (record) ops.push({ kind: "delete_source", id: record.id });
    store.edit(ops);
  };
  const apart = () => {
    const [first] = work.references;
    if (record && record.kind !== "line") return setOpen(!open);
    const done = first
      ? takeApart(store.getState().timeline, first, () => nanoid(10))
      : { ops: [{ kind: "set_source", id: work.id, field: "kind", value: "other" } satisfies Op], id: work.id };
    if (done && !store.edit(done.ops)) setOpen(true);
  };
  return (
    <li className="py-2.5 text-[14px]">
      <div className="flex items-start gap-2">
        {number === null ? null : <span className="w-6 shrink-0 text-end text-quiet">{number}.</span>}
        <span className="min-w-0 flex-1">
          <SourceLine source={work.source} runs={list.runsOf(work.id)} />
        </span>
        <button
          type="button"
          aria-label={WORDS.removeFromAll(title)}
          title={WORDS.undoPutsBack}
          className="rounded-md p-1.5 hover:bg-verdigris-wash"
          onClick={remove}
        >
          <Trash2 size={15} />
        </button>
      </div>
      <div className="mt-1 flex flex-wrap items-center gap-x-2 gap-y-1 text-[13px] text-quiet">
        <Button size="small" kind="quiet" aria-expanded={open} aria-label={WORDS.edit(title)} onClick={apart}>
          {record && record.kind !== "line" ? (open ? WORDS.closeFields : WORDS.fieldsOfIt) : WORDS.takeApart}
        </Button>
        {events.length === 0 ? WORDS.namedNowhere : WORDS.namedIn}
        {events.map((id) =>
          id === "timeline" ? (
            <span key={id}>{WORDS.wholeTimeline}</span>
          ) : (
            <button
              key={id}
              type="button"
              className="min-h-6 text-start text-verdigris underline"
              onClick={() => select(id, true)}
            >
              {timeline.events.get(id)?.title || WORDS.untitled}
            </button>
          ),
        )}
      </div>
      {open && record && !record.deleted ? (
        <div className="mt-2 border-s-2 border-verdigris ps-2.5">
          <SourceFields source={record} />
        </div>
      ) : null}
    </li>
  );
}
