import { blocksOf, plainTextOf, wordCount } from "../text/description";
import { isCited, sourceOf } from "../sources/cited";
import { licenceOf } from "../timeline/licences";
import { inOrder } from "../timeline/order";
import { wholesOf } from "../timeline/parts";
import { type Item, itemsByOwner, type Timeline, type TimelineEvent } from "../timeline/timeline";
import { isDated } from "../time/when";
import { isEncyclopedia } from "./encyclopedias";

/** What counts as media for a requirement; a map is a picture one sets events on, and counts where it is named. */
export const MEDIA_SORTS = ["picture", "video", "sound", "map"] as const;
export type MediaSort = (typeof MEDIA_SORTS)[number];

/** What is asked for. Counts are "at least", but `words.count`, which is "at most". */
export type Asked =
  | { kind: "events"; count: number }
  /** Events that last: with a beginning and an end. */
  | { kind: "spans"; count: number }
  /** Pictures and videos where `of` is not given. */
  | { kind: "media"; count: number; of?: MediaSort[] }
  /** So many for every event; one where it is not given. */
  | { kind: "sources"; count?: number }
  /** Every source that is named is taken apart: who, what, where, when, each in its field. */
  | { kind: "structured" }
  /** An encyclopedia is never the only source of an event. */
  | { kind: "beyond_encyclopedias" }
  /** Of every event's description: at most `count`, at least `least`. */
  | { kind: "words"; count?: number; least?: number }
  /** Of all descriptions together, opening and closing page too. */
  | { kind: "words_in_all"; count: number; most?: number }
  /** Every picture, video and sound has a credit and an open licence. */
  | { kind: "credits" }
  /** Events before and after one that is named by its title. */
  | { kind: "around"; event: string; before: number; after: number }
  /** The events the teacher gave are all there, and dated. */
  | { kind: "given" }
  | { kind: "categories"; names: string[] }
  /** The opening page, of so many words. */
  | { kind: "introduction"; count: number }
  /** The closing page, of so many words. */
  | { kind: "conclusion"; count: number }
  /** Links to find out more, in the whole. */
  | { kind: "further"; count: number }
  /** Events whose parts are drawn in a close-up. */
  | { kind: "close_up"; count: number }
  | { kind: "places"; count: number }
  /** Events that are part of another. */
  | { kind: "parts"; count: number }
  /** A voice recorded for every event. */
  | { kind: "voice_each" }
  /** A voice recorded for the whole. */
  | { kind: "voice_whole" };

export type RequirementKind = Asked["kind"];

/** What an assignment asks for, or only wishes: what is wished is checked alike and never "missing" when work is handed in. */
export type Requirement = Asked & { wished?: true };

/** The state of one requirement: how much there is of how much, and where what is missing can be mended. */
export interface Check {
  requirement: Requirement;
  met: boolean;
  have: number;
  need: number;
  /** Events at fault, in time order; empty where something is missing altogether. */
  events: string[];
  /** What is missing, in words; "" when met. Of what is kept, `missingText` says it in the language of whoever reads it. */
  missing: string;
  /** The same, by what says it and what that is told; what was kept before did not have it. */
  lacks?: Lack[];
}

/** One part of what is missing: a name of `LackWords` and what is told to it. */
export type Lack = [say: keyof LackWords, ...told: unknown[]];

/** What is missing of a check that was kept, in the words of whoever reads it; as it was kept where only that is known. */
export function missingText(check: Check, words: LackWords): string {
  if (!check.lacks) return check.missing;
  const says = ([say, ...told]: Lack) => {
    const how = words[say] as string | ((...told: unknown[]) => string);
    return typeof how === "string" ? how : how(...told);
  };
  try {
    return check.lacks.map(says).join(", ");
  } catch {
    // Out of an archive, which anybody can write.
    return check.missing;
  }
}

/** Words that also note what they were asked to say. */
function noting(words: LackWords, lacks: Lack[]): LackWords {
  return new Proxy(words, {
    get: (_, say: keyof LackWords) => {
      const how = words[say];
      if (typeof how !== "function") {
        lacks.push([say]);
        return how;
      }
      return (...told: unknown[]) => {
        lacks.push([say, ...told]);
        return (how as (...told: unknown[]) => string)(...told);
      };
    },
  });
}

/** What is asked for and not met; what is only wished is not among it. */
export function unmet(checks: readonly Check[]): Check[] {
  return checks.filter((c) => !c.met && !c.requirement.wished);
}

/** Tells two requirements of one list apart: media may be asked for by their kinds, the rest once each. */
export function requirementKey(r: Requirement): string {
  if (r.kind === "media") return `media ${(r.of ?? []).join("+")}`;
  return r.kind === "around" ? `around ${r.event}` : r.kind;
}

/**
 * Checks every requirement against a timeline. Events are all that are not deleted, spans, parts and given ones
 * included; media are distinct ones that belong to such an event or to the timeline itself. `words` say what is missing.
 */
export function checkRequirements(timeline: Timeline, requirements: readonly Requirement[], words: LackWords): Check[] {
  const look = lookAt(timeline);
  return requirements.map((r) => {
    const lacks: Lack[] = [];
    const { have, need, events, missing } = CHECKS[r.kind](look, r as never, noting(words, lacks));
    return { requirement: r, met: missing === "", have, need, events: events ?? [], missing, lacks };
  });
}

interface Look {
  timeline: Timeline;
  events: readonly TimelineEvent[];
  items: (of: string, list: Item["list"]) => readonly Item[];
  /** Words in the description of each event, counted when they are first asked for. */
  words: (e: TimelineEvent) => number;
}

/** How it is said what a requirement still lacks (`core/words/checks`), as parts of a sentence; x: how many. */
export type LackWords = Readonly<
  Record<
    | "moreEvents"
    | "moreSpans"
    | "moreWords"
    | "moreLinks"
    | "moreCloseUps"
    | "morePlaces"
    | "moreParts"
    | "withoutSource"
    | "notApart"
    | "onlyEncyclopedia"
    | "tooLong"
    | "tooShort"
    | "withoutDescription"
    | "tooMany"
    | "withoutCredit"
    | "moreBefore"
    | "moreAfter"
    | "withoutDate"
    | "withoutVoice",
    (x: number) => string
  > &
    Record<"noEvents" | "noSources" | "nothingRecorded" | "nothingWritten", string>
> & {
  moreMedia: (x: number, of: readonly MediaSort[]) => string;
  fewerSources: (x: number, need: number) => string;
  notThere: (title: string) => string;
  notInUse: (names: readonly string[]) => string;
};

interface Found {
  have: number;
  need: number;
  events?: string[];
  missing: string;
}

type Checker<K extends RequirementKind> = (look: Look, r: Extract<Asked, { kind: K }>, words: LackWords) => Found;

function lookAt(timeline: Timeline): Look {
  const counted = new Map<string, number>();
  return {
    timeline,
    events: inOrder(timeline.events.values()),
    items: itemsByOwner(timeline),
    words: (e) => {
      const known = counted.get(e.id) ?? wordCount(plainTextOf(blocksOf(e.description)));
      counted.set(e.id, known);
      return known;
    },
  };
}

/** At least so many; `more`: that so many are missing, in words. */
const atLeast = (have: number, need: number, more: (n: number) => string): Found => ({
  have,
  need,
  missing: have >= need ? "" : more(need - have),
});

/** Every event is asked the same; `without` says how many fall short, in words. */
function each(
  look: Look,
  words: LackWords,
  falls: (e: TimelineEvent) => boolean,
  without: (n: number) => string,
): Found {
  const at = look.events.filter(falls).map((e) => e.id);
  return {
    have: look.events.length - at.length,
    need: look.events.length,
    events: at,
    missing: look.events.length === 0 ? words.noEvents : at.length === 0 ? "" : without(at.length),
  };
}

const CHECKS: { [K in RequirementKind]: Checker<K> } = {
  events: ({ events }, r, words) => atLeast(events.length, r.count, words.moreEvents),
  spans: ({ events }, r, words) =>
    atLeast(events.filter((e) => e.when.readAs.kind === "span").length, r.count, words.moreSpans),
  media: (look, r, words) => {
    const of = new Set<string>(r.of ?? ["picture", "video"]);
    const owners = new Set(["timeline", ...look.events.map((e) => e.id)]);
    const shown = new Set<string>();
    for (const i of look.timeline.items.values()) {
      const sort = i.list === "map" ? "map" : i.list === "media" ? i.kind : null;
      if (!i.deleted && sort !== null && of.has(sort) && owners.has(i.of)) shown.add(i.player || (i.media ?? i.id));
    }
    return atLeast(shown.size, r.count, (n) => words.moreMedia(n, r.of ?? ["picture", "video"]));
  },
  sources: (look, r, words) => {
    const need = r.count ?? 1;
    return each(
      look,
      words,
      (e) => cited(look, e).length < need,
      (n) => (need === 1 ? words.withoutSource(n) : words.fewerSources(n, need)),
    );
  },
  structured: (look, _, words) => {
    const faulty = (i: Item) => {
      const source = sourceOf(look.timeline.sources, i)!;
      return source.kind === "line" || source.title.trim() === "" || (source.authors.length === 0 && !source.within);
    };
    const all = look.events.flatMap((e) => cited(look, e));
    const faults = all.filter(faulty);
    const at = new Set(faults.map((i) => i.of));
    return {
      have: all.length - faults.length,
      need: all.length,
      events: look.events.filter((e) => at.has(e.id)).map((e) => e.id),
      missing: all.length === 0 ? words.noSources : faults.length === 0 ? "" : words.notApart(faults.length),
    };
  },
  beyond_encyclopedias: (look, _, words) =>
    each(
      look,
      words,
      (e) => {
        const own = cited(look, e);
        return own.length > 0 && own.every((i) => isEncyclopedia(sourceOf(look.timeline.sources, i)!));
      },
      words.onlyEncyclopedia,
    ),
  words: (look, r, words) => {
    // Nothing written is not written in few words.
    const bare = look.events.filter((e) => look.words(e) === 0);
    const over = look.events.filter((e) => r.count !== undefined && look.words(e) > r.count);
    const short = look.events.filter((e) => look.words(e) > 0 && look.words(e) < (r.least ?? 0));
    const at = new Set([...bare, ...over, ...short]);
    const faults = [
      over.length > 0 ? words.tooLong(over.length) : "",
      short.length > 0 ? words.tooShort(short.length) : "",
      bare.length > 0 ? words.withoutDescription(bare.length) : "",
    ];
    return {
      ...each(
        look,
        words,
        (e) => at.has(e),
        () => faults.filter(Boolean).join(", "),
      ),
    };
  },
  words_in_all: (look, r, words) => {
    const own = (description: Timeline["introduction"]) => wordCount(plainTextOf(blocksOf(description)));
    const have =
      look.events.reduce((sum, e) => sum + look.words(e), 0) +
      own(look.timeline.introduction) +
      own(look.timeline.closing);
    const over = r.most === undefined ? 0 : have - r.most;
    return {
      have,
      need: r.count,
      missing: over > 0 ? words.tooMany(over) : have >= r.count ? "" : words.moreWords(r.count - have),
    };
  },
  credits: (look, _, words) => {
    const all = look.events.concat().flatMap((e) => look.items(e.id, "media"));
    const own = [...look.items("timeline", "media"), ...look.items("timeline", "map"), ...all];
    const faults = own.filter((i) => i.credit.trim() === "" || !isOpen(i.licence));
    const at = new Set(faults.map((i) => i.of));
    return {
      have: own.length - faults.length,
      need: own.length,
      events: look.events.filter((e) => at.has(e.id)).map((e) => e.id),
      missing: faults.length === 0 ? "" : words.withoutCredit(faults.length),
    };
  },
  around: ({ events }, r, words) => {
    const at = events.findIndex((e) => plain(e.title) === plain(r.event));
    if (at < 0) return { have: 0, need: r.before + r.after, missing: words.notThere(r.event) };
    const dated = (part: readonly TimelineEvent[]) => part.filter((e) => isDated(e.when)).length;
    const [before, after] = [dated(events.slice(0, at)), dated(events.slice(at + 1))];
    return {
      have: Math.min(before, r.before) + Math.min(after, r.after),
      need: r.before + r.after,
      missing: [
        before < r.before ? words.moreBefore(r.before - before) : "",
        after < r.after ? words.moreAfter(r.after - after) : "",
      ]
        .filter(Boolean)
        .join(", "),
    };
  },
  given: ({ events }, _, words) => {
    const all = events.filter((e) => e.given !== null);
    const bare = all.filter((e) => !isDated(e.when)).map((e) => e.id);
    return {
      have: all.length - bare.length,
      need: all.length,
      events: bare,
      missing: bare.length === 0 ? "" : words.withoutDate(bare.length),
    };
  },
  categories: ({ timeline: t, events }, r, words) => {
    const used = new Set(
      events.flatMap((e) => {
        const own = e.category ? t.categories.get(e.category) : undefined;
        return own ? [plain(own.deleted ? "" : own.name)] : [];
      }),
    );
    const missing = r.names.filter((n) => !used.has(plain(n)));
    return {
      have: r.names.length - missing.length,
      need: r.names.length,
      missing: missing.length === 0 ? "" : words.notInUse(missing),
    };
  },
  introduction: ({ timeline }, r, words) => pageOf(timeline.introduction, r.count, words),
  conclusion: ({ timeline }, r, words) => pageOf(timeline.closing, r.count, words),
  further: (look, r, words) => {
    const owners = ["timeline", ...look.events.map((e) => e.id)];
    const links = owners.flatMap((o) => look.items(o, "link")).filter((i) => i.address.trim() !== "");
    return atLeast(links.length, r.count, words.moreLinks);
  },
  close_up: ({ timeline }, r, words) => {
    const parts = new Map<string, number>();
    for (const whole of wholesOf(timeline.events).values()) parts.set(whole, (parts.get(whole) ?? 0) + 1);
    const have = [...parts].filter(([id, n]) => n > 1 && timeline.events.get(id)?.closeUp !== "closed").length;
    return atLeast(have, r.count, words.moreCloseUps);
  },
  places: ({ events }, r, words) =>
    atLeast(events.filter((e) => e.place.trim() !== "" || e.point || e.onMap).length, r.count, words.morePlaces),
  parts: ({ timeline, events }, r, words) => {
    const wholes = wholesOf(timeline.events);
    return atLeast(events.filter((e) => wholes.has(e.id)).length, r.count, words.moreParts);
  },
  voice_each: (look, _, words) =>
    each(look, words, (e) => !look.items(e.id, "media").some((i) => i.voice), words.withoutVoice),
  voice_whole: (look, _, words) => {
    const have = look.items("timeline", "media").some((i) => i.voice) ? 1 : 0;
    return { have, need: 1, missing: have ? "" : words.nothingRecorded };
  },
};

/** What entries of an event's sources say something. */
function cited(look: Look, e: TimelineEvent): Item[] {
  return look.items(e.id, "source").filter((s) => isCited(look.timeline.sources, s));
}

function pageOf(description: Timeline["introduction"], need: number, words: LackWords): Found {
  const have = wordCount(plainTextOf(blocksOf(description)));
  return { have, need, missing: have === 0 ? words.nothingWritten : have >= need ? "" : words.moreWords(need - have) };
}

/** Whether others may use it: a known licence that does not forbid showing it, and no permission for one use. */
function isOpen(written: string): boolean {
  const known = licenceOf(written);
  return known !== null && !known.forbids && known.name !== "Used with permission";
}

const plain = (name: string) => name.trim().toLowerCase();
