import "server-only";
import { WORDS as COMMON } from "@/core/words/common";
import { drawChart } from "@/core/chart/draw/draw-chart";
import { type SvgOptions, toSvg } from "@/core/chart/draw/to-svg";
import { differenceChart } from "@/core/history/difference-chart";
import { canonicalJson } from "@/core/text/canonical-json";
import { type Frozen, type FrozenEvent, timelineFromFrozen } from "@/core/formats/frozen";
import { safeAddress } from "@/core/text/description";
import { escapeXml } from "@/core/chart/draw/to-svg";
import { referenceText, sourceOf } from "@/core/sources/cited";
import { whenLabel } from "@/core/time/write-when";
import { ITEM, SOURCE, valuesOf } from "@/core/timeline/fields";
import { emptyTimeline, type Timeline } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/marking";
import { mannerOf } from "@/core/timeline/read-options";
import type { DeskEvent, DeskSubmission } from "@/features/marking/desk-submission";
import { blocksHtml } from "@/features/reader/blocks-html";
import { type DrawnAs, storeDrawing, storedDrawings } from "@/server/classes/drawings";
import type { OpenSubmission } from "@/server/classes/open-submission";

/** A submission as the desk shows it: words made, descriptions as HTML, and what is different from the time before. */
export async function deskSubmission(s: OpenSubmission): Promise<DeskSubmission> {
  const manner = mannerOf(s.frozen);
  const drawings = await drawingsOf(s.id, s.frozen);
  const before = s.before && (await drawingsOf(s.before.id, s.before.frozen));
  const events = eventsOf(s);
  const gone = (s.before?.frozen.events ?? []).filter((e) => !s.frozen.events.some((now) => now.id === e.id));
  return {
    id: s.id,
    assignment: s.assignmentId,
    timeline: s.hidden ? null : s.timelineId,
    members: s.members,
    checks: s.content.checks,
    given: s.content.given.map((g, n) => ({
      title: g.title,
      locked: g.locked,
      right: whenLabel(g.right, manner),
      answer: whenLabel(g.answer, manner),
      result: g.result,
      override: s.overrides[n] ?? null,
    })),
    // Two beside each other are drawn for the room there is; what was drawn when it was handed in is shown as it was.
    drawing: before ? drawings.beside : (s.content.drawing ?? drawings.alone),
    hash: s.hash,
    submittedAt: s.submittedAt.toISOString(),
    late: s.late,
    editedSince: s.editedSince,
    points: s.points,
    comment: s.comment,
    comments: s.comments,
    voice: s.voice,
    rubric: s.content.rubric ?? null,
    levels: s.levels,
    version: s.version,
    heldUntil: s.heldUntil?.toISOString() ?? null,
    earlier: s.earlier,
    replies: s.replies,
    questions: s.questions,
    reviews: {
      said: s.reviews.said.map(({ by, points, comment }) => ({ by, points, comment })),
      agreement: s.reviews.agreement,
    },
    close: s.close.map((c) => ({ ...c })),
    aside: s.aside,
    returnedAt: s.returnedAt?.toISOString() ?? null,
    toImprove: s.toImprove,
    events,
    basedOn: s.frozen.basedOn ?? null,
    before: s.before && {
      id: s.before.id,
      submittedAt: s.before.submittedAt.toISOString(),
      drawing: before!.beside,
      points: s.before.points,
      comment: s.before.comment,
      comments: s.before.comments,
      changes: changesDrawn(s, s.before, events, gone),
      gone: gone.map((e) => e.title || COMMON.untitled),
    },
  };
}

const ALONE = { width: 880, height: 460 };
const BESIDE = { width: 440, height: 420 };

/** The drawings of a submission, as SVG: as they were stored, or made now and stored. */
export async function drawingsOf(id: string, frozen: Frozen): Promise<Record<DrawnAs, string>> {
  const stored = await storedDrawings(id);
  const made = {
    alone: stored.alone ?? drawn(id, frozen, ALONE, `a${id}`),
    beside: stored.beside ?? drawn(id, frozen, BESIDE, `b${id}`),
  };
  for (const kind of ["alone", "beside"] as const)
    if (stored[kind] === undefined) await storeDrawing(id, kind, made[kind]);
  return made;
}

function drawn(id: string, frozen: Frozen, frame: { width: number; height: number }, prefix: string): string {
  const timeline = timelineFromFrozen(frozen);
  return painted(timeline, frame, prefix, WORDS.chartAsSubmitted, () => id);
}

/** What is new, changed, as before and gone, on one chart: the categories are those four, as the list beside it names them. */
function changesDrawn(
  s: OpenSubmission,
  before: NonNullable<OpenSubmission["before"]>,
  events: readonly DeskEvent[],
  gone: readonly FrozenEvent[],
): string {
  const [then, now] = [timelineFromFrozen(before.frozen), timelineFromFrozen(s.frozen)];
  const those = (since: DeskEvent["since"]) => events.filter((e) => e.since === since).map((e) => e.id);
  const compared = { added: those("new"), changed: those("changed"), removed: gone.map((e) => e.id), differences: [] };
  const both = differenceChart(then, now, compared, WORDS.sinceStates);
  // Drawn in the look of the house, as the key beside it is: the colours say what changed.
  const { look, paper, texture, lineWeight } = emptyTimeline(both.id);
  const plain = { ...both, look, paper, texture, lineWeight };
  return painted(plain, ALONE, `c${s.id}`, WORDS.whatChanged, (item) => (now.items.has(item) ? s.id : before.id));
}

/** The chart of a timeline whose pictures are those of submissions. */
function painted(
  timeline: Timeline,
  frame: { width: number; height: number },
  prefix: string,
  label: string,
  submissionOf: (item: string) => string,
): string {
  const pictureUrl: SvgOptions["pictureUrl"] = (item, size) => {
    const media = timeline.items.get(item)?.media;
    return media ? `/submissions/${submissionOf(item)}/media/${media}/${size}` : null;
  };
  return toSvg(drawChart(timeline, frame, { fit: true }), { pictureUrl, prefix, label, ground: true });
}

function eventsOf(s: OpenSubmission): DeskEvent[] {
  const { frozen } = s;
  const manner = mannerOf(frozen);
  const categories = new Map(frozen.categories.map((c) => [c.id, c.name]));
  const items = groupsOf(frozen);
  const sources = new Map((frozen.sources ?? []).map((s) => [s.id, s]));
  const sourcesThen = new Map((s.before?.frozen.sources ?? []).map((x) => [x.id, x]));
  const then = s.before && new Map(s.before.frozen.events.map((e) => [e.id, e]));
  const itemsThen = s.before && groupsOf(s.before.frozen);
  return frozen.events.map((e) => {
    const own = items.get(e.id) ?? [];
    const earlier = then?.get(e.id);
    return {
      id: e.id,
      title: e.title,
      when: whenLabel(e.when, manner),
      category: categories.get(e.category ?? "") ?? "",
      html: blocksHtml(e.description, {
        medium: (id) => {
          const item = own.find((i) => i.id === id && i.list === "media");
          const name = escapeXml(item?.caption || item?.text || "");
          if (!item) return "";
          const path = escapeXml(`/submissions/${s.id}/media/${item.media}`);
          return item.media && item.kind === "picture"
            ? `<figure><img src="${path}/medium" alt="${escapeXml(item.text)}"></figure>`
            : `<p>${name}</p>`;
        },
        source: (id) => {
          const item = own.find((i) => i.id === id && i.list === "source");
          return item ? escapeXml(referenceText(sources, item)) : "";
        },
      }),
      media: own.flatMap((i) =>
        i.list === "media" && i.kind
          ? [
              {
                // Of what is played elsewhere there is a picture at most.
                kind: i.player && i.media ? ("picture" as const) : i.kind,
                path: i.media ? `/submissions/${s.id}/media/${i.media}` : "",
                elsewhere: i.player || i.kind === "page" ? safeAddress(i.address) : null,
                text: i.text,
                caption: i.caption ?? "",
                credit: [i.credit, i.licence].filter(Boolean).join(", "),
              },
            ]
          : [],
      ),
      sources: own.flatMap((i) => {
        const source = i.list === "source" ? sourceOf(sources, i) : null;
        if (!source) return [];
        const text = source.kind === "line" ? source.title || source.address : referenceText(sources, i);
        return [{ text, quote: i.quote ?? "", address: safeAddress(source.address) }];
      }),
      since: !then
        ? null
        : !earlier
          ? "new"
          : isSame(e, earlier, said(own, sources), said(itemsThen?.get(e.id) ?? [], sourcesThen))
            ? null
            : "changed",
    };
  });
}

type Items = Frozen["items"];

function groupsOf(f: Frozen): Map<string, Items> {
  const found = new Map<string, Items>();
  for (const i of f.items) {
    const list = found.get(i.of);
    if (list) list.push(i);
    else found.set(i.of, [i]);
  }
  return found;
}

/** The entries of an event with the sources they name. A version of before a field was there has none of it, which is no change. */
function said(items: Items, sources: ReadonlyMap<string, Record<string, unknown>>): unknown {
  return items.map((i) => ({
    id: i.id,
    ...valuesOf(ITEM, i),
    named: i.source ? valuesOf(SOURCE, sources.get(i.source) ?? {}) : null,
  }));
}

/** Whether title, date, words and everything that belongs to an event is as it was. */
function isSame(a: FrozenEvent, b: FrozenEvent, itemsA: unknown, itemsB: unknown): boolean {
  const whole = (e: FrozenEvent, items: unknown) =>
    canonicalJson({
      title: e.title,
      when: e.when,
      category: e.category,
      description: e.description,
      items,
    });
  return whole(a, itemsA) === whole(b, itemsB);
}
