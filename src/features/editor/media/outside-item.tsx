"use client";

import { HiddenFile } from "@/ui/controls/hidden-file";
import { WORDS } from "@/core/words/editor-sheet";
import { ExternalLink, ImagePlus } from "lucide-react";
import { useRef } from "react";
import { safeAddress } from "@/core/text/description";
import type { Item } from "@/core/timeline/timeline";
import { useEditor } from "../store/editor-context";

const hostOf = (address: string) => new URL(address).host.replace(/^www\./, "");
const LINK = "inline-flex min-h-6 items-center gap-1 font-bold text-verdigris underline";

/** The still of what is played at another site; nothing of the site itself is loaded here. */
export function OutsideStill({ item }: { item: Item }) {
  const { store } = useEditor();
  if (!item.media) return null;
  return (
    <img
      src={`/api/timelines/${store.timelineId}/media/${item.media}/small`}
      alt=""
      className="h-[72px] w-[104px] shrink-0 rounded object-cover"
    />
  );
}

/** What is said of something that stays at another site: where it is, the way there, and a still of one's own for it. */
export function OutsideFacts({ item }: { item: Item }) {
  const { uploads } = useEditor();
  const input = useRef<HTMLInputElement>(null);
  const address = safeAddress(item.address);
  const host = address ? hostOf(address) : item.address;
  return (
    <>
      <p>{item.kind === "page" ? WORDS.cardOf(host) : WORDS.staysThere(host)}</p>
      <p className="flex flex-wrap gap-x-4">
        {address ? (
          <a className={LINK} href={address} target="_blank" rel="noopener noreferrer">
            <ExternalLink size={14} /> {WORDS.openIt}
          </a>
        ) : null}
        {item.kind === "page" || !uploads ? null : (
          <>
            <button type="button" className={LINK} onClick={() => input.current?.click()}>
              <ImagePlus size={14} /> {item.media ? WORDS.otherStill : WORDS.chooseStill}
            </button>
            <HiddenFile
              input={input}
              accept="image/*"
              label={WORDS.stillFor(item.text)}
              onChoose={(file) => uploads.add(item.of, [file], { stillOf: item.id })}
            />
          </>
        )}
      </p>
    </>
  );
}
