"use client";

import { locale } from "@/core/language/spoken";
import { WORDS as LOCAL } from "@/core/words/editor-local";
import { WORDS } from "@/core/words/editor-sheet";
import {
  type Active,
  closestCenter,
  DndContext,
  KeyboardSensor,
  type Over,
  PointerSensor,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { Camera, GripVertical, ImagePlus } from "lucide-react";
import { type ClipboardEvent, type DragEvent, useEffect, useRef, useState } from "react";
import { type Item, itemsOf } from "@/core/timeline/timeline";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { INPUT } from "@/ui/controls/field";
import { Problem } from "@/ui/controls/problem";
import { useEditor, useEditorState } from "../store/editor-context";
import { attachMedia, attachOutside, moveItemTo } from "../store/media-deeds";
import { type UploadedMedia, withLength } from "@/ui/upload";
import { ChoosePictures } from "./choose-pictures";
import { MediaItem } from "./media-item";
import { useOnTheirWay } from "./on-their-way";
import { OnItsWayRow } from "./on-its-way-row";
import { RecordVoice } from "./record-voice";

/** From this share of the room on it is said how much is left. */
const NEARLY_FULL = 0.2;
const mb = (bytes: number) => `${Math.floor(bytes / 1_048_576).toLocaleString(locale())} MB`;

/** Pictures, videos and sounds of an event (or the cover of the timeline): by file, by dropping, by paste, by address. */
export function MediaField(props: { of: string; label: string; most?: number }) {
  const { uploads, waits } = useEditor();
  if (uploads) return <OwnMediaField {...props} />;
  return (
    <p className="text-[14px] text-quiet">
      {props.label}: {waits ? LOCAL.mediaNeedTheNetwork : LOCAL.mediaNeedAnAccount}
    </p>
  );
}

function OwnMediaField({ of, label, most }: { of: string; label: string; most?: number }) {
  const { store, uploads, mayRecord } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const onTheirWay = useOnTheirWay().filter((w) => w.of === of && w.list === undefined && !w.voice);
  const [address, setAddress] = useState("");
  const [fetching, setFetching] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const camera = useRef<HTMLInputElement>(null);
  // Of the timeline itself this is the cover; a voice for the whole has a field of its own.
  const items = itemsOf(timeline, of, "media").filter((i) => of !== "timeline" || i.kind === "picture");
  const full = most !== undefined && items.length + onTheirWay.filter((w) => w.state !== "failed").length >= most;
  const left = uploads?.left;

  const sendAll = (files: Iterable<File>) => {
    const list = [...files];
    uploads?.add(of, most === undefined ? list : list.slice(0, most - items.length));
  };
  const fetchAddress = async () => {
    setFetching(true);
    setProblem(null);
    const answer = await askServer<
      { address: string; foundOn: string } & ({ media: UploadedMedia } | { outside: Partial<Item> })
    >("POST", `/api/timelines/${store.timelineId}/outside`, { address });
    if (answer.ok) {
      const { address: found, foundOn } = answer.value;
      const known = { address: found, foundOn };
      if ("media" in answer.value) {
        const media = await looked(store.timelineId, answer.value.media);
        setProblem(most === 1 && media.kind !== "picture" ? WORDS.onlyAPicture : attachMedia(store, of, media, known));
      } else setProblem(most === 1 ? WORDS.onlyAPicture : attachOutside(store, of, answer.value.outside, known));
      // What was typed meanwhile stays.
      setAddress((now) => (now === address ? "" : now));
    } else setProblem(answer.sentence);
    setFetching(false);
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
        <InOrder items={items} />
        {left && left.left < left.of * NEARLY_FULL ? (
          <p role="status" className="text-[14px] font-bold text-copper-dark">
            {WORDS.ofAreLeftForFiles(mb(left.left), mb(left.of))}
          </p>
        ) : null}
        {onTheirWay.map((w) => (
          <OnItsWayRow key={w.key} file={w} />
        ))}
        {full ? null : (
          <div className="rounded-md border border-dashed border-edge p-2.5">
            <div className="flex flex-wrap items-center gap-2">
              <Button onClick={() => input.current?.click()}>
                <ImagePlus size={16} /> {WORDS.chooseFiles(most === 1)}
              </Button>
              {/* Where there is a finger there is a camera. */}
              <span className={mayRecord ? "hidden pointer-coarse:block" : "hidden"}>
                <Button onClick={() => camera.current?.click()}>
                  <Camera size={16} /> {WORDS.takeAPicture}
                </Button>
              </span>
              <ChoosePictures of={of} one={most === 1} />
              {most === 1 || !mayRecord ? null : <RecordVoice of={of} />}
              {mayRecord ? null : <span className="text-[13px] text-quiet">{WORDS.classNoRecording}</span>}
              <span className="text-[13px] text-quiet">{WORDS.orDropItHereOr}</span>
              <input
                ref={input}
                type="file"
                multiple={most !== 1}
                accept="image/*,video/mp4,video/webm,video/quicktime,audio/*"
                className="sr-only"
                tabIndex={-1}
                aria-label={WORDS.chooseAFile2(label)}
                onChange={(e) => {
                  sendAll(e.target.files ?? []);
                  e.target.value = "";
                }}
              />
              <input
                ref={camera}
                type="file"
                accept="image/*"
                capture="environment"
                className="sr-only"
                tabIndex={-1}
                aria-label={WORDS.takeAPictureFor(label)}
                onChange={(e) => {
                  sendAll(e.target.files ?? []);
                  e.target.value = "";
                }}
              />
            </div>
            <div className="mt-2 flex gap-2">
              <input
                aria-label={most === 1 ? WORDS.webAddressOfAPicture : WORDS.webAddressOrCode}
                placeholder={most === 1 ? WORDS.httpsAddressOfAPicture : WORDS.httpsAddressOrCode}
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

/** A video or sound that the server fetched is looked at here for its length and its still. */
async function looked(timeline: string, media: UploadedMedia): Promise<UploadedMedia> {
  if (media.kind === "picture") return media;
  const file = await fetch(`/api/timelines/${timeline}/media/${media.id}/whole`).then((r) => r.blob());
  return withLength(timeline, media, file).catch(() => media);
}

/** The entries in the order one gives them, by dragging or by keys. */
function InOrder({ items }: { items: readonly Item[] }) {
  const { store } = useEditor();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const at = (id: string | number | undefined) => items.findIndex((i) => i.id === id) + 1;
  const announcements = {
    onDragStart: ({ active }: { active: Active }) => WORDS.held(at(active.id), items.length),
    onDragOver: ({ over }: { over: Over | null }) => (over ? WORDS.held(at(over.id), items.length) : undefined),
    onDragEnd: ({ over }: { over: Over | null }) => (over ? WORDS.putAt(at(over.id), items.length) : WORDS.leftThere),
    onDragCancel: () => WORDS.leftThere,
  };
  return (
    <DndContext
      id="media-order"
      sensors={sensors}
      accessibility={{ announcements, screenReaderInstructions: { draggable: WORDS.howToMove } }}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        if (over && over.id !== active.id) moveItemTo(store, String(active.id), String(over.id));
      }}
    >
      <SortableContext items={items.map((i) => i.id)} strategy={verticalListSortingStrategy}>
        {items.map((item, at) => (
          <Sortable key={item.id} item={item} at={at} of={items.length} />
        ))}
      </SortableContext>
    </DndContext>
  );
}

function Sortable({ item, at, of }: { item: Item; at: number; of: number }) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: item.id });
  return (
    <div
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition, zIndex: isDragging ? 1 : undefined }}
      className={isDragging ? "relative rounded-md shadow-lg" : undefined}
    >
      <MediaItem
        item={item}
        at={at}
        of={of}
        grip={
          of > 1 ? (
            <button
              type="button"
              {...attributes}
              {...listeners}
              aria-label={WORDS.moveInTheOrder}
              title={WORDS.moveInTheOrder}
              className="-ms-1 cursor-grab touch-none self-stretch rounded px-0.5 text-quiet hover:bg-verdigris-wash"
            >
              <GripVertical size={18} />
            </button>
          ) : null
        }
      />
    </div>
  );
}
