"use client";

import { ImagePlus, Trash2 } from "lucide-react";
import { useRef, useState } from "react";
import { coordinatesText, readCoordinates } from "@/core/places/coordinates";
import { type Focus, MOST_TIES, type Point, type Tie } from "@/core/timeline/fields";
import { WORDS } from "@/core/words/places";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { HiddenFile } from "@/ui/controls/hidden-file";
import { Modal } from "@/ui/controls/modal";
import { Problem } from "@/ui/controls/problem";
import { MediaItem } from "../media/media-item";
import { useOnTheirWay } from "../media/on-their-way";
import { OnItsWayRow } from "../media/on-its-way-row";
import { useEditor, useEditorState } from "../store/editor-context";
import { ChooseSpot } from "./choose-spot";
import { type OwnMap, useOwnMap } from "./own-map";

/** The map of one's own: its picture with what is known of it, and how it is tied to the world. */
export function OwnMapField({ className }: { className?: string }) {
  const { uploads } = useEditor();
  const { map, fit } = useOwnMap();
  const onTheirWay = useOnTheirWay().filter((w) => w.of === "timeline" && w.list === "map");
  const input = useRef<HTMLInputElement>(null);
  return (
    <section aria-label={WORDS.ownMap} className={className}>
      <h3 className="mb-1 font-sans text-[15px] font-bold">{WORDS.ownMap}</h3>
      <p className="mb-2 text-[13px] text-quiet">{WORDS.ownMapHelp}</p>
      {map ? <MediaItem item={map.item} at={0} of={1} grip={null} /> : null}
      {onTheirWay.map((w) => (
        <OnItsWayRow key={w.key} file={w} />
      ))}
      {map || onTheirWay.length > 0 ? null : (
        <Button onClick={() => input.current?.click()}>
          <ImagePlus size={16} /> {WORDS.useAPicture}
        </Button>
      )}
      <HiddenFile
        input={input}
        accept="image/*"
        label={WORDS.ownMapFile}
        onChoose={(file) => uploads?.add("timeline", [file], { list: "map" })}
      />
      {map ? <Ties map={map} tied={fit !== null} /> : null}
    </section>
  );
}

/** Points of the map whose place on the earth is known. */
function Ties({ map, tied }: { map: OwnMap; tied: boolean }) {
  const { store } = useEditor();
  const ties = useEditorState((s) => s.timeline.mapTies);
  const [adding, setAdding] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const set = (value: readonly Tie[]) => setProblem(store.edit([{ kind: "set_timeline", field: "mapTies", value }]));
  return (
    <div className="mt-3">
      <h4 className="font-sans text-[14px] font-bold">{WORDS.ties}</h4>
      <p className="mb-1.5 text-[13px] text-quiet">{WORDS.tiesHelp}</p>
      <ol className="flex flex-col">
        {ties.map((t, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: points have no other name
          <li key={i} className="flex items-center gap-2 text-[14px]">
            <span className="flex-1">
              {WORDS.tieOf(i + 1)}: {coordinatesText(t)}
            </span>
            <button
              type="button"
              aria-label={WORDS.untie(i + 1)}
              title={WORDS.untie(i + 1)}
              className="rounded-md p-1.5 hover:bg-verdigris-wash"
              onClick={() => set(ties.filter((x) => x !== t))}
            >
              <Trash2 size={16} />
            </button>
          </li>
        ))}
      </ol>
      <p role="status" className="my-1 text-[13px] text-quiet">
        {tied ? WORDS.tied(ties.length) : WORDS.notTied(ties.length)}
      </p>
      {ties.length < MOST_TIES ? (
        <Button size="small" onClick={() => setAdding(true)}>
          {WORDS.addATie}
        </Button>
      ) : null}
      <Problem text={problem} className="mt-1" />
      <Modal title={WORDS.tieTitle} open={adding} onOpenChange={setAdding} wide>
        {adding ? (
          <AddTie
            map={map}
            onTake={(tie) => {
              set([...ties, tie]);
              setAdding(false);
            }}
          />
        ) : null}
      </Modal>
    </div>
  );
}

function AddTie({ map, onTake }: { map: OwnMap; onTake: (tie: Tie) => void }) {
  const [spot, setSpot] = useState<Focus | null>(null);
  const [text, setText] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const take = async () => {
    if (!spot) return;
    const read = readCoordinates(text);
    if (read === "latitude") return setProblem(WORDS.noLatitude(text.trim()));
    if (read === "longitude") return setProblem(WORDS.noLongitude(text.trim()));
    if (read) return onTake({ ...spot, ...read });
    const answer = await askServer<{ places: (Point & { name: string })[] }>(
      "GET",
      `/api/places?words=${encodeURIComponent(text.trim().slice(0, 100))}`,
    );
    if (!answer.ok) return setProblem(answer.sentence);
    const [first] = answer.value.places;
    if (!first) return setProblem(WORDS.noSuchPlace(text.trim()));
    onTake({ ...spot, lat: first.lat, lon: first.lon });
  };
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        void take();
      }}
    >
      <p className="text-[14px] text-quiet">{WORDS.tieStep}</p>
      <ChooseSpot map={map} spot={spot} onSpot={setSpot} label={WORDS.tieTitle} />
      <Field label={WORDS.tieWhere} problem={problem}>
        {(ids) => (
          <input
            id={ids.id}
            aria-describedby={ids.describedBy}
            className={INPUT}
            value={text}
            placeholder={WORDS.tieExample}
            onChange={(e) => {
              setText(e.target.value);
              setProblem(null);
            }}
          />
        )}
      </Field>
      <Button type="submit" kind="main" disabled={!spot || text.trim() === ""} className="w-fit">
        {WORDS.tieIt}
      </Button>
    </form>
  );
}
