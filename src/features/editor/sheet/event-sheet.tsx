"use client";

import { WORDS as COMMON } from "@/core/words/common";

import { WORDS } from "@/core/words/editor-sheet";
import { useEffect, useMemo, useRef } from "react";
import { GIVEN_WORDS } from "@/core/words/class-work";
import type { EventField, Value } from "@/core/change/change";
import { whenLabel } from "@/core/time/write-when";
import { orderOf } from "@/core/timeline/order";
import { isOfMedia, problems } from "@/core/timeline/problems";
import { categoriesOf, type Timeline } from "@/core/timeline/timeline";
import { Mark } from "../mark";
import { SuggestionList } from "@/ui/comments/suggestion-list";
import { Button } from "@/ui/controls/button";
import { CheckRow } from "@/ui/controls/check-row";
import { Field, INPUT } from "@/ui/controls/field";
import { useEditor, useEditorState } from "../store/editor-context";
import { dateOps, insertBeside, newCategory } from "../store/event-deeds";
import { Stuck } from "../class-work/stuck";
import { LazyDescription } from "./lazy-description";
import { PlaceField } from "../map/place-field";
import { MediaField } from "../media/media-field";
import { ArrangeFields, PartOfField } from "./arrange-fields";
import { PictureBobField } from "./picture-bob-field";
import { OwnLookFields } from "../look/own-look-fields";
import { SignField } from "./sign-field";
import { LinkField } from "./link-field";
import { SourcesField } from "../sources/sources-field";
import { TagsField } from "./tags-field";
import { TextField } from "./text-field";
import { WhenField } from "./when-field";
import { wordsIn } from "../words";
import { mannerOf } from "@/core/timeline/read-options";
import { Finding } from "../about/finding";
import { ChapterSheet } from "./chapter-sheet";
import { Frame } from "./frame";
import { EventHistory } from "../history/event-history";

/** Everything about one event. */
export function EventSheet({
  id,
  takesFocus,
  onPast,
  onSources,
  onClose,
}: {
  id: string;
  /** Whether somebody opened it; where it only follows what is selected, the focus stays where one is typing or walking. */
  takesFocus: boolean;
  /** Shows the timeline as it was after a change. */
  onPast: (seq: number) => void;
  /** Opens the list of all sources. */
  onSources: () => void;
  onClose: () => void;
}) {
  const { store, select } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const overlaps = useEditorState((s) => s.overlaps);
  const work = useEditorState((s) => s.work);
  const order = useMemo(() => orderOf(timeline.events), [timeline.events]);
  const event = timeline.events.get(id);
  const at = order.findIndex((e) => e.id === id);
  const heading = useRef<HTMLHeadingElement>(null);
  const opened = useRef(takesFocus);
  useEffect(() => {
    if (opened.current) heading.current?.focus({ preventScroll: true });
  }, []);
  if (!event) return null;
  if (event.deleted)
    return (
      <Frame title={WORDS.deletedEvent} headingRef={heading} onClose={onClose}>
        <p>{WORDS.wasDeletedWhatWasWritten(event.title || WORDS.untitled)}</p>
        <Button kind="main" className="mt-3" onClick={() => store.edit([{ kind: "restore_event", id }])}>
          {WORDS.putBack}
        </Button>
      </Frame>
    );
  if (event.chapter)
    return <ChapterSheet key={id} event={event} headingRef={heading} onPast={onPast} onClose={onClose} />;
  const set =
    (field: EventField, group = true) =>
    (value: Value) =>
      store.edit([{ kind: "set_event", id, field, value }], group ? `${field}:${id}` : null);
  const categories = categoriesOf(timeline);
  const category = categories.find((c) => c.id === event.category);
  const findings = problems(timeline).filter(
    (p) => p.event === id && p.code !== "date_not_understood" && !isOfMedia(p),
  );
  const mine = overlaps.filter((o) => o.key.startsWith(`event:${id}:`));
  const comment = work?.returned?.comments.find((c) => c.event === id)?.text;
  const given = work?.returned?.given.find((g) => g.event === id && !g.locked);
  const moveTo = (step: 1 | -1) => {
    const next = order[at + step];
    if (next) select(next.id, true);
  };
  return (
    <Frame
      title={WORDS.eventOf(at + 1, order.length)}
      headingRef={heading}
      onClose={onClose}
      moveTo={moveTo}
      first={at === 0}
      last={at === order.length - 1}
    >
      {store.isLocal ? null : <SuggestionList timeline={store.timelineId} event={id} />}
      <div className="flex flex-col gap-3.5">
        {mine.map((o) => (
          <div key={o.key} role="status" className="rounded-md bg-sun-wash px-3 py-2 text-[14px]">
            {o.laterAuthor === store.account
              ? WORDS.wroteHereAtTheSame(store.nameOf(o.earlierAuthor), wordsFor(o.earlier, timeline))
              : WORDS.wroteHereAtTheSame2(
                  store.nameOf(o.laterAuthor),
                  wordsFor(o.later, timeline),
                  wordsFor(o.earlier, timeline),
                )}
            <div className="mt-1.5 flex gap-2">
              <Button
                size="small"
                onClick={() => {
                  const [, eventId, field] = o.key.split(":");
                  store.edit([{ kind: "set_event", id: eventId!, field: field as EventField, value: o.earlier }]);
                  store.dismissOverlap(o.key);
                }}
              >
                {WORDS.putBack2(wordsFor(o.earlier, timeline).slice(0, 30))}
              </Button>
              <Button size="small" onClick={() => store.dismissOverlap(o.key)}>
                {WORDS.leaveIt}
              </Button>
            </div>
          </div>
        ))}
        {findings.map((p) => (
          <Finding key={p.code} problem={p} />
        ))}
        {comment ? (
          <div className="rounded-md border-s-4 border-verdigris bg-verdigris-wash px-3 py-2">
            <p className="text-[13px] text-quiet">{WORDS.yourTeachersComment}</p>
            <p className="whitespace-pre-line">{comment}</p>
          </div>
        ) : null}
        {given ? (
          <p className="rounded-md bg-verdigris-wash px-3 py-2 text-[14px]">
            {WORDS.yourDate} <strong>{GIVEN_WORDS[given.result]}</strong>
            {given.result === "right" ? "" : WORDS.rightIs(whenLabel(given.right, mannerOf(timeline)))}
          </p>
        ) : event.given ? (
          <p className="rounded-md bg-verdigris-wash px-3 py-2 text-[14px]">
            {event.locked ? WORDS.givenByYourTeacherWith : WORDS.givenByYourTeacherFind}
          </p>
        ) : null}
        {event.locked ? (
          <p>
            <span className="block text-[13px] text-quiet">{WORDS.when}</span>
            <strong>{whenLabel(event.when, mannerOf(timeline))}</strong> · <strong>{event.title}</strong>
          </p>
        ) : (
          <WhenField
            key={`when-${id}`}
            label={WORDS.when}
            value={event.when}
            event={id}
            near={(order[at - 1] ?? order[at + 1])?.when ?? null}
            onChange={(when) => store.edit(dateOps(store.getState().timeline, id, when))}
          />
        )}
        {event.locked ? null : (
          <TextField key={`title-${id}`} label={WORDS.title} strong value={event.title} onChange={set("title")} />
        )}
        <TextField
          key={`short-${id}`}
          label={WORDS.shortTitle}
          value={event.shortTitle}
          multiline
          hint={WORDS.standsOnTheChartWhen}
          onChange={set("shortTitle")}
        />
        <div className="grid grid-cols-2 gap-3">
          <Field
            label={WORDS.category}
            note={category ? <Mark colour={category.colour} pattern={category.pattern} width={20} /> : null}
          >
            {(ids) => (
              <select
                id={ids.id}
                className={INPUT}
                value={category?.id ?? ""}
                onChange={(e) => {
                  if (e.target.value !== "+") {
                    set("category", false)(e.target.value || null);
                    return;
                  }
                  const made = newCategory(timeline, WORDS.category2(categories.length + 1));
                  store.edit([...made.ops, { kind: "set_event", id, field: "category", value: made.id }]);
                }}
              >
                <option value="">{WORDS.none}</option>
                {categories.map((c) => (
                  <option key={c.id} value={c.id}>
                    {c.name}
                  </option>
                ))}
                <option value="+">{WORDS.newCategory}</option>
              </select>
            )}
          </Field>
          <PartOfField event={event} timeline={timeline} onChange={(whole) => set("partOf", false)(whole)} />
        </div>
        <PlaceField key={`place-${id}`} event={event} />
        <TagsField key={`tags-${id}`} value={event.tags} onChange={set("tags", false)} />
        <CheckRow
          label={WORDS.importantStandsOutOnThe}
          checked={event.emphasis}
          onChange={(value) => set("emphasis", false)(value)}
        />
        <ArrangeFields event={event} timeline={timeline} set={set} />
        <OwnLookFields event={event} set={set} />
        <PictureBobField event={event} onChange={set("pictureBob", false)} />
        <SignField value={event.sign} name={`sign-${id}`} onChange={(sign) => set("sign", false)(sign)} />
        <LazyDescription key={`text-${id}`} of={id} label={WORDS.description} words={wordsIn(event.description)} />
        <MediaField key={`media-${id}`} of={id} label={WORDS.picturesVideoSound} />
        <SourcesField key={`sources-${id}`} of={id} onList={onSources} />
        <LinkField of={id} />
        <TextField
          key={`note-${id}`}
          label={WORDS.privateNote}
          value={event.note}
          multiline
          hint={WORDS.onlyEditorsSeeIt}
          onChange={set("note")}
        />
        <Stuck key={`stuck-${id}`} event={id} />
        {store.isLocal ? null : <EventHistory key={`history-${id}`} event={id} onShow={onPast} />}
        <div className="flex flex-wrap gap-2 border-t border-line pt-3">
          <Button size="small" onClick={() => select(insertBeside(store, id, "before"), true)}>
            {WORDS.insertBefore}
          </Button>
          <Button size="small" onClick={() => select(insertBeside(store, id, "after"), true)}>
            {WORDS.insertAfter}
          </Button>
          {event.given ? null : (
            <Button
              size="small"
              kind="danger"
              className="ms-auto"
              onClick={() => store.edit([{ kind: "delete_event", id }])}
            >
              {WORDS.delete}
            </Button>
          )}
        </div>
      </div>
    </Frame>
  );
}

function wordsFor(value: Value, timeline?: Timeline): string {
  if (value && typeof value === "object") return ("typed" in value && value.typed) || COMMON.noDate;
  if (timeline && typeof value === "string") return timeline.events.get(value.replace("~", ""))?.title ?? value;
  return String(value ?? COMMON.nothing) || COMMON.nothing;
}
