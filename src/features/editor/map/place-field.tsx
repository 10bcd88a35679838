"use client";

import { MapPin } from "lucide-react";
import { useEffect, useId, useMemo, useRef, useState } from "react";
import { coordinatesText, readCoordinates } from "@/core/places/coordinates";
import { spotOf } from "@/core/places/own-map";
import type { Focus, Point } from "@/core/timeline/fields";
import type { TimelineEvent } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/places";
import { askServer } from "@/ui/ask-server";
import { classes } from "@/ui/classes";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { Modal } from "@/ui/controls/modal";
import { Problem } from "@/ui/controls/problem";
import { useEditor, useEditorState } from "../store/editor-context";
import { ChooseSpot } from "./choose-spot";
import { OwnMapView, WorldView } from "./map-view";
import { type OwnMap, useOwnMap } from "./own-map";

interface Suggested extends Point {
  name: string;
  more: string;
  /** It is the town within what was written, which stays. */
  within?: true;
}

/** How long one stops typing before it is looked for, ms. */
const REST_MS = 250;
const LINK = "min-h-6 text-[13px] font-bold text-verdigris underline";

/** Where an event happened: written, looked up among the towns there are and the places of this timeline, set on the map. */
export function PlaceField({ event }: { event: TimelineEvent }) {
  const { store } = useEditor();
  const events = useEditorState((s) => s.timeline.events);
  const [text, setText] = useState(event.place);
  const [problem, setProblem] = useState<string | null>(null);
  const [found, setFound] = useState<Suggested[]>([]);
  const [at, setAt] = useState(-1);
  const [open, setOpen] = useState(false);
  const [onMap, setOnMap] = useState(false);
  const listId = useId();
  const saved = useRef(event.place);
  useEffect(() => {
    if (event.place === saved.current) return;
    saved.current = event.place;
    setText(event.place);
  }, [event.place]);

  // The places of this timeline come first: a town written twice is the same town.
  const own = useMemo(() => {
    const known = new Map<string, Suggested>();
    for (const e of events.values())
      if (!e.deleted && e.place && e.point && e.id !== event.id)
        known.set(e.place, { name: e.place, more: "", ...e.point });
    return known;
  }, [events, event.id]);
  useEffect(() => {
    if (!open) return;
    const wanted = text.trim();
    const mine = [...own.values()].filter((p) => wanted && p.name.toLowerCase().startsWith(wanted.toLowerCase()));
    if (wanted.length < 2) return setFound(mine);
    let current = true;
    const rest = setTimeout(async () => {
      const answer = await askServer<{ places: Suggested[] }>(
        "GET",
        `/api/places?words=${encodeURIComponent(wanted.slice(0, 100))}`,
      );
      if (current) setFound([...mine, ...(answer.ok ? answer.value.places : [])].slice(0, 8));
    }, REST_MS);
    return () => {
      current = false;
      clearTimeout(rest);
    };
  }, [text, open, own]);

  const write = (value: string) => {
    setText(value);
    setAt(-1);
    setOpen(true);
    const refused = store.edit([{ kind: "set_event", id: event.id, field: "place", value }], `place:${event.id}`);
    setProblem(refused);
    if (!refused) saved.current = value;
  };
  const take = (p: Suggested) => {
    setOpen(false);
    setAt(-1);
    const name = p.within ? text : p.name;
    setText(name);
    saved.current = name;
    setProblem(
      store.edit([
        { kind: "set_event", id: event.id, field: "place", value: name },
        { kind: "set_event", id: event.id, field: "point", value: { lat: p.lat, lon: p.lon } },
      ]),
    );
  };
  const setPoint = (point: Point | null) =>
    setProblem(store.edit([{ kind: "set_event", id: event.id, field: "point", value: point }]));
  const { map, fit } = useOwnMap();
  const shown = open && found.length > 0;
  const marks = useMemo(
    () => (event.point ? [{ id: event.id, colour: MARK, at: event.point }] : []),
    [event.id, event.point],
  );
  return (
    <div>
      <Field label={WORDS.place} problem={problem}>
        {(ids) => (
          // biome-ignore lint/a11y/noStaticElementInteractions: it only hears that the focus has left
          <div
            className="relative"
            onBlur={(e) => {
              if (!e.currentTarget.contains(e.relatedTarget)) setOpen(false);
            }}
          >
            <input
              id={ids.id}
              aria-describedby={ids.describedBy}
              role="combobox"
              aria-expanded={shown}
              aria-controls={listId}
              aria-autocomplete="list"
              {...(at >= 0 ? { "aria-activedescendant": `${listId}-${at}` } : {})}
              className={INPUT}
              value={text}
              placeholder={WORDS.whereItHappened}
              autoComplete="off"
              onChange={(e) => write(e.target.value)}
              onKeyDown={(e) => {
                if (e.nativeEvent.isComposing || !shown) return;
                if (e.key === "ArrowDown" || e.key === "ArrowUp") {
                  e.preventDefault();
                  const next = at + (e.key === "ArrowDown" ? 1 : -1);
                  setAt(Math.max(-1, Math.min(found.length - 1, next)));
                } else if (e.key === "Enter" && at >= 0) {
                  e.preventDefault();
                  take(found[at]!);
                } else if (e.key === "Escape") {
                  e.preventDefault();
                  e.stopPropagation();
                  setOpen(false);
                }
              }}
            />
            <div
              id={listId}
              role="listbox"
              aria-label={WORDS.found(found.length)}
              hidden={!shown}
              className="absolute inset-x-0 top-full z-20 mt-1 overflow-hidden rounded-md border border-edge bg-white shadow-lg"
            >
              {found.map((p, i) => (
                <div
                  key={`${p.name} ${p.lat} ${p.lon}`}
                  id={`${listId}-${i}`}
                  role="option"
                  tabIndex={-1}
                  aria-selected={i === at}
                  className={classes(
                    "flex min-h-8 cursor-pointer items-baseline gap-2 px-2.5 py-1 max-sm:min-h-11 max-sm:items-center hover:bg-verdigris-wash",
                    i === at && "bg-verdigris-wash",
                  )}
                  // The field keeps the focus.
                  onPointerDown={(e) => e.preventDefault()}
                  onClick={() => take(p)}
                  onKeyDown={(e) => {
                    if (e.key === "Enter") take(p);
                  }}
                >
                  <span className="font-bold">{p.name}</span>
                  <span className="text-[13px] text-quiet">
                    {p.within ? WORDS.within(p.more) : p.more || WORDS.onTheMap}
                  </span>
                </div>
              ))}
            </div>
          </div>
        )}
      </Field>
      {event.point ? (
        <div className="mt-2">
          <WorldView
            key={`${event.id} ${coordinatesText(event.point)}`}
            marks={marks}
            selected={event.id}
            label={`${WORDS.onTheMap}: ${event.place || coordinatesText(event.point)}`}
            className="h-[150px]"
          />
          <p className="mt-1 flex flex-wrap gap-x-4 text-[13px] text-quiet">
            <span>{coordinatesText(event.point)}</span>
            {event.place === "" ? <NearestTown point={event.point} onTake={write} /> : null}
            <button type="button" className={LINK} onClick={() => setOnMap(true)}>
              {WORDS.moveOnMap}
            </button>
            <button type="button" className={LINK} onClick={() => setPoint(null)}>
              {WORDS.takeOff}
            </button>
          </p>
        </div>
      ) : (
        <button type="button" className={`${LINK} mt-1 inline-flex items-center gap-1`} onClick={() => setOnMap(true)}>
          <MapPin size={14} /> {WORDS.setOnMap}
        </button>
      )}
      {map ? <OnOwnMap event={event} map={map} spot={spotOf(event, fit)} /> : null}
      <Modal title={WORDS.chooseTitle} open={onMap} onOpenChange={setOnMap} wide>
        {onMap ? (
          <ChoosePoint
            point={event.point}
            near={[...own.values()]}
            onTake={(p) => {
              setPoint(p);
              setOnMap(false);
            }}
          />
        ) : null}
      </Modal>
    </div>
  );
}

/** A place set by hand has no name yet: the nearest town's is offered. */
function NearestTown({ point, onTake }: { point: Point; onTake: (name: string) => void }) {
  const [town, setTown] = useState<{ name: string; km: number } | null>(null);
  const near = coordinatesText(point);
  useEffect(() => {
    let current = true;
    void askServer<{ places: { name: string; km: number }[] }>(
      "GET",
      `/api/places?near=${encodeURIComponent(near)}`,
    ).then((answer) => {
      if (current && answer.ok) setTown(answer.value.places[0] ?? null);
    });
    return () => {
      current = false;
    };
  }, [near]);
  if (!town) return null;
  return (
    <button type="button" className={LINK} onClick={() => onTake(town.name)}>
      {WORDS.callIt(town.name, Math.round(town.km))}
    </button>
  );
}

/** Where it happened on the map of one's own. */
function OnOwnMap({ event, map, spot }: { event: TimelineEvent; map: OwnMap; spot: Focus | null }) {
  const { store } = useEditor();
  const [open, setOpen] = useState(false);
  const [chosen, setChosen] = useState<Focus | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const set = (value: Focus | null) =>
    setProblem(store.edit([{ kind: "set_event", id: event.id, field: "onMap", value }]));
  const marks = useMemo(() => (spot ? [{ id: event.id, colour: MARK, at: spot }] : []), [event.id, spot]);
  const begin = () => {
    setChosen(spot);
    setOpen(true);
  };
  return (
    <div className="mt-2">
      {spot ? (
        <>
          <OwnMapView map={map} marks={marks} selected={event.id} label={WORDS.ownMap} className="h-[150px]" />
          <p className="mt-1 flex flex-wrap gap-x-4 text-[13px] text-quiet">
            {event.onMap ? null : <span>{WORDS.onOwnByPlace}</span>}
            <button type="button" className={LINK} onClick={begin}>
              {WORDS.moveOnOwn}
            </button>
            {event.onMap ? (
              <button type="button" className={LINK} onClick={() => set(null)}>
                {WORDS.takeOffOwn}
              </button>
            ) : null}
          </p>
        </>
      ) : (
        <button type="button" className={`${LINK} inline-flex items-center gap-1`} onClick={begin}>
          <MapPin size={14} /> {WORDS.setOnOwn}
        </button>
      )}
      <Problem text={problem} />
      <Modal title={WORDS.chooseOnOwn} open={open} onOpenChange={setOpen} wide>
        {open ? (
          <div className="flex flex-col gap-3">
            <p className="text-[14px] text-quiet">{WORDS.chooseOnOwnHelp}</p>
            <ChooseSpot map={map} spot={chosen} onSpot={setChosen} label={WORDS.chooseOnOwn} />
            <Button
              kind="main"
              className="w-fit"
              disabled={!chosen}
              onClick={() => {
                set(chosen);
                setOpen(false);
              }}
            >
              {WORDS.takeSpot}
            </Button>
          </div>
        ) : null}
      </Modal>
    </div>
  );
}

const MARK = "#0B6E69";
const NO_MARKS: never[] = [];

function ChoosePoint({
  point,
  near,
  onTake,
}: {
  point: Point | null;
  near: readonly Point[];
  onTake: (at: Point) => void;
}) {
  const [chosen, setChosen] = useState<Point | null>(point);
  const [text, setText] = useState(point ? coordinatesText(point) : "");
  const [problem, setProblem] = useState<string | null>(null);
  const around = useRef(point ? [point] : near);
  const choose = (at: Point) => {
    setChosen(at);
    setText(coordinatesText(at));
    setProblem(null);
  };
  const read = (): Point | null => {
    if (chosen && text.trim() === coordinatesText(chosen)) return chosen;
    const got = readCoordinates(text);
    if (got === null) setProblem(WORDS.noCoordinates(text.trim()));
    else if (got === "latitude") setProblem(WORDS.noLatitude(text.trim()));
    else if (got === "longitude") setProblem(WORDS.noLongitude(text.trim()));
    else {
      choose(got);
      return got;
    }
    return null;
  };
  return (
    <div className="flex flex-col gap-3">
      <p className="text-[14px] text-quiet">{WORDS.chooseHelp}</p>
      <WorldView
        marks={NO_MARKS}
        selected={null}
        chosen={chosen}
        around={around.current}
        onPoint={choose}
        label={WORDS.chooseTitle}
        className="h-[46vh]"
      />
      <form
        className="flex items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          const at = read();
          if (at) onTake(at);
        }}
      >
        <label className="flex-1 text-[13px] text-quiet">
          {WORDS.coordinates}
          <input
            className={INPUT}
            value={text}
            placeholder={WORDS.coordinatesExample}
            onChange={(e) => setText(e.target.value)}
          />
        </label>
        <Button type="submit" kind="main" disabled={text.trim() === ""}>
          {WORDS.take}
        </Button>
      </form>
      <Problem text={problem} />
    </div>
  );
}
