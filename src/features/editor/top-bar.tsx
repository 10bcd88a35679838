"use client";

import { WORDS as COMMON } from "@/core/words/common";

import { WORDS } from "@/core/words/editor";
import { WORDS as LOCAL } from "@/core/words/editor-local";
import { PageLink } from "@/ui/page-link";
import { classes } from "@/ui/classes";
import { Button, buttonLook } from "@/ui/controls/button";
import { Logo } from "@/ui/logo";
import { useReady } from "@/ui/use-ready";
import { useEditor, useEditorState } from "./store/editor-context";
import { PeopleHere } from "./presence/here";
import type { Saving } from "./store/editor-state";

export function TitleText() {
  return useEditorState((s) => s.timeline.title) || COMMON.untitled;
}

/** `isLocal`: kept in this browser alone, which needs no network but room on its disk; `isKept`: whether this device's disk takes anything. */
export const savingText = (saving: Saving, isLocal: boolean, isKept: boolean): string =>
  ({
    saved: WORDS.saved,
    saving: WORDS.saving,
    offline: isLocal ? LOCAL.diskTakesNothing : isKept ? WORDS.notConnectedKeptOnThis : WORDS.notConnectedInThisTab,
    signed_out: isKept ? WORDS.signedOutKeptOnThis : WORDS.signedOutInThisTab,
    right_lost: WORDS.youCanNoLongerEdit2,
  })[saving];

export function TopBar({ onShare, onTitle }: { onShare: () => void; onTitle: () => void }) {
  const { store } = useEditor();
  const saving = useEditorState((s) => s.saving);
  const isKept = useEditorState((s) => s.isKept);
  const hearing = useEditorState((s) => s.hearing || s.editors.length < 2);
  const publication = useEditorState((s) => s.publication);
  const ready = useReady();
  const state = !publication
    ? COMMON.draft
    : publication.takenBack
      ? WORDS.takenBack
      : publication.laterChanges > 0
        ? WORDS.publishedLaterNotShown(
            publication.laterChanges,
            publication.laterChanges === 1 ? WORDS.change : WORDS.changes,
          )
        : COMMON.published;
  return (
    <header className="flex h-14 shrink-0 items-center gap-3 bg-slate px-[18px] text-white max-sm:gap-2 max-sm:px-3">
      <PageLink href="/" aria-label={WORDS.yourTimelines} className="rounded-md">
        <Logo />
      </PageLink>
      <div className="min-w-0">
        <button
          type="button"
          onClick={onTitle}
          title={WORDS.aboutThisTimeline}
          className="block min-h-6 max-w-full truncate rounded font-head text-[19px] leading-tight font-[650] hover:underline max-sm:text-[16px]"
        >
          <TitleText />
        </button>
        <p className="truncate text-[13px] text-[#c5d3d3]">{state}</p>
      </div>
      <div className="ms-auto flex shrink-0 items-center gap-3 max-sm:gap-1.5">
        <span
          role="status"
          data-testid="saving"
          className={classes(
            "text-[13px] max-sm:max-w-[108px] max-sm:text-[12px] max-sm:leading-[13px]",
            saving === "saved" || saving === "saving" ? "text-[#c5d3d3]" : "font-bold text-sun",
          )}
        >
          {savingText(saving, store.isLocal, isKept)}
          {saving === "saved" && !hearing ? (
            <span className="font-bold text-sun"> {WORDS.othersChangesComeEvery15}</span>
          ) : null}
        </span>
        <PeopleHere />
        {store.isLocal ? null : (
          <a
            href={`/timelines/${store.timelineId}/reader`}
            target="_blank"
            rel="noreferrer"
            className={classes(buttonLook("dark"), "max-sm:px-2")}
          >
            <span className="max-sm:hidden">{WORDS.seeItAsAReader}</span>
            <span className="sm:hidden">{WORDS.read}</span>
          </a>
        )}
        <Button kind="sun" onClick={onShare} disabled={!ready} className="max-sm:px-2.5">
          {WORDS.share}
        </Button>
      </div>
    </header>
  );
}
