"use client";

import { useEffect, useState } from "react";
import { instantText } from "@/core/chart/axis/view";
import {
  isFolded,
  LEAST_SIDE,
  MM_PER_INCH,
  MOST_SHEETS,
  MOST_SIDE,
  ON_PAPER,
  PAPER_NAMES,
  type PaperName,
  type PaperWishes,
  USUAL_WISHES,
} from "@/core/paper/sheets";
import { readWhen } from "@/core/time/read/read-when";
import { endOf, startOf } from "@/core/time/when";
import { readOptionsOf } from "@/core/timeline/read-options";
import { WORDS } from "@/core/words/paper";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { CheckRow } from "@/ui/controls/check-row";
import { INPUT } from "@/ui/controls/field";
import { HowItGoes } from "@/ui/controls/how-it-goes";
import { Modal } from "@/ui/controls/modal";
import { OnceSaved } from "../once-saved";
import { useEditor, useEditorState } from "../store/editor-context";
import { PdfPreview } from "./pdf-preview";
import { MadeFileRow, useMadeFile } from "./made-file";

/** Files that take their time: on paper, as a picture, as a folder. */
export function PaperDialog({ onClose }: { onClose: () => void }) {
  return (
    <Modal title={WORDS.onPaper} open onOpenChange={(open) => (open ? null : onClose())} wide>
      <HowItGoes task="poster" className="mb-2" />
      <PdfPart />
      <PicturePart />
      <FolderPart />
    </Modal>
  );
}

const PLAN_MS = 350;
/** What the part of the chart that is seen now is called in the address. */
const viewNow = () => new URLSearchParams(window.location.hash.slice(1)).get("view") ?? "";

type Seen = "whole" | "first" | "now" | "period";

function PdfPart() {
  const { store } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const [wishes, setWishes] = useState<PaperWishes>(USUAL_WISHES);
  const [size, setSize] = useState({ w: "900", h: "300" });
  const [seen, setSeen] = useState<Seen>("whole");
  const [period, setPeriod] = useState({ from: "", to: "" });
  const [planned, setPlanned] = useState<{ sheets: number; notices: string[] } | null>(null);
  const made = useMadeFile();
  const set = (part: Partial<PaperWishes>) => setWishes({ ...wishes, ...part });
  const free = typeof wishes.paper !== "string";
  const k = wishes.units === "inch" ? MM_PER_INCH : 1;
  const sides = { w: Number(size.w) * k, h: Number(size.h) * k };
  const fits = (side: number) => side >= LEAST_SIDE && side <= MOST_SIDE;
  const sizeIsRead = !free || (fits(sides.w) && fits(sides.h));
  const read = (typed: string) => readWhen(typed, readOptionsOf(timeline));
  const [from, to] = [startOf(read(period.from)), endOf(read(period.to))];
  const periodIsRead = seen !== "period" || Boolean(from && to);
  const view =
    seen === "first"
      ? timeline.firstView
      : seen === "now"
        ? viewNow()
        : seen === "period" && from && to
          ? `${instantText(from)}..${instantText(to)}`
          : "";
  const said: PaperWishes = { ...wishes, ...(free && sizeIsRead ? { paper: sides } : {}), view };
  const ready = sizeIsRead && periodIsRead;
  const asked = JSON.stringify(said);
  // What is to be said before is asked for when the choices rest.
  useEffect(() => {
    if (!ready) return setPlanned(null);
    let wanted = true;
    const rest = setTimeout(() => {
      void askServer<{ sheets: number; notices: string[] }>(
        "POST",
        `/api/timelines/${store.timelineId}/files/plan`,
        JSON.parse(asked) as object,
      ).then((a) => wanted && setPlanned(a.ok ? a.value : null));
    }, PLAN_MS);
    return () => {
      wanted = false;
      clearTimeout(rest);
    };
  }, [asked, ready, store.timelineId]);
  const isChart = wishes.what === "chart";
  return (
    <section aria-label={WORDS.paperHead}>
      <h3 className="mb-2 text-[16px]">{WORDS.paperHead}</h3>
      <div className="grid gap-3 sm:grid-cols-3">
        <Choice label={WORDS.what} value={wishes.what} onChange={(what) => set({ what: what as PaperWishes["what"] })}>
          {ON_PAPER.map((w) => (
            <option key={w} value={w}>
              {WORDS.whats[w]}
            </option>
          ))}
        </Choice>
        <Choice
          label={WORDS.paper}
          value={free ? "free" : (wishes.paper as string)}
          onChange={(p) => set({ paper: p === "free" ? { w: 900, h: 300 } : (p as PaperName) })}
        >
          {PAPER_NAMES.map((p) => (
            <option key={p} value={p}>
              {WORDS.papers[p]}
            </option>
          ))}
          <option value="free">{WORDS.freeSize}</option>
        </Choice>
        {free ? (
          <div className="flex gap-2">
            <Typed label={WORDS.width} value={size.w} onChange={(w) => setSize({ ...size, w })} />
            <Typed label={WORDS.height} value={size.h} onChange={(h) => setSize({ ...size, h })} />
            <Choice
              label={WORDS.units}
              value={wishes.units}
              onChange={(u) => {
                const other = u === "inch" ? 1 / MM_PER_INCH : MM_PER_INCH;
                const turned = (v: string) => String(Math.round(Number(v) * other * 10) / 10);
                if (u !== wishes.units) setSize({ w: turned(size.w), h: turned(size.h) });
                set({ units: u as PaperWishes["units"] });
              }}
            >
              <option value="mm">{WORDS.mm}</option>
              <option value="inch">{WORDS.inch}</option>
            </Choice>
          </div>
        ) : isFolded(wishes) ? null : (
          <Choice
            label={`${WORDS.across}, ${WORDS.upright.toLowerCase()}`}
            value={wishes.across ? "across" : "upright"}
            onChange={(v) => set({ across: v === "across" })}
          >
            <option value="across">{WORDS.across}</option>
            <option value="upright">{WORDS.upright}</option>
          </Choice>
        )}
        {isChart ? (
          <>
            <Typed
              label={WORDS.sheetsAcross}
              number={MOST_SHEETS.across}
              value={String(wishes.sheets.across)}
              onChange={(v) => set({ sheets: { ...wishes.sheets, across: within(v, MOST_SHEETS.across) } })}
            />
            <Typed
              label={WORDS.sheetsDown}
              number={MOST_SHEETS.down}
              value={String(wishes.sheets.down)}
              onChange={(v) => set({ sheets: { ...wishes.sheets, down: within(v, MOST_SHEETS.down) } })}
            />
            <Choice
              label={WORDS.closeUps}
              value={wishes.closeUps}
              onChange={(v) => set({ closeUps: v as PaperWishes["closeUps"] })}
            >
              {(["with", "after", "none"] as const).map((c) => (
                <option key={c} value={c}>
                  {WORDS.closeUpChoices[c]}
                </option>
              ))}
            </Choice>
            <Choice label={WORDS.seen} value={seen} onChange={(v) => setSeen(v as Seen)}>
              <option value="whole">{WORDS.whole}</option>
              {timeline.firstView ? <option value="first">{WORDS.firstView}</option> : null}
              {viewNow() ? <option value="now">{WORDS.viewNow}</option> : null}
              <option value="period">{WORDS.period}</option>
            </Choice>
            {seen === "period" ? (
              <>
                <Typed label={WORDS.from} value={period.from} onChange={(v) => setPeriod({ ...period, from: v })} />
                <Typed label={WORDS.to} value={period.to} onChange={(v) => setPeriod({ ...period, to: v })} />
              </>
            ) : null}
          </>
        ) : null}
      </div>
      {isChart ? (
        <div className="mt-2 flex flex-wrap gap-x-6">
          <CheckRow label={WORDS.border} checked={wishes.border} onChange={(border) => set({ border })} />
          <CheckRow label={WORDS.texts2} checked={wishes.texts} onChange={(texts) => set({ texts })} />
        </div>
      ) : (
        <div className="mt-2">
          <CheckRow label={WORDS.folded} checked={wishes.folded ?? false} onChange={(folded) => set({ folded })} />
          {wishes.folded ? <p className="text-[14px] text-quiet">{WORDS.foldedMore}</p> : null}
        </div>
      )}
      <div role="status" className="mt-2 text-[14px]">
        {sizeIsRead ? null : <p className="font-bold text-copper-dark">{WORDS.sizeUnread}</p>}
        {periodIsRead || (period.from === "" && period.to === "") ? null : (
          <p className="font-bold text-copper-dark">{WORDS.periodUnread}</p>
        )}
        {planned?.notices.map((n) => (
          <p key={n}>{n}</p>
        ))}
      </div>
      <OnceSaved
        kind="main"
        className="mt-2"
        disabled={!ready || made.isBusy}
        onPress={() => void made.begin({ kind: "pdf", paper: said })}
      >
        {WORDS.make}
      </OnceSaved>
      <MadeFileRow made={made} />
      {made.file?.madeAt ? (
        <>
          <p className="mt-3 text-[13px] text-quiet">{WORDS.preview}</p>
          <PdfPreview key={made.file.id} url={`/api/files/${made.file.id}/content?view=1`} />
        </>
      ) : null}
    </section>
  );
}

function PicturePart() {
  const { store } = useEditor();
  const [scale, setScale] = useState(2);
  const [transparent, setTransparent] = useState(false);
  const [kind, setKind] = useState<"png" | "svg">("png");
  const made = useMadeFile();
  const picture = { width: 1_600, height: 900, scale, transparent, view: viewNow() };
  return (
    <section aria-label={WORDS.pictureHead} className="mt-5 border-t border-line pt-4">
      <h3 className="mb-2 text-[16px]">{WORDS.pictureHead}</h3>
      <div className="flex flex-wrap items-end gap-3">
        <Choice label={WORDS.what} value={kind} onChange={(v) => setKind(v as "png" | "svg")}>
          <option value="png">{WORDS.asPng}</option>
          <option value="svg">{WORDS.asSvg}</option>
        </Choice>
        {kind === "png" ? (
          <Choice label={WORDS.scale} value={String(scale)} onChange={(v) => setScale(Number(v))}>
            {[1, 2, 3, 4].map((n) => (
              <option key={n} value={n}>
                {WORDS.times(n, picture.width * n)}
              </option>
            ))}
          </Choice>
        ) : null}
        <CheckRow label={WORDS.transparent} checked={transparent} onChange={setTransparent} />
        <OnceSaved disabled={made.isBusy} onPress={() => void made.begin({ kind, picture })}>
          {WORDS.makePicture}
        </OnceSaved>
      </div>
      <MadeFileRow made={made}>
        {made.file?.type === "image/png" ? (
          <Button
            onClick={async () => {
              try {
                const bytes = await fetch(`/api/files/${made.file!.id}/content?view=1`).then((r) => r.blob());
                await navigator.clipboard.write([new ClipboardItem({ "image/png": bytes })]);
                store.say(WORDS.pictureCopied);
              } catch {
                store.say(WORDS.cannotCopy);
              }
            }}
          >
            {WORDS.copyPicture}
          </Button>
        ) : null}
      </MadeFileRow>
    </section>
  );
}

function FolderPart() {
  const made = useMadeFile();
  return (
    <section aria-label={WORDS.folderHead} className="mt-5 border-t border-line pt-4">
      <h3 className="mb-1 text-[16px]">{WORDS.folderHead}</h3>
      <p className="mb-2 text-[14px] text-quiet">{WORDS.folderMore}</p>
      <div className="flex flex-wrap gap-2">
        <OnceSaved disabled={made.isBusy} onPress={() => void made.begin({ kind: "folder" })}>
          {WORDS.makeFolder}
        </OnceSaved>
        <OnceSaved disabled={made.isBusy} onPress={() => void made.begin({ kind: "scorm" })}>
          {WORDS.makeScorm}
        </OnceSaved>
      </div>
      <p className="mt-1 text-[13px] text-quiet">{WORDS.scormMore}</p>
      <MadeFileRow made={made} />
    </section>
  );
}

function Choice({
  label,
  value,
  onChange,
  children,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  children: React.ReactNode;
}) {
  return (
    <label className="block min-w-0 text-[13px] text-quiet">
      {label}
      <select className={`${INPUT} mt-1`} value={value} onChange={(e) => onChange(e.target.value)}>
        {children}
      </select>
    </label>
  );
}

function Typed({
  label,
  value,
  onChange,
  number,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  number?: number;
}) {
  return (
    <label className="block min-w-0 text-[13px] text-quiet">
      {label}
      <input
        className={`${INPUT} mt-1`}
        value={value}
        maxLength={40}
        onChange={(e) => onChange(e.target.value)}
        {...(number ? { type: "number", min: 1, max: number } : {})}
      />
    </label>
  );
}

const within = (typed: string, most: number) => Math.min(most, Math.max(1, Math.round(Number(typed)) || 1));
