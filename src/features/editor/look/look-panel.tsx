"use client";

import { ImagePlus, Trash2 } from "lucide-react";
import { useEffect, useId, useMemo, useRef } from "react";
import type { TimelineField, Value } from "@/core/change/change";
import { contrastFacts, heldBack, lookAlike } from "@/core/looks/facts";
import { LOOK_TABLE } from "@/core/looks/looks";
import { styleOf } from "@/core/looks/style";
import type { BackFit, LabelDates, LabelTitles } from "@/core/timeline/fields";
import { LOOKS, type LookName, OWN_TEXTURES } from "@/core/timeline/looks";
import { type Item, itemsOf } from "@/core/timeline/timeline";
import { heldText, lookAlikeText, WORDS } from "@/core/words/looks";
import { classes } from "@/ui/classes";
import { Button } from "@/ui/controls/button";
import { Choice } from "@/ui/controls/choice";
import { FocusField } from "../media/focus-field";
import { OnItsWayRow } from "../media/on-its-way-row";
import { useOnTheirWay } from "../media/on-their-way";
import { HiddenFile } from "@/ui/controls/hidden-file";
import { Frame } from "../sheet/frame";
import { useEditor, useEditorState } from "../store/editor-context";
import { LookDrawing } from "./look-card";
import { SavedLooks } from "./saved-looks";
import type { SeenBy } from "./seen-by";

/** How the timeline looks: what it is built of, what lies behind it, what labels say, and how well all of it can be read. */
export function LookPanel({
  onTry,
  seenBy,
  onSeenBy,
  onClose,
}: {
  /** The look that is tried on the chart; null: none. */
  onTry: (look: LookName | null) => void;
  seenBy: SeenBy;
  onSeenBy: (by: SeenBy) => void;
  onClose: () => void;
}) {
  // Whatever is only tried ends with the panel.
  useEffect(
    () => () => {
      onTry(null);
      onSeenBy("all");
    },
    [onTry, onSeenBy],
  );
  return (
    <Frame title={WORDS.lookTitle} onClose={onClose}>
      <div className="flex flex-col gap-5">
        <Looks onTry={onTry} />
        <Choice
          label={WORDS.seenBy}
          hint={WORDS.seenHelp}
          value={seenBy}
          options={Object.entries(WORDS.seen)}
          onChoose={(by) => onSeenBy(by as SeenBy)}
        />
        <Behind />
        <Labels />
        <Contrast />
        <SavedLooks />
      </div>
    </Frame>
  );
}

function useSetting() {
  const { store } = useEditor();
  return (field: TimelineField, value: Value, group?: string) =>
    store.edit([{ kind: "set_timeline", field, value }], group ?? null);
}

function Looks({ onTry }: { onTry: (look: LookName | null) => void }) {
  const look = useEditorState((s) => s.timeline.look);
  const set = useSetting();
  const name = useId();
  return (
    <fieldset>
      <legend className="mb-1 font-sans text-[15px] font-bold">{WORDS.looks}</legend>
      <p className="mb-2 text-[13px] text-quiet">{WORDS.pointToTry}</p>
      <div className="grid grid-cols-3 gap-2">
        {LOOKS.map((l) => (
          <label
            key={l}
            className={classes(
              "relative block cursor-pointer rounded-md border p-1 has-focus-visible:outline-3 has-focus-visible:outline-offset-1 has-focus-visible:outline-slate",
              l === look ? "border-slate bg-sun-wash" : "border-edge bg-white hover:bg-verdigris-wash",
            )}
            onPointerEnter={(e) => {
              if (e.pointerType === "mouse") onTry(l);
            }}
            onPointerLeave={() => onTry(null)}
          >
            <input
              type="radio"
              name={name}
              className="absolute inset-0 cursor-pointer opacity-0"
              checked={l === look}
              onChange={() => {
                onTry(null);
                set("look", l);
              }}
            />
            <LookDrawing look={l} />
            <span className="block pt-0.5 text-center text-[14px]">{WORDS.names[l]}</span>
          </label>
        ))}
      </div>
    </fieldset>
  );
}

function Behind() {
  const timeline = useEditorState((s) => s.timeline);
  const { uploads } = useEditor();
  const set = useSetting();
  const input = useRef<HTMLInputElement>(null);
  const paperId = useId();
  const look = LOOK_TABLE[timeline.look] ?? LOOK_TABLE.slate;
  const back = itemsOf(timeline, "timeline", "back").find((i) => i.kind === "picture" && i.media);
  const onTheirWay = useOnTheirWay().filter((w) => w.of === "timeline" && w.list === "back");
  return (
    <section aria-label={WORDS.behind} className="flex flex-col gap-3">
      <h3 className="font-sans text-[15px] font-bold">{WORDS.behind}</h3>
      <div className="flex items-center gap-2">
        <label htmlFor={paperId} className="text-[13px] text-quiet">
          {WORDS.paper}
        </label>
        <input
          id={paperId}
          type="color"
          className="h-9 w-12 cursor-pointer rounded border border-edge bg-white p-0.5"
          value={timeline.paper || look.paper.toLowerCase()}
          onChange={(e) => set("paper", e.target.value, "timeline:paper")}
        />
        {timeline.paper ? (
          <Button size="small" kind="quiet" onClick={() => set("paper", "")}>
            {WORDS.asTheLook}
          </Button>
        ) : (
          <span className="text-[13px] text-quiet">{WORDS.asTheLook}</span>
        )}
      </div>
      <div className="grid grid-cols-2 gap-3">
        <Choice
          label={WORDS.texture}
          value={timeline.texture}
          options={OWN_TEXTURES.map((t) => [t, WORDS.textures[t]] as const)}
          onChoose={(t) => set("texture", t)}
        />
        <Choice
          label={WORDS.lines}
          value={String(timeline.lineWeight)}
          options={(["-1", "0", "1"] as const).map((w) => [w, WORDS.lineWeights[w]] as const)}
          onChoose={(w) => set("lineWeight", Number(w))}
        />
      </div>
      {uploads ? (
        <div>
          <h4 className="mb-1 font-sans text-[13px] font-normal text-quiet">{WORDS.ownPicture}</h4>
          {onTheirWay.map((w) => (
            <OnItsWayRow key={w.key} file={w} />
          ))}
          {back ? <BackPicture item={back} /> : null}
          {back || onTheirWay.length > 0 ? null : (
            <Button size="small" onClick={() => input.current?.click()}>
              <ImagePlus size={15} /> {WORDS.useAPicture}
            </Button>
          )}
          <HiddenFile
            input={input}
            accept="image/*"
            label={WORDS.pictureFile}
            onChoose={(file) => uploads.add("timeline", [file], { list: "back" })}
          />
          <p className="mt-1 text-[13px] text-quiet">{WORDS.pictureHelp}</p>
        </div>
      ) : null}
    </section>
  );
}

/** The picture behind the chart: how strongly and where it is seen. */
function BackPicture({ item }: { item: Item }) {
  const { store } = useEditor();
  const strength = useEditorState((s) => s.timeline.backStrength);
  const fit = useEditorState((s) => s.timeline.backFit);
  const held = useEditorState((s) => styleOf(s.timeline).held);
  const set = useSetting();
  const id = useId();
  const url = (size: string) => `/api/timelines/${store.timelineId}/media/${item.media}/${size}`;
  return (
    <div className="flex flex-col gap-2 rounded-md border border-line p-2">
      <div className="flex items-start gap-3">
        <img src={url("small")} alt="" className="h-20 rounded object-cover" />
        <Button
          size="small"
          kind="quiet"
          className="ms-auto"
          onClick={() => store.edit([{ kind: "delete_item", id: item.id }])}
        >
          <Trash2 size={15} /> {WORDS.takePictureAway}
        </Button>
      </div>
      <label htmlFor={id} className="text-[13px] text-quiet">
        {WORDS.strength}: {WORDS.percent(strength)}
      </label>
      <input
        id={id}
        type="range"
        min={1}
        max={100}
        value={strength}
        className="accent-verdigris"
        onChange={(e) => set("backStrength", Number(e.target.value), "timeline:backStrength")}
      />
      {held ? (
        <p role="status" className="text-[13px]">
          {heldText({ of: "picture", ...held })}
        </p>
      ) : null}
      <Choice
        label={WORDS.fit}
        value={fit}
        options={Object.entries(WORDS.fits)}
        onChoose={(f) => set("backFit", f as BackFit)}
      />
      {fit === "fill" ? <FocusField item={item} url={url("medium")} /> : null}
    </div>
  );
}

function Labels() {
  const dates = useEditorState((s) => s.timeline.labelDates);
  const titles = useEditorState((s) => s.timeline.labelTitles);
  const set = useSetting();
  return (
    <section aria-label={WORDS.labels} className="flex flex-col gap-3">
      <h3 className="font-sans text-[15px] font-bold">{WORDS.labels}</h3>
      <div className="grid grid-cols-2 gap-3">
        <Choice
          label={WORDS.dates}
          value={dates}
          options={Object.entries(WORDS.labelDates)}
          onChoose={(v) => set("labelDates", v as LabelDates)}
        />
        <Choice
          label={WORDS.titles}
          value={titles}
          options={Object.entries(WORDS.labelTitles)}
          onChoose={(v) => set("labelTitles", v as LabelTitles)}
        />
      </div>
    </section>
  );
}

/** How well everything can be read that is written on the chart, and what was altered for it. */
function Contrast() {
  const timeline = useEditorState((s) => s.timeline);
  const facts = useMemo(() => contrastFacts(timeline), [timeline]);
  const said = [
    // What is said of the picture stands where it is chosen.
    ...heldBack(timeline).flatMap((h) => (h.of === "picture" ? [] : [heldText(h)])),
    ...lookAlike(timeline).map((pair) =>
      lookAlikeText(timeline.categories.get(pair.one)!.name, timeline.categories.get(pair.other)!.name),
    ),
  ];
  return (
    <section aria-label={WORDS.contrast}>
      <h3 className="font-sans text-[15px] font-bold">{WORDS.contrast}</h3>
      <p className="mb-1.5 text-[13px] text-quiet">{WORDS.contrastHelp}</p>
      <dl className="grid grid-cols-[1fr_auto] gap-x-4 gap-y-0.5 text-[14px]">
        {facts.map((f) => (
          <div key={`${f.what} ${f.name}`} className="contents">
            <dt>{f.what === "category" ? WORDS.facts.category(f.name) : WORDS.facts[f.what]}</dt>
            <dd className="text-end font-bold tabular-nums">{WORDS.ratio(f.ratio)}</dd>
          </div>
        ))}
      </dl>
      {said.map((text) => (
        <p key={text} className="mt-1.5 text-[13px]">
          {text}
        </p>
      ))}
    </section>
  );
}
