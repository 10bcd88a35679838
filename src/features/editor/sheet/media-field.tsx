"use client";

import { WORDS as LOCAL } from "@/core/words/en/editor-local";
import { WORDS } from "@/core/words/en/editor-sheet";
import { ArrowDown, ArrowUp, ImagePlus, Trash2 } from "lucide-react";
import { nanoid } from "nanoid";
import { type ClipboardEvent, type DragEvent, useEffect, useRef, useState } from "react";
import type { Focus } from "@/core/timeline/fields";
import { type Item, itemsOf } from "@/core/timeline/timeline";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { INPUT } from "@/ui/controls/field";
import { useEditor, useEditorState } from "../store/editor-context";
import { moveItem, placeForNewItem } from "../store/event-deeds";
import { TextField } from "./text-field";
import { type UploadedMedia, uploadFile } from "../store/upload";
import { Problem } from "@/ui/controls/problem";

interface Running {
  key: string;
  name: string;
  share: number;
  problem: string | null;
  stop: AbortController;
}

/** From this share of the room on it is said how much is left. */
const NEARLY_FULL = 0.2;
const mb = (bytes: number) => `${Math.floor(bytes / 1_048_576).toLocaleString("en")} MB`;

const LICENCES = ["CC0", WORDS.ccBy40, WORDS.ccBySa40, WORDS.publicDomain, WORDS.myOwnWork, WORDS.usedWithPermission];

/** Pictures, videos and sounds of an event (or the cover of the timeline): by file, by dropping, by paste, by address. */
export function MediaField(props: { of: string; label: string; most?: number }) {
  const { store } = useEditor();
  if (!store.isLocal) return <OwnMediaField {...props} />;
  return (
    <p className="text-[14px] text-quiet">
      {props.label}: {LOCAL.mediaNeedAnAccount}
    </p>
  );
}

function OwnMediaField({ of, label, most }: { of: string; label: string; most?: number }) {
  const { store } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const [running, setRunning] = useState<Running[]>([]);
  const [address, setAddress] = useState("");
  const [fetching, setFetching] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const [room, setRoom] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const items = itemsOf(timeline, of, "media");
  const full = most !== undefined && items.length >= most;

  const attach = (media: UploadedMedia, found: { address: string; foundOn: string } = { address: "", foundOn: "" }) => {
    // What failed before is over once something has come.
    setProblem(null);
    store.edit([
      {
        kind: "add_item",
        id: nanoid(10),
        fields: {
          of,
          list: "media",
          place: placeForNewItem(store.getState().timeline, of, "media"),
          media: media.id,
          kind: media.kind,
          width: media.width,
          height: media.height,
          ...found,
        },
      },
    ]);
  };
  const send = async (file: File) => {
    const key = nanoid(6);
    const stop = new AbortController();
    const update = (part: Partial<Running>) =>
      setRunning((list) => list.map((r) => (r.key === key ? { ...r, ...part } : r)));
    setRunning((list) => [...list, { key, name: file.name || "pasted picture", share: 0, problem: null, stop }]);
    const media = await uploadFile(
      store.timelineId,
      file,
      (share) => update({ share }),
      stop.signal,
      (left, of) => setRoom(left < of * NEARLY_FULL ? WORDS.ofAreLeftForFiles(mb(left), mb(of)) : null),
    );
    if (typeof media === "string") return update({ problem: media });
    setRunning((list) => list.filter((r) => r.key !== key));
    attach(media);
  };
  const sendAll = (files: Iterable<File>) => {
    for (const f of files) void send(f);
  };
  const fetchAddress = async () => {
    setFetching(true);
    setProblem(null);
    const answer = await askServer<{ media: UploadedMedia; address: string; foundOn: string }>(
      "POST",
      `/api/timelines/${store.timelineId}/pictures`,
      { address },
    );
    setFetching(false);
    if (!answer.ok) return setProblem(answer.sentence);
    attach(answer.value.media, { address: answer.value.address, foundOn: answer.value.foundOn });
    setAddress("");
  };
  // A picture pasted anywhere in the sheet belongs to its event, unless a text field takes the paste as text.
  useEffect(() => {
    if (full) return;
    const paste = (e: globalThis.ClipboardEvent) => {
      const files = [...(e.clipboardData?.files ?? [])];
      if (files.length === 0) return;
      e.preventDefault();
      sendAll(files);
    };
    document.addEventListener("paste", paste);
    return () => document.removeEventListener("paste", paste);
  });
  const onDrop = (e: DragEvent) => {
    e.preventDefault();
    sendAll(e.dataTransfer.files);
  };
  return (
    <section aria-label={label} onDragOver={(e) => e.preventDefault()} onDrop={onDrop}>
      <h3 className="mb-1 font-sans text-[13px] font-normal text-quiet">{label}</h3>
      <div className="flex flex-col gap-3">
        {items.map((item, at) => (
          <MediaItem key={item.id} item={item} at={at} of={items.length} />
        ))}
        {room ? (
          <p role="status" className="text-[14px] font-bold text-copper-dark">
            {room}
          </p>
        ) : null}
        {running.map((r) => (
          <div key={r.key} className="rounded-md border border-line p-2.5 text-[14px]" role="status">
            <div className="flex justify-between gap-2">
              <span className="truncate">{r.name}</span>
              <button
                type="button"
                className="font-bold text-verdigris underline"
                onClick={() => {
                  r.stop.abort();
                  setRunning((list) => list.filter((x) => x.key !== r.key));
                }}
              >
                {r.problem ? WORDS.close : WORDS.stop}
              </button>
            </div>
            {r.problem ? (
              <Problem text={r.problem} className="mt-1" />
            ) : (
              <progress className="mt-1.5 h-2 w-full" value={r.share} max={1} aria-label={WORDS.onItsWay(r.name)} />
            )}
          </div>
        ))}
        {full ? null : (
          <div className="rounded-md border border-dashed border-edge p-2.5">
            <div className="flex flex-wrap items-center gap-2">
              <Button onClick={() => input.current?.click()}>
                <ImagePlus size={16} /> {WORDS.chooseAFile}
              </Button>
              <span className="text-[13px] text-quiet">{WORDS.orDropItHereOr}</span>
              <input
                ref={input}
                type="file"
                multiple
                accept="image/*,video/mp4,video/webm,video/quicktime,audio/*"
                className="sr-only"
                tabIndex={-1}
                aria-label={WORDS.chooseAFile2(label)}
                onChange={(e) => {
                  sendAll(e.target.files ?? []);
                  e.target.value = "";
                }}
              />
            </div>
            <div className="mt-2 flex gap-2">
              <input
                aria-label={WORDS.webAddressOfAPicture}
                placeholder={WORDS.httpsAddressOfAPicture}
                className={INPUT}
                value={address}
                onChange={(e) => setAddress(e.target.value)}
                onKeyDown={(e) => {
                  if (e.key === "Enter" && !e.nativeEvent.isComposing && address) void fetchAddress();
                }}
                onPaste={(e: ClipboardEvent) => e.stopPropagation()}
              />
              <Button disabled={address.trim() === "" || fetching} onClick={() => void fetchAddress()}>
                {fetching ? WORDS.fetching : WORDS.fetch}
              </Button>
            </div>
            <Problem text={problem} className="mt-1.5 text-[13px]" />
          </div>
        )}
      </div>
    </section>
  );
}

/** What of a picture is seen where it is cropped: pressed on the picture, or set by keys. */
function FocusField({ item, url }: { item: Item; url: string }) {
  const { store } = useEditor();
  const [open, setOpen] = useState(false);
  const { x, y } = item.focus ?? { x: 50, y: 50 };
  const set = (focus: Focus | null) =>
    store.edit([{ kind: "set_item", id: item.id, field: "focus", value: focus }], `item:${item.id}:focus`);
  if (!open)
    return (
      <button
        type="button"
        className="mb-2 min-h-6 w-fit text-[13px] font-bold text-verdigris underline"
        onClick={() => setOpen(true)}
      >
        {WORDS.whatIsSeen}
      </button>
    );
  // The picture's room is kept before it has come, so that nothing under it moves away from a press.
  const room =
    item.width && item.height
      ? {
          width: `min(100%, ${Math.min(item.width, (240 * item.width) / item.height)}px)`,
          aspectRatio: `${item.width} / ${item.height}`,
        }
      : undefined;
  const slider = (label: string, value: number, change: (value: number) => void) => (
    <label className="flex items-center gap-2 text-[13px] text-quiet">
      <span className="w-[13em]">{label}</span>
      <input
        type="range"
        min={0}
        max={100}
        step={5}
        value={value}
        className="min-w-0 flex-1 accent-verdigris"
        onChange={(e) => change(Number(e.target.value))}
      />
    </label>
  );
  return (
    <fieldset className="mb-2 rounded-md bg-panel p-2">
      <legend className="sr-only">{WORDS.whatIsSeen}</legend>
      <p className="mb-1.5 text-[13px] text-quiet">{WORDS.pressWhatMatters}</p>
      {/* biome-ignore lint/a11y/useKeyWithClickEvents: the sliders under it do the same by keys */}
      {/* biome-ignore lint/a11y/noStaticElementInteractions: as above */}
      <div
        className={`relative mb-2 cursor-crosshair overflow-hidden rounded ${room ? "" : "w-fit"}`}
        style={room}
        data-testid="focus"
        onClick={(e) => {
          const box = e.currentTarget.getBoundingClientRect();
          const share = (at: number, from: number, size: number) =>
            Math.max(0, Math.min(100, Math.round(((at - from) / size) * 1_000) / 10));
          set({ x: share(e.clientX, box.left, box.width), y: share(e.clientY, box.top, box.height) });
        }}
      >
        <img src={url} alt="" className={room ? "size-full" : "max-h-[240px] max-w-full"} draggable={false} />
        <span
          aria-hidden="true"
          className="pointer-events-none absolute size-7 -translate-x-1/2 -translate-y-1/2 rounded-full border-3 border-sun outline-2 outline-slate"
          style={{ left: `${x}%`, top: `${y}%` }}
        />
      </div>
      {slider(WORDS.across, x, (value) => set({ x: value, y }))}
      {slider(WORDS.down, y, (value) => set({ x, y: value }))}
      <div className="mt-2 flex gap-2">
        <Button size="small" disabled={item.focus === null} onClick={() => set(null)}>
          {WORDS.theMiddle}
        </Button>
        <Button size="small" onClick={() => setOpen(false)}>
          {WORDS.close}
        </Button>
      </div>
    </fieldset>
  );
}

function MediaItem({ item, at, of }: { item: Item; at: number; of: number }) {
  const { store } = useEditor();
  const set = (field: "text" | "caption" | "credit" | "licence" | "address") => (value: string) =>
    store.edit([{ kind: "set_item", id: item.id, field, value }], `item:${item.id}:${field}`);
  const url = (size: string) => `/api/timelines/${store.timelineId}/media/${item.media}/${size}`;
  return (
    <div className="rounded-md border border-line p-2.5" data-testid="media-item">
      <div className="mb-2 flex items-start gap-3">
        {item.kind === "picture" ? (
          <a href={url("large")} target="_blank" rel="noreferrer" aria-label={WORDS.openThePictureLarge}>
            <img src={url("small")} alt={item.text} className="h-[72px] w-[104px] rounded object-cover" />
          </a>
        ) : item.kind === "video" ? (
          <video
            src={url("whole")}
            controls
            {...(item.width ? { preload: "none", poster: url("small") } : { preload: "metadata" })}
            className="h-[96px] w-[170px] rounded bg-slate"
          />
        ) : (
          // biome-ignore lint/a11y/useMediaCaption: as above
          <audio src={url("whole")} controls preload="metadata" className="w-[240px]" />
        )}
        <div className="min-w-0 flex-1 text-[13px] text-quiet">
          {item.width ? (
            <p>
              {item.width} × {item.height}
            </p>
          ) : null}
          {item.credit.trim() === "" && item.kind !== "sound" ? (
            <p className="font-bold text-copper-dark">{WORDS.noCreditYet}</p>
          ) : null}
          {item.foundOn ? <p>{WORDS.lookedUp(item.foundOn)}</p> : null}
          {of > 1 && at === 0 ? <p className="font-bold text-ink">{WORDS.theMainOne}</p> : null}
        </div>
        {of > 1 ? (
          <>
            <button
              type="button"
              aria-label={WORDS.earlierInTheOrder}
              title={WORDS.earlierInTheOrder}
              disabled={at === 0}
              className="rounded-md p-1.5 enabled:hover:bg-verdigris-wash disabled:opacity-40"
              onClick={() => moveItem(store, item, -1)}
            >
              <ArrowUp size={16} />
            </button>
            <button
              type="button"
              aria-label={WORDS.laterInTheOrder}
              title={WORDS.laterInTheOrder}
              disabled={at === of - 1}
              className="rounded-md p-1.5 enabled:hover:bg-verdigris-wash disabled:opacity-40"
              onClick={() => moveItem(store, item, 1)}
            >
              <ArrowDown size={16} />
            </button>
          </>
        ) : null}
        <button
          type="button"
          aria-label={WORDS.remove}
          title={WORDS.removeUndoPutsItBack}
          className="rounded-md p-1.5 hover:bg-verdigris-wash"
          onClick={() => store.edit([{ kind: "delete_item", id: item.id }])}
        >
          <Trash2 size={16} />
        </button>
      </div>
      {item.kind === "picture" ? <FocusField item={item} url={url("medium")} /> : null}
      <div className="flex flex-col gap-2">
        <TextField
          label={item.kind === "picture" ? WORDS.whatItShowsForThose : WORDS.title}
          value={item.text}
          onChange={set("text")}
        />
        <TextField
          label={WORDS.caption}
          value={item.caption}
          onChange={set("caption")}
          placeholder={WORDS.standsUnderIt}
        />
        <div className="grid grid-cols-2 gap-2">
          <TextField label={WORDS.credit} value={item.credit} onChange={set("credit")} placeholder={WORDS.whoMadeIt} />
          <TextField label={WORDS.licence} value={item.licence} onChange={set("licence")} list="licences" />
        </div>
        <TextField
          label={WORDS.whereItWasFound}
          value={item.address}
          onChange={set("address")}
          placeholder={WORDS.https}
        />
        <datalist id="licences">
          {LICENCES.map((l) => (
            <option key={l} value={l} />
          ))}
        </datalist>
      </div>
    </div>
  );
}
