"use client";

import { locale } from "@/core/language/spoken";
import { WORDS as LOOK } from "@/core/words/looks";
import { ColourField } from "../look/colour-field";
import { WORDS } from "@/core/words/editor-about";
import { isDated } from "@/core/time/when";
import { ChevronDown, ChevronUp, Plus, Trash2 } from "lucide-react";
import { orderOf } from "@/core/timeline/order";
import { BegunWith } from "@/ui/begun-with";
import { isOfMedia, problems } from "@/core/timeline/problems";
import { categoriesOf } from "@/core/timeline/timeline";
import { CoverPlaceField } from "./cover-place-field";
import { PATTERNS, type Pattern } from "@/core/timeline/looks";
import { Mark } from "../mark";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { OwnDeviceField } from "../own-device/own-device-field";
import { AddressCheck } from "./address-check";
import { ChartSettings } from "./chart-settings";
import { SourceManner } from "../sources/sources-field";
import { DateSettings } from "./date-settings";
import { useEditor, useEditorState } from "../store/editor-context";
import { newCategory, putCategory } from "../store/event-deeds";
import { Frame } from "../sheet/frame";
import { LazyDescription } from "../sheet/lazy-description";
import { MediaField } from "../media/media-field";
import { WholeVoice } from "../media/whole-voice";
import { TextField } from "../sheet/text-field";
import { WhenField } from "../sheet/when-field";
import { wordsIn } from "../words";
import { workedOutText } from "@/core/timeline/period";
import { mannerOf } from "@/core/timeline/read-options";
import { Finding } from "./finding";

/** Languages to choose from, as BCP 47 names them. */
const LANGUAGES = [
  "en",
  "en-GB",
  "en-US",
  "cy",
  "ga",
  "gd",
  "fr",
  "de",
  "es",
  "it",
  "pt",
  "nl",
  "da",
  "sv",
  "nb",
  "fi",
  "is",
  "pl",
  "cs",
  "sk",
  "hu",
  "ro",
  "bg",
  "el",
  "tr",
  "uk",
  "ru",
  "ar",
  "he",
  "fa",
  "ur",
  "hi",
  "bn",
  "zh",
  "ja",
  "ko",
  "vi",
  "sw",
  "la",
] as const;

/** A language in its own words, and in English. */
function languageName(code: string): string {
  try {
    const own = new Intl.DisplayNames([code], { type: "language" }).of(code) ?? code;
    const here = new Intl.DisplayNames([locale()], { type: "language" }).of(code) ?? code;
    return own.toLowerCase() === here.toLowerCase() ? here : `${here} – ${own}`;
  } catch {
    return code;
  }
}

/** The opening page, the period, the scale and the categories of the whole timeline. */
export function SettingsSheet({
  build,
  onSources,
  onClose,
}: {
  build: string;
  onSources: () => void;
  onClose: () => void;
}) {
  const { store } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const set = (field: "title" | "subject" | "byline") => (value: string) =>
    store.edit([{ kind: "set_timeline", field, value }], `timeline:${field}`);
  const categories = categoriesOf(timeline);
  const dated = orderOf(timeline.events).filter((e) => isDated(e.when));
  const found = problems(timeline).filter((p) => !isOfMedia(p));
  return (
    <Frame title={WORDS.aboutThisTimeline} onClose={onClose}>
      <div className="flex flex-col gap-3.5">
        <BegunWith of={timeline.basedOn} className="text-[14px] text-quiet" />
        <TextField label={WORDS.title} strong value={timeline.title} onChange={set("title")} />
        <LazyDescription of="introduction" label={WORDS.introduction} words={wordsIn(timeline.introduction)} />
        <LazyDescription of="closing" label={WORDS.closingPage} words={wordsIn(timeline.closing)} />
        <TextField label={WORDS.subject} value={timeline.subject} onChange={set("subject")} />
        <TextField
          label={WORDS.byLine}
          value={timeline.byline}
          hint={WORDS.whoStandsAsItsAuthor}
          onChange={set("byline")}
        />
        <Field label={WORDS.language} hint={WORDS.languageFor}>
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={timeline.language}
              onChange={(e) => store.edit([{ kind: "set_timeline", field: "language", value: e.target.value }])}
            >
              {(LANGUAGES as readonly string[]).includes(timeline.language) ? null : (
                <option value={timeline.language}>{timeline.language}</option>
              )}
              {LANGUAGES.map((l) => (
                <option key={l} value={l}>
                  {languageName(l)}
                </option>
              ))}
            </select>
          )}
        </Field>
        <MediaField of="timeline" label={WORDS.coverPicture} most={1} />
        <CoverPlaceField />
        <WholeVoice />
        <WhenField
          label={WORDS.period}
          value={timeline.period}
          hint={
            dated.length > 0
              ? WORDS.workedOutFromTheEvents(workedOutText(dated, mannerOf(timeline)))
              : WORDS.workedOutFromTheEvents2
          }
          onChange={(value) => store.edit([{ kind: "set_timeline", field: "period", value }])}
        />
        <Field
          label={WORDS.scale}
          hint={
            {
              balanced: WORDS.inDateOrderBusyStretches,
              true: WORDS.byDateAloneEqualTimes,
              even: WORDS.oneStepAnEventWhatever,
            }[timeline.scale]
          }
        >
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={timeline.scale}
              onChange={(e) => store.edit([{ kind: "set_timeline", field: "scale", value: e.target.value }])}
            >
              <option value="balanced">{WORDS.balanced}</option>
              <option value="true">{WORDS.true}</option>
              <option value="even">{WORDS.even}</option>
            </select>
          )}
        </Field>
        <SourceManner onList={onSources} />
        <ChartSettings />
        <DateSettings />
        <section aria-label={WORDS.categories}>
          <h3 className="mb-1 font-sans text-[13px] font-normal text-quiet">{WORDS.categories}</h3>
          <ul className="flex flex-col gap-2">
            {categories.map((c, i) => {
              const change = (field: "name" | "colour" | "pattern" | "loudness", value: string | number) =>
                store.edit([{ kind: "set_category", id: c.id, field, value }], `category:${c.id}:${field}`);
              return (
                <li
                  key={c.id}
                  className="grid grid-cols-[24px_28px_minmax(0,1fr)_minmax(0,1fr)_30px] items-center gap-x-1.5 gap-y-1"
                >
                  <span className="row-span-2 flex flex-col">
                    {[-1, 1].map((way) => (
                      <button
                        key={way}
                        type="button"
                        aria-label={WORDS.move(c.name, way < 0 ? WORDS.up : WORDS.down)}
                        disabled={i + way < 0 || i + way >= categories.length}
                        className="flex h-6 w-6 items-center justify-center rounded hover:bg-verdigris-wash disabled:opacity-25"
                        onClick={() => putCategory(store, c.id, i + way)}
                      >
                        {way < 0 ? <ChevronUp size={14} /> : <ChevronDown size={14} />}
                      </button>
                    ))}
                  </span>
                  <Mark colour={c.colour} pattern={c.pattern} />
                  <input
                    aria-label={WORDS.nameOfTheCategory}
                    className={`${INPUT} col-span-2`}
                    value={c.name}
                    maxLength={60}
                    onChange={(e) => change("name", e.target.value)}
                  />
                  <ColourField
                    label={WORDS.colourOf(c.name)}
                    ownLabel={LOOK.chooseColour(c.name)}
                    className="col-start-3 row-start-2"
                    value={c.colour}
                    onChange={(value) => change("colour", value)}
                  />
                  <select
                    aria-label={WORDS.patternOf(c.name)}
                    className={`${INPUT} col-start-4 row-start-2`}
                    value={c.pattern}
                    onChange={(e) => change("pattern", e.target.value as Pattern)}
                  >
                    {PATTERNS.map((x) => (
                      <option key={x} value={x}>
                        {LOOK.patterns[x]}
                      </option>
                    ))}
                  </select>
                  <select
                    aria-label={LOOK.loudnessOf(c.name)}
                    className={`${INPUT} col-span-2 col-start-3 row-start-3`}
                    value={c.loudness}
                    onChange={(e) => change("loudness", Number(e.target.value))}
                  >
                    {(["-1", "0", "1"] as const).map((x) => (
                      <option key={x} value={x}>
                        {LOOK.loudness[x]}
                      </option>
                    ))}
                  </select>
                  <button
                    type="button"
                    aria-label={WORDS.delete(c.name)}
                    title={WORDS.deleteItsEventsStayUndo}
                    className="rounded-md p-1.5 hover:bg-verdigris-wash col-start-5 row-start-1"
                    onClick={() => store.edit([{ kind: "delete_category", id: c.id }])}
                  >
                    <Trash2 size={16} />
                  </button>
                </li>
              );
            })}
          </ul>
          <Button
            size="small"
            kind="quiet"
            className="mt-1.5"
            onClick={() => store.edit(newCategory(timeline, WORDS.category(categories.length + 1)).ops)}
          >
            <Plus size={15} /> {WORDS.addACategory}
          </Button>
        </section>
        {store.isLocal ? null : <AddressCheck />}
        {store.isLocal ? null : <OwnDeviceField build={build} />}
        {found.length > 0 ? (
          <section aria-label={WORDS.findings}>
            <h3 className="mb-1 font-sans text-[13px] font-normal text-quiet">{WORDS.worthALook}</h3>
            <ul className="flex flex-col gap-1.5">
              {found.map((p) => (
                <li key={`${p.code}${p.event}`}>
                  <Finding problem={p} named />
                </li>
              ))}
            </ul>
          </section>
        ) : null}
      </div>
    </Frame>
  );
}
