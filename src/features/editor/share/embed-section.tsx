"use client";

import { useState } from "react";
import { embedCode, EMBED_HEIGHT, type EmbedFirst, LARGEST_EMBED, SMALLEST_EMBED } from "@/core/published/embed-code";
import { inOrder } from "@/core/timeline/order";
import { WORDS } from "@/core/words/editor-share";
import { CopyText } from "@/ui/controls/copy-text";
import { Button } from "@/ui/controls/button";
import { INPUT } from "@/ui/controls/field";
import { HowItGoes } from "@/ui/controls/how-it-goes";
import { Problem } from "@/ui/controls/problem";
import { useEditorState } from "../store/editor-context";
import type { Publication } from "../store/ports";
import { asItIs, usePublishing } from "./use-publishing";

/** Showing it in pages of other sites: in which it may stand, and the code for them. */
export function EmbedSection({ publication, owner }: { publication: Publication; owner: boolean }) {
  const { busy, problem, publish } = usePublishing();
  const timeline = useEditorState((s) => s.timeline);
  const [sites, setSites] = useState<string | null>(null);
  const [first, setFirst] = useState("");
  const [growing, setGrowing] = useState(false);
  const [px, setPx] = useState(EMBED_HEIGHT);
  const isPublic =
    publication.state === "open" && (publication.visibility === "link" || publication.visibility === "everybody");
  const any = publication.embedSites.includes("*");
  const named = publication.embedSites.filter((s) => s !== "*");
  const choice = any ? "any" : named.length > 0 || sites !== null ? "these" : "none";
  const set = (embedSites: string[]) => publish({ ...asItIs(publication), embedSites }, false);
  const view =
    typeof window === "undefined" ? "" : (new URLSearchParams(window.location.hash.slice(1)).get("view") ?? "");
  const page = typeof window === "undefined" ? "" : `${window.location.origin}/t/${publication.address}`;
  return (
    <section aria-label={WORDS.embed} className="mt-5 border-t border-line pt-4">
      <h3 className="mb-1 text-[16px]">
        {WORDS.embed} <HowItGoes task="embed" className="ms-2 font-sans font-normal" />
      </h3>
      {isPublic ? null : (
        <p role="note" className="mb-2 rounded-md bg-sun-wash px-3 py-2 text-[14px]">
          {publication.visibility === "link" || publication.visibility === "everybody"
            ? WORDS.notOpenNow
            : WORDS.notPublicSoNoCode}
        </p>
      )}
      {owner ? (
        <fieldset className="mb-3" disabled={busy}>
          <legend className="mb-1 text-[13px] text-quiet">{WORDS.whereItMayStand}</legend>
          {(["none", "these", "any"] as const).map((value) => (
            <label key={value} className="flex items-baseline gap-2 py-1">
              <input
                type="radio"
                name="embed-sites"
                className="accent-verdigris"
                checked={choice === value}
                onChange={() => {
                  if (value === "these") {
                    setSites("");
                    if (any) void set([]);
                  } else {
                    setSites(null);
                    void set(value === "any" ? ["*"] : []);
                  }
                }}
              />
              {WORDS.mayStand[value]}
            </label>
          ))}
          {choice === "these" ? (
            <div className="mt-1 flex flex-wrap items-end gap-2">
              <label className="block min-w-[240px] flex-1 text-[13px] text-quiet">
                {WORDS.theseSites}
                <textarea
                  className={`${INPUT} mt-1 h-16 py-2`}
                  placeholder={WORDS.siteExample}
                  value={sites ?? named.join("\n")}
                  onChange={(e) => setSites(e.target.value)}
                />
              </label>
              <Button
                disabled={sites === null}
                onClick={async () => {
                  if (await set((sites ?? "").split(/[\s,]+/).filter(Boolean))) setSites(null);
                }}
              >
                {WORDS.saveSites}
              </Button>
            </div>
          ) : null}
        </fieldset>
      ) : null}
      <Problem text={problem} className="mb-2" />
      {isPublic && publication.embedSites.length > 0 ? (
        <>
          <div className="mb-3 grid gap-3 sm:grid-cols-2">
            <label className="block text-[13px] text-quiet">
              {WORDS.showsFirst}
              <select className={`${INPUT} mt-1`} value={first} onChange={(e) => setFirst(e.target.value)}>
                <option value="">{WORDS.firstChart}</option>
                {view ? <option value="view">{WORDS.firstView}</option> : null}
                <option value="read">{WORDS.firstRead}</option>
                <option value="practice">{WORDS.firstPractice}</option>
                {inOrder(timeline.events.values())
                  .slice(0, 200)
                  .map((e) => (
                    <option key={e.id} value={`e-${e.id}`}>
                      {WORDS.firstEvent(e.title || WORDS.untitled)}
                    </option>
                  ))}
              </select>
            </label>
            <fieldset>
              <legend className="text-[13px] text-quiet">{WORDS.height}</legend>
              <div className="mt-1 flex flex-wrap items-center gap-3">
                <label className="flex items-center gap-1.5">
                  <input
                    type="radio"
                    name="embed-height"
                    className="accent-verdigris"
                    checked={!growing}
                    onChange={() => setGrowing(false)}
                  />
                  {WORDS.fixedHeight}
                </label>
                <input
                  type="number"
                  aria-label={WORDS.heightPx}
                  className={INPUT}
                  style={{ width: 96 }}
                  min={SMALLEST_EMBED}
                  max={LARGEST_EMBED}
                  disabled={growing}
                  value={px}
                  onChange={(e) => setPx(Number(e.target.value) || EMBED_HEIGHT)}
                />
                <label className="flex items-center gap-1.5">
                  <input
                    type="radio"
                    name="embed-height"
                    className="accent-verdigris"
                    checked={growing}
                    onChange={() => setGrowing(true)}
                  />
                  {WORDS.growingHeight}
                </label>
              </div>
            </fieldset>
          </div>
          <CopyText
            label={WORDS.code}
            text={embedCode({
              page,
              title: timeline.title || WORDS.untitled,
              first: (first === "view" ? "" : first) as EmbedFirst,
              ...(first === "view" ? { view } : {}),
              height: growing ? { kind: "growing" } : { kind: "fixed", px },
            })}
          />
        </>
      ) : null}
    </section>
  );
}
