"use client";

import { WORDS } from "@/core/words/editor-sheet";
import { RotateCcw, RotateCw } from "lucide-react";
import { useEffect, useState } from "react";
import ReactCrop, { type PercentCrop } from "react-image-crop";
import type { Cut } from "@/core/timeline/fields";
import type { Item } from "@/core/timeline/timeline";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { INPUT } from "@/ui/controls/field";
import { Modal } from "@/ui/controls/modal";
import { Problem } from "@/ui/controls/problem";
import { useEditor } from "../store/editor-context";
import { showCut } from "../store/media-deeds";
import type { UploadedMedia } from "@/ui/upload";

const WHOLE: PercentCrop = { unit: "%", x: 0, y: 0, width: 100, height: 100 };
const PROPORTIONS = { free: null, own: null, wide: 16 / 9, photo: 3 / 2, square: 1 } as const;
type Proportion = keyof typeof PROPORTIONS;
const SIDES = ["x", "y", "width", "height"] as const;
/** As exact as anybody drags, percent. */
const round = (v: number) => Math.round(v * 100) / 100;

/** A picture can be cut and turned; what was added stays as it was. */
export function CutPicture({ item }: { item: Item }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className="mb-2 min-h-6 w-fit text-[13px] font-bold text-verdigris underline"
        onClick={() => setOpen(true)}
      >
        {WORDS.cutAndTurn}
      </button>
      <Modal title={WORDS.cutTitle} open={open} onOpenChange={setOpen} wide>
        {open ? <CutForm item={item} onDone={() => setOpen(false)} /> : null}
      </Modal>
    </>
  );
}

function CutForm({ item, onDone }: { item: Item; onDone: () => void }) {
  const { store } = useEditor();
  const of = item.cut?.of ?? item.media!;
  const [turn, setTurn] = useState<Cut["turn"]>(item.cut?.turn ?? 0);
  const [crop, setCrop] = useState<PercentCrop>(item.cut ? { unit: "%", ...sidesOf(item.cut) } : WHOLE);
  const [proportion, setProportion] = useState<Proportion>("free");
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const shown = useTurned(`/api/timelines/${store.timelineId}/media/${of}/large`, turn);
  const size = shown === "none" ? null : shown;
  const aspect = !size
    ? undefined
    : proportion === "own"
      ? size.width / size.height
      : (PROPORTIONS[proportion] ?? undefined);

  const choose = (next: Proportion) => {
    setProportion(next);
    if (!size || next === "free") return;
    const { width, height } = size;
    const ratio = next === "own" ? width / height : PROPORTIONS[next]!;
    // The largest of that proportion, in the middle.
    const [across, down] =
      width / height > ratio ? [((height * ratio) / width) * 100, 100] : [100, (width / ratio / height) * 100];
    setCrop({ unit: "%", x: (100 - across) / 2, y: (100 - down) / 2, width: across, height: down });
  };
  const turnBy = (by: 90 | 270) => {
    setTurn(((turn + by) % 360) as Cut["turn"]);
    // What is chosen turns with the picture.
    const { x, y, width, height } = crop;
    setCrop(
      by === 90
        ? { unit: "%", x: 100 - y - height, y: x, width: height, height: width }
        : { unit: "%", x: y, y: 100 - x - width, width: height, height: width },
    );
    setProportion("free");
  };
  const show = async (part: PercentCrop, turned: Cut["turn"]) => {
    setBusy(true);
    setProblem(null);
    const cut = { ...sidesOf(part), turn: turned };
    const answer = await askServer<{ media: UploadedMedia }>(
      "POST",
      `/api/timelines/${store.timelineId}/media/${of}/cut`,
      cut,
    );
    setBusy(false);
    if (!answer.ok) return setProblem(answer.sentence);
    const { media } = answer.value;
    const refused = showCut(store, item, media, media.id === of ? null : { of, ...cut });
    if (refused) setProblem(refused);
    else onDone();
  };
  const chosen = crop.width > 0 && crop.height > 0;
  return (
    <div className="flex flex-col gap-3">
      <p className="text-[14px] text-quiet">{WORDS.cutHelp}</p>
      <div className="flex flex-wrap items-center gap-2">
        <Button size="small" onClick={() => turnBy(270)}>
          <RotateCcw size={14} /> {WORDS.turnLeft}
        </Button>
        <Button size="small" onClick={() => turnBy(90)}>
          <RotateCw size={14} /> {WORDS.turnRight}
        </Button>
        <label className="ms-auto flex items-center gap-2 text-[13px]">
          {WORDS.proportion}
          <select
            className="h-7 rounded-md border border-edge bg-white px-1"
            value={proportion}
            onChange={(e) => choose(e.target.value as Proportion)}
          >
            {(Object.keys(PROPORTIONS) as Proportion[]).map((p) => (
              <option key={p} value={p}>
                {WORDS.proportions[p]}
              </option>
            ))}
          </select>
        </label>
      </div>
      <div className="flex min-h-[220px] justify-center bg-panel p-2" data-testid="cut">
        {shown === null ? null : shown === "none" ? (
          <Problem text={WORDS.pictureDoesNotCome} />
        ) : (
          <ReactCrop
            crop={crop}
            {...(aspect === undefined ? {} : { aspect })}
            onChange={(_, percent) => setCrop(percent)}
            className="max-h-[46vh]"
          >
            <img src={shown.url} alt={item.text} className="max-h-[46vh] max-w-full" />
          </ReactCrop>
        )}
      </div>
      <fieldset className="grid grid-cols-4 gap-2 max-sm:grid-cols-2">
        <legend className="sr-only">{WORDS.cutTitle}</legend>
        {SIDES.map((side) => (
          <label key={side} className="text-[13px] text-quiet">
            {WORDS.cutFrom[side]}
            <input
              type="number"
              min={side === "x" || side === "y" ? 0 : 1}
              max={100}
              step="any"
              className={INPUT}
              value={round(crop[side])}
              onChange={(e) => {
                const value = Math.max(0, Math.min(100, Number(e.target.value)));
                setProportion("free");
                setCrop(within({ ...crop, [side]: value }));
              }}
            />
          </label>
        ))}
      </fieldset>
      {item.moving ? <p className="text-[13px] text-quiet">{WORDS.movesNoMore}</p> : null}
      <Problem text={problem} />
      <div className="flex flex-wrap gap-2">
        <Button kind="main" disabled={busy || !chosen || !size} onClick={() => void show(crop, turn)}>
          {busy ? WORDS.cutting : WORDS.showThis}
        </Button>
        {item.cut ? (
          <Button disabled={busy} onClick={() => void show(WHOLE, 0)}>
            {WORDS.showAllOfIt}
          </Button>
        ) : null}
      </div>
    </div>
  );
}

const sidesOf = ({ x, y, width, height }: Record<(typeof SIDES)[number], number>) => ({
  x: round(x),
  y: round(y),
  width: round(width),
  height: round(height),
});

/** Chosen by numbers it stays within the picture. */
const within = (c: PercentCrop): PercentCrop => ({
  ...c,
  width: Math.min(c.width, 100 - Math.min(c.x, 99)),
  height: Math.min(c.height, 100 - Math.min(c.y, 99)),
  x: Math.min(c.x, 99),
  y: Math.min(c.y, 99),
});

interface Turned {
  url: string;
  width: number;
  height: number;
}

/** A picture turned clockwise, to be cut as it will be seen; null while it comes, "none" where it does not. */
function useTurned(address: string, turn: Cut["turn"]): Turned | "none" | null {
  const [shown, setShown] = useState<Turned | "none" | null>(null);
  useEffect(() => {
    let url: string | null = null;
    let wanted = true;
    const image = new Image();
    image.onerror = () => wanted && setShown("none");
    image.onload = () => {
      const { naturalWidth: w, naturalHeight: h } = image;
      if (turn === 0) return wanted && setShown({ url: address, width: w, height: h });
      const canvas = document.createElement("canvas");
      [canvas.width, canvas.height] = turn === 180 ? [w, h] : [h, w];
      const paint = canvas.getContext("2d")!;
      paint.translate(canvas.width / 2, canvas.height / 2);
      paint.rotate((turn * Math.PI) / 180);
      paint.drawImage(image, -w / 2, -h / 2);
      canvas.toBlob((blob) => {
        if (!wanted || !blob) return;
        url = URL.createObjectURL(blob);
        setShown({ url, width: canvas.width, height: canvas.height });
      });
    };
    image.src = address;
    return () => {
      wanted = false;
      if (url) URL.revokeObjectURL(url);
    };
  }, [address, turn]);
  return shown;
}
