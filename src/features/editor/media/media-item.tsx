"use client";

import { ASKS, NAMES } from "@/core/words/licences";
import { WORDS } from "@/core/words/editor-sheet";
import { problemText } from "@/core/words/findings";
import { ArrowDown, ArrowUp, Trash2 } from "lucide-react";
import { type ReactNode, type RefObject, useRef } from "react";
import { LICENCES, licenceOf } from "@/core/timeline/licences";
import { pictureReach } from "@/core/timeline/picture-reach";
import { playedFragment } from "@/core/timeline/played";
import { secondText } from "@/core/text/webvtt";
import type { Item } from "@/core/timeline/timeline";
import { TextField } from "../sheet/text-field";
import { useEditor, useEditorState } from "../store/editor-context";
import { moveItem } from "../store/event-deeds";
import { CutPicture } from "./cut-picture";
import { FocusField } from "./focus-field";
import { OutsideFacts, OutsideStill } from "./outside-item";
import { PlayedPart } from "./played-part";

/** One picture, video or sound: what is known of it, and what can be done with it. */
export function MediaItem({ item, at, of, grip }: { item: Item; at: number; of: number; grip: ReactNode }) {
  const { store } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const player = useRef<HTMLMediaElement>(null);
  const set = (field: "text" | "caption" | "credit" | "licence" | "address") => (value: string) =>
    store.edit([{ kind: "set_item", id: item.id, field, value }], `item:${item.id}:${field}`);
  const reach = item.kind === "picture" && item.width && item.height ? pictureReach(item.width, item.height) : null;
  // What stays at another site: a player of its own, or a page.
  const outside = item.kind === "page" || item.player !== "";
  const licence = licenceOf(item.licence);
  const url = (size: string) => `/api/timelines/${store.timelineId}/media/${item.media}/${size}`;
  return (
    <div className="rounded-md border border-line bg-white p-2.5" data-testid="media-item">
      <div className="mb-2 flex items-start gap-3">
        {grip}
        {outside ? (
          <OutsideStill item={item} />
        ) : item.kind === "picture" ? (
          <a href={url("large")} target="_blank" rel="noreferrer" aria-label={WORDS.openThePictureLarge}>
            <img src={url("small")} alt={item.text} className="h-[72px] w-[104px] rounded object-cover" />
          </a>
        ) : item.kind === "video" ? (
          <video
            ref={player as RefObject<HTMLVideoElement>}
            src={url("whole") + playedFragment(item)}
            controls
            {...(item.width ? { preload: "none", poster: url("small") } : { preload: "metadata" })}
            className="h-[96px] w-[170px] rounded bg-slate"
          />
        ) : (
          // biome-ignore lint/a11y/useMediaCaption: as above
          <audio
            ref={player as RefObject<HTMLAudioElement>}
            src={url("whole") + playedFragment(item)}
            controls
            preload="metadata"
            className="w-[240px]"
          />
        )}
        <div className="min-w-0 flex-1 text-[13px] text-quiet">
          {outside ? <OutsideFacts item={item} /> : null}
          {item.width && !outside ? (
            <p>
              {WORDS.pixels(item.width, item.height ?? 0)}
              {item.moving ? WORDS.moves : ""}
            </p>
          ) : null}
          {item.voice ? <p className="font-bold text-ink">{WORDS.aVoice}</p> : null}
          {item.length ? <p>{WORDS.lasts(secondText(Math.round(item.length * 10) / 10))}</p> : null}
          {item.credit.trim() === "" && item.kind !== "sound" && item.kind !== "page" ? (
            <p className="font-bold text-copper-dark">{WORDS.noCreditYet}</p>
          ) : null}
          {item.kind === "picture" && item.text.trim() === "" ? (
            <p className="font-bold text-copper-dark">{WORDS.noAlternativeYet}</p>
          ) : null}
          {reach && !reach.screen ? (
            <p className="font-bold text-copper-dark">{WORDS.tooSmall(reach.paperCm)}</p>
          ) : null}
          {reach?.screen ? <p>{WORDS.reaches(reach.paperCm, reach.poster)}</p> : null}
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
      {item.kind === "picture" || item.kind === "page" ? null : <PlayedPart item={item} player={player} />}
      {/* Cut anew, a map would no longer lie under what stands on it. */}
      {item.kind === "picture" && item.list === "media" ? (
        <div className="flex flex-wrap items-start gap-x-4">
          <CutPicture item={item} />
          <FocusField item={item} url={url("medium")} />
        </div>
      ) : null}
      <div className="flex flex-col gap-2">
        <TextField
          label={item.kind === "picture" ? WORDS.whatItShowsForThose : WORDS.title}
          value={item.text}
          onChange={set("text")}
        />
        <TextField
          label={item.kind === "page" ? WORDS.whatThePageSays : WORDS.caption}
          value={item.caption}
          multiline={item.kind === "page"}
          onChange={set("caption")}
          placeholder={item.kind === "page" ? undefined : WORDS.standsUnderIt}
        />
        <div className="grid grid-cols-2 gap-2">
          <TextField label={WORDS.credit} value={item.credit} onChange={set("credit")} placeholder={WORDS.whoMadeIt} />
          <TextField label={WORDS.licence} value={item.licence} onChange={set("licence")} list="licences" />
        </div>
        {licence ? (
          <p
            className={
              licence.forbids || (licence.unaltered && item.cut)
                ? "text-[13px] font-bold text-copper-dark"
                : "text-[13px] text-quiet"
            }
          >
            {licence.unaltered && item.cut
              ? problemText(
                  { code: "licence_forbids", event: item.of, item: item.id, what: "altered", licence: licence.name },
                  timeline,
                )
              : WORDS.licenceAsks(licence.name, ASKS[licence.name] ?? "")}
          </p>
        ) : null}
        <TextField
          label={WORDS.whereItWasFound}
          value={item.address}
          onChange={set("address")}
          placeholder={WORDS.https}
        />
        <datalist id="licences">
          {LICENCES.map((l) => (
            <option key={l.name} value={NAMES[l.name] ?? l.name}>
              {ASKS[l.name]}
            </option>
          ))}
        </datalist>
      </div>
    </div>
  );
}
