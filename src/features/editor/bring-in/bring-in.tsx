"use client";

import { nanoid } from "nanoid";
import { Dialog } from "radix-ui";
import { useMemo, useState } from "react";
import { bringIn } from "@/core/bring-in/bring-in";
import { dayOrderOf, guessUses, REPEATED, type Use } from "@/core/bring-in/guess-uses";
import { putTogether } from "@/core/bring-in/put-together";
import { readOptionsOf } from "@/core/timeline/read-options";
import { WORDS } from "@/core/words/en/bring-in";
import { tooLongCell } from "../ledger/cell-deeds";
import { Button, buttonLook } from "@/ui/controls/button";
import { CheckRow } from "@/ui/controls/check-row";
import { Logo } from "@/ui/logo";
import { useEditor, useEditorState } from "../store/editor-context";
import { Preview } from "./preview";
import type { Given } from "./readable";
import { rowsOf, rowsOfFile } from "./rows-of";

/** Reading may hold a frame up for so long, ms. */
const SLICE_MS = 10;

/** Brings a table or a list in: everything is shown as it would come in, and nothing comes before one says so. */
export function BringIn({ given, onClose }: { given: Given | null; onClose: () => void }) {
  const title = useEditorState((s) => s.timeline.title);
  const [got, setGot] = useState<Given | null>(given);
  return (
    <Dialog.Root open onOpenChange={(open) => (open ? null : onClose())}>
      <Dialog.Portal>
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-0 z-40 flex flex-col bg-white"
          // What was mended here is not thrown away by a press beside it.
          onInteractOutside={(e) => e.preventDefault()}
        >
          <header className="flex min-h-14 shrink-0 items-center gap-3 bg-slate px-[18px] text-white">
            <Logo />
            <div className="min-w-0">
              <Dialog.Title className="truncate font-head text-[19px] font-[650]">{WORDS.bringInTitle}</Dialog.Title>
              <p className="truncate text-[13px] text-[#c7d3d4]">
                {[got?.name, WORDS.into(title)].filter(Boolean).join(" · ")}
              </p>
            </div>
            <Dialog.Close className={`${buttonLook("dark")} ml-auto`}>{WORDS.cancel}</Dialog.Close>
          </header>
          {got ? <Look given={got} onClose={onClose} /> : <Take onGot={setGot} />}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Take({ onGot }: { onGot: (given: Given) => void }) {
  const [text, setText] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const take = (found: Given | { problem: string }) => ("problem" in found ? setProblem(found.problem) : onGot(found));
  return (
    <div className="mx-auto flex w-full max-w-[820px] flex-1 flex-col gap-3 overflow-y-auto p-5">
      <p>{WORDS.pasteHint}</p>
      <textarea
        aria-label={WORDS.pasteHere}
        value={text}
        spellCheck={false}
        className="min-h-[40vh] w-full rounded-md border border-edge p-3 font-mono text-[14px]"
        onChange={(e) => setText(e.target.value)}
        onPaste={(e) => {
          const html = e.clipboardData.getData("text/html");
          if (!html.includes("<t")) return;
          const found = rowsOf(html, "", true);
          if ("problem" in found || found.cells[0]!.length < 2) return;
          e.preventDefault();
          take(found);
        }}
      />
      <div className="flex flex-wrap gap-2">
        <Button kind="main" disabled={text.trim() === ""} onClick={() => take(rowsOf(text, ""))}>
          {WORDS.lookAtIt}
        </Button>
        <label className={`${buttonLook("plain")} cursor-pointer focus-within:outline-2`}>
          {WORDS.chooseAFile}
          <input
            type="file"
            accept=".csv,.tsv,.tab,.txt,.md,.markdown,.html,.htm"
            className="sr-only"
            onChange={(e) => {
              const file = e.target.files?.[0];
              if (file) void rowsOfFile(file).then(take);
              e.target.value = "";
            }}
          />
        </label>
      </div>
      <p role="alert" className="font-bold text-copper-dark">
        {problem}
      </p>
    </div>
  );
}

function Look({ given, onClose }: { given: Given; onClose: () => void }) {
  const { store, select } = useEditor();
  const settings = useEditorState((s) => s.timeline);
  const guess = useMemo(() => guessUses(given.cells, readOptionsOf(settings)), [given, settings]);
  const [named, setNamed] = useState(guess.named);
  const [uses, setUses] = useState(guess.uses);
  const [mended, setMended] = useState<ReadonlyMap<number, string>>(new Map());
  const [adding, setAdding] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const dates = useMemo(
    () =>
      given.cells
        .slice(named ? 1 : 0)
        .flatMap((r) => r.filter((_, i) => uses[i] === "when" || uses[i] === "start" || uses[i] === "end")),
    [given, named, uses],
  );
  const found = useMemo(() => dayOrderOf(dates), [dates]);
  const [chosen, setChosen] = useState<"dmy" | "mdy" | null>(null);
  const order = chosen ?? (found === "dmy" || found === "mdy" ? found : settings.dateOrder);
  const table = useMemo(
    () => putTogether(given.cells, named, uses, { ...readOptionsOf(settings), order }, mended),
    [given, named, uses, settings, order, mended],
  );
  const { counts } = table;
  const use = (at: number, wish: Use) =>
    setUses(uses.map((u, i) => (i === at ? wish : u === wish && !REPEATED.has(wish) ? "more" : u)));
  const add = async () => {
    setAdding(true);
    const { timeline } = store.getState();
    const asked = found === null ? null : order;
    const steps = bringIn(timeline, table.rows, asked, { newId: () => nanoid(10), client: newClient() });
    let since = performance.now();
    let step = steps.next();
    for (; !step.done; step = steps.next()) {
      if (performance.now() - since < SLICE_MS) continue;
      await new Promise((go) => requestAnimationFrame(() => setTimeout(go)));
      since = performance.now();
    }
    const came = step.value;
    const refused = "tooLong" in came ? tooLongCell(came) : store.edit(came.ops);
    setAdding(false);
    if (refused || "tooLong" in came) return setProblem(refused);
    store.say(WORDS.added(came.added));
    onClose();
    if (came.rows[0]) select(came.rows[0]);
  };
  return (
    <>
      <div className="flex shrink-0 flex-wrap items-center gap-x-6 gap-y-1 border-b border-line bg-panel px-[22px] py-3">
        <p role="status" className="flex flex-wrap gap-x-5 gap-y-1">
          <span className="font-bold">{WORDS.rows(counts.events)}</span>
          <span className="font-bold text-verdigris">
            {WORDS.understood(counts.events - counts.notUnderstood - counts.undated)}
          </span>
          {counts.notUnderstood > 0 ? (
            <span className="font-bold text-copper-dark">{WORDS.notUnderstood(counts.notUnderstood)}</span>
          ) : null}
          {counts.undated > 0 ? <span>{WORDS.undated(counts.undated)}</span> : null}
          {counts.empty > 0 ? <span>{WORDS.empty(counts.empty)}</span> : null}
        </p>
        <span className="ml-auto flex flex-wrap items-center gap-x-5 gap-y-1">
          {found === null ? null : (
            <label className="flex items-center gap-2">
              {WORDS.numbersMean}
              <select
                className="h-9 rounded-md border border-edge bg-white px-2 font-bold"
                value={order ?? "open"}
                onChange={(e) => setChosen(e.target.value === "open" ? null : (e.target.value as "dmy"))}
              >
                {(["open", "dmy", "mdy"] as const).map((o) => (
                  <option key={o} value={o}>
                    {WORDS.orders[o]}
                  </option>
                ))}
              </select>
            </label>
          )}
          <CheckRow label={WORDS.namesFirst} checked={named} onChange={setNamed} />
        </span>
        {found === "mixed" ? <p className="w-full text-[14px]">{WORDS.mixedOrders}</p> : null}
        {given.note ? <p className="w-full text-[14px]">{given.note}</p> : null}
      </div>
      <Preview
        cells={given.cells}
        named={named}
        uses={uses}
        setUse={use}
        table={table}
        mend={(row, text) => setMended(new Map([...mended, [row, text]]))}
      />
      <footer className="flex shrink-0 flex-wrap items-center gap-x-5 gap-y-2 border-t border-line bg-verdigris-wash px-[18px] py-3">
        <span>{WORDS.nothingYet}</span>
        <span role="alert" className="ml-auto font-bold text-copper-dark">
          {problem ?? (counts.notUnderstood > 0 ? WORDS.withoutDate(counts.notUnderstood) : "")}
        </span>
        <Button kind="main" disabled={adding || counts.events === 0} onClick={() => void add()}>
          {adding ? WORDS.adding : WORDS.add(counts.events)}
        </Button>
      </footer>
    </>
  );
}

/** Who writes descriptions that are brought in, as their documents count. */
const newClient = () => crypto.getRandomValues(new Uint32Array(1))[0]!;
