import "server-only";
import { createHash } from "node:crypto";
import { nanoid } from "nanoid";
import type { Op } from "@/core/change/change";
import type { ArchivedClass, ArchivedRow, RestoredWork } from "@/core/formats/class-archive";
import { mediaIn } from "@/core/formats/frozen";
import { readJson } from "@/core/formats/read-json";
import { canonicalJson } from "@/core/text/canonical-json";
import { blocksIn } from "@/core/text/write-description";
import { readDisplayName } from "../accounts/sign-up";
import { db, type Tx } from "../db/pool";
import { type Failure, fail, isFailure, Refused, refusal } from "../http/failure";
import { shape } from "../http/shape";
import { addJob } from "../jobs/queue";
import { rightsChanged } from "../live/notify";
import { kindOf } from "../media/kinds";
import { encodePicture } from "../media/pictures";
import { hasRight, requireRight } from "../timelines/access";
import { standInFor } from "../timelines/restore-history";
import { takeChangeIn } from "../timelines/take-change";
import { isZone, newJoinCode } from "./class";
import {
  CLASS_TABLES,
  type ClassTable,
  type ClassTableName,
  CONTENT_SCHEMA,
  type Kind,
  TABLE_NAMES,
} from "./class-tables";
import { isGroupWork } from "./reach";
import { enrol } from "./roster";

const isContent = shape(CONTENT_SCHEMA);
const hashOf = (...parts: string[]) => parts.reduce((h, p) => h.update(p), createHash("sha256")).digest("hex");

/**
 * Makes a class of an archive once more, led by whoever brings it: its students with accounts and slips of their own here, its works out of
 * the timelines that were made of them before, what was handed in to the letter, its marks. All in one transaction. Who is of it but no
 * student any more is named "(from an archive)"; no account that is here already becomes part of it. `own`: what timelines of the
 * archive are called here. Refused ("altered_archive") where a receipt does not fit what was handed in.
 */
export async function restoreClass(
  teacher: string,
  archived: ArchivedClass,
  works: readonly RestoredWork[],
  own: readonly [was: string, is: string][],
): Promise<Failure | { id: string; students: number }> {
  const name = archived.name.trim();
  if (name === "") return fail("class_name_missing");
  const zone = (await isZone(archived.zone)) ? archived.zone : "UTC";
  const done = await db()
    .begin(async (tx): Promise<{ id: string; students: number }> => {
      const id = nanoid(12);
      await tx`
        insert into class (id, name, zone, publish_limit, retention_months, outside_players, recording, notice, bylines, created_at,
          archived_at, from_archive_at, join_code)
        values (${id}, ${name}, ${zone}, ${archived.publishLimit === "school" ? "class" : archived.publishLimit}, ${archived.retentionMonths},
          ${archived.outsidePlayers}, ${archived.recording}, ${archived.notice}, ${archived.bylines}, ${archived.createdAt},
          ${archived.archivedAt}, now(), ${archived.archivedAt ? null : newJoinCode()})`;
      await tx`insert into class_teacher (class_id, account_id, role) values (${id}, ${teacher}, 'lead')`;
      const one = new Restoring(tx, id, teacher, archived, works, new Map(own));
      await one.members();
      for (const table of TABLE_NAMES) for (const row of archived.rows[table] ?? []) await one.row(table, row);
      await one.finish();
      return { id, students: archived.members.length };
    })
    .catch(refusal);
  if (!isFailure(done)) await rightsChanged(teacher);
  return done;
}

class Restoring {
  private readonly ids = new Map<string, string>();
  private readonly students = new Map<string, string>();
  private readonly names: ReadonlyMap<string, string>;
  private readonly works: ReadonlyMap<string, RestoredWork>;
  /** The timeline here in which a group of there works, and to which a submission belongs. */
  private readonly timelineOf = new Map<string, string>();
  private readonly standIns = new Map<string, string>();
  private readonly workers = new Map<string, string[]>();
  private readonly replaced: [submission: string, by: string][] = [];
  private readonly submissions: string[] = [];
  private readonly versions = new Map<string, { hash: string; media: readonly string[] }>();

  private readonly tx: Tx;
  private readonly klass: string;
  private readonly teacher: string;
  private readonly archived: ArchivedClass;
  private readonly own: ReadonlyMap<string, string>;

  constructor(
    tx: Tx,
    klass: string,
    teacher: string,
    archived: ArchivedClass,
    works: readonly RestoredWork[],
    own: ReadonlyMap<string, string>,
  ) {
    this.tx = tx;
    this.klass = klass;
    this.teacher = teacher;
    this.archived = archived;
    this.own = own;
    this.names = new Map(archived.people.map((p) => [p.id, p.name]));
    this.works = new Map(works.map((w) => [w.work, w]));
  }

  async members(): Promise<void> {
    for (const m of this.archived.members) {
      if (this.students.has(m.id)) throw altered();
      const displayName = readDisplayName(this.names.get(m.id) ?? "") ?? "?";
      const { id } = await enrol(this.tx, this.klass, { displayName, note: m.note, id: m.rosterId });
      await this
        .tx`update class_member set joined_at = ${m.joinedAt} where class_id = ${this.klass} and account_id = ${id}`;
      this.students.set(m.id, id);
    }
  }

  /** Makes one row; what belongs to nothing that is here is left out. */
  async row(name: ClassTableName, row: ArchivedRow): Promise<void> {
    const table: ClassTable = CLASS_TABLES[name];
    const timeline = this.placeOf(row);
    const made: Record<string, unknown> = table.found.among === "class" ? { classId: this.klass } : {};
    const columns = Object.entries(table.columns);
    for (const [column, c] of columns) {
      const value = row[column];
      const there = value === null || (!c.by && !c.of) ? value : await this.named(c, String(value), timeline);
      if (there === undefined) return;
      made[column] = stored(this.tx, there, c);
    }
    for (const [column, c] of columns) if (c.makes) made[column] = this.newId(c.makes, String(row[column]));
    if (!(await this.particulars(name, row, made))) return;
    await this.tx`insert into ${this.tx(name)} ${this.tx(made as never)}`;
    if (name === "version") await this.mediaOf(row, String(made.id), String(made.timelineId));
    if (name === "groupMember") this.workers.get(timeline!)!.push(String(made.accountId));
  }

  private placeOf(row: ArchivedRow): string | null {
    for (const key of [row.submissionId, row.groupId]) if (key) return this.timelineOf.get(String(key)) ?? null;
    return row.timelineId ? (this.works.get(String(row.timelineId))?.timeline ?? null) : null;
  }

  private newId(kind: Kind, id: string): string {
    const key = `${kind} ${id}`;
    if (this.ids.has(key)) throw altered();
    const made = nanoid(12);
    this.ids.set(key, made);
    return made;
  }

  /** What an id of there is here; undefined where it is nothing. */
  private async named(c: ClassTable["columns"][string], id: string, timeline: string | null): Promise<unknown> {
    if (c.by) {
      const known = id === this.archived.teacher ? this.teacher : this.students.get(id);
      if (known) return c.by === "student" && known === this.teacher ? undefined : known;
      return c.by === "student" || !timeline ? undefined : this.standIn(timeline, id);
    }
    if (c.of === "work") return this.works.get(id)?.timeline;
    // What the teacher shows or practises may not have been brought back with it.
    if (c.of === "own") return this.ownTimeline(id);
    return this.ids.get(`${c.of} ${id}`);
  }

  private async ownTimeline(id: string): Promise<string | null> {
    const there = this.own.get(id);
    return there && (await hasRight(this.tx, there, this.teacher, "own")) ? there : null;
  }

  private async standIn(timeline: string, id: string, called = this.names.get(id) ?? "?"): Promise<string> {
    const key = `${timeline} ${id}`;
    const known = this.standIns.get(key);
    if (known) return known;
    const made = await standInFor(this.tx, timeline, this.standIns.size, called);
    this.standIns.set(key, made);
    return made;
  }

  /** What a table has that no other has; false: the row is left out. */
  private async particulars(name: ClassTableName, row: ArchivedRow, made: Record<string, unknown>): Promise<boolean> {
    if (name === "assignment") {
      made.instructions = this.tx.json(blocksIn(row.instructions) as never);
      if (row.model !== null && made.model === null) made.modelShown = "never";
    }
    if (name === "assignmentPicture") {
      const picture = await encodePicture(Buffer.from(String(row.bytes), "base64"));
      if (isFailure(picture)) return false;
      const { bytes, width, height } = picture.files.find((f) => f.size === "medium")!;
      Object.assign(made, { bytes, width, height });
    }
    if (name === "markVoice") {
      const kind = await kindOf(Buffer.from(String(row.bytes), "base64"));
      if (!kind || kind === "unread" || kind.kind !== "sound") return false;
      made.type = kind.type;
    }
    if (name === "groupWork") await this.work(row, String(made.timelineId));
    if (name === "version") await this.version(row, made);
    if (name === "submission") this.submission(row, made);
    return true;
  }

  /** Takes a timeline that was made of a work as just that: the teacher's own, and nobody's work yet. */
  private async work(row: ArchivedRow, timeline: string): Promise<void> {
    await requireRight(this.tx, timeline, this.teacher, "own");
    if (await isGroupWork(this.tx, timeline)) throw new Refused(fail("in_use_elsewhere"));
    this.timelineOf.set(String(row.id), timeline);
    this.workers.set(timeline, []);
    await this.given(timeline, String(row.timelineId));
  }

  /** Says of the events of a work which its assignment gave. */
  private async given(timeline: string, work: string): Promise<void> {
    const locked = new Set((this.archived.rows.givenEvent ?? []).filter((g) => g.locked).map((g) => g.id));
    const set = (id: string, field: string, value: unknown) => ({ kind: "set_event", id, field, value }) as Op;
    const ops = this.archived.given
      .filter((g) => g.timeline === work && this.ids.has(`given ${g.given}`))
      .flatMap((g) => [
        set(g.event, "given", this.ids.get(`given ${g.given}`)),
        set(g.event, "locked", locked.has(g.given)),
      ]);
    if (ops.length > 0) await takeChangeIn(this.tx, timeline, { id: nanoid(), author: this.teacher, base: 0, ops });
  }

  /** A frozen version to the letter; one that an earlier Fastigo made, as it is read today. */
  private async version(row: ArchivedRow, made: Record<string, unknown>): Promise<void> {
    const json = String(row.json);
    const read = readJson(json);
    if (hashOf(json) !== row.hash || "problem" in read) throw altered();
    const plain = canonicalJson(read.frozen);
    const work = this.archived.works.find((w) => w.timeline === row.timelineId);
    const [now] = await this.tx<{ seq: number }[]>`select seq from timeline where id = ${String(made.timelineId)}`;
    Object.assign(made, {
      json: plain,
      hash: plain === json ? row.hash : hashOf(plain),
      purpose: "submission",
      seq: Number(row.seq) >= (work?.seq ?? 0) ? now!.seq : Math.max(0, now!.seq - 1),
    });
    this.versions.set(String(row.id), { hash: String(row.hash), media: mediaIn(read.frozen) });
  }

  /** The files a version shows, by the names it has for them. */
  private async mediaOf(row: ArchivedRow, version: string, timeline: string): Promise<void> {
    const media = new Map(this.works.get(String(row.timelineId))!.media);
    for (const called of this.versions.get(String(row.id))!.media)
      await this.tx`
        insert into version_media (version_id, media_id, called)
        select ${version}, id, ${called} from media where id = ${media.get(called) ?? ""} and timeline_id = ${timeline}`;
  }

  private submission(row: ArchivedRow, made: Record<string, unknown>): void {
    const version = this.versions.get(String(row.versionId));
    const text = String(row.content);
    if (!version || hashOf(version.hash, text) !== row.hash) throw altered();
    const content = parsed(text);
    if (!isContent(content)) throw altered();
    // Drawings are made anew.
    const { drawing, ...rest } = content as Record<string, unknown>;
    if (drawing !== undefined) made.content = canonicalJson(rest);
    if (row.replacedBy !== null) this.replaced.push([String(made.id), String(row.replacedBy)]);
    made.replacedBy = null;
    this.timelineOf.set(String(row.id), this.timelineOf.get(String(row.groupId))!);
    this.submissions.push(String(made.id));
  }

  /** What refers to what came later; who works in what; and what is to be drawn. */
  async finish(): Promise<void> {
    for (const [submission, by] of this.replaced) {
      const later = this.ids.get(`submission ${by}`);
      if (later) await this.tx`update submission set replaced_by = ${later} where id = ${submission}`;
    }
    for (const [timeline, members] of this.workers) await this.handOver(timeline, members);
    for (const submission of this.submissions) await addJob(this.tx, "submission_drawing", submission, { submission });
    for (const [key, assignment] of this.ids)
      if (key.startsWith("assignment ")) await addJob(this.tx, "close_wording", assignment, { assignment });
  }

  /** A group works in its timeline from now on, and whoever brought it does not: they have written nothing of it. */
  private async handOver(timeline: string, members: readonly string[]): Promise<void> {
    const { tx } = this;
    const hand = await this.standIn(timeline, "", this.archived.name);
    await tx`delete from editor where timeline_id = ${timeline}`;
    for (const [n, account] of (members.length > 0 ? members : [hand]).entries())
      await tx`
        insert into editor (timeline_id, account_id, role, joined_at)
        values (${timeline}, ${account}, ${n === 0 ? "owner" : "editor"}, now() + ${`${n} milliseconds`}::interval)`;
    await tx`update change set author_id = ${hand} where timeline_id = ${timeline} and author_id = ${this.teacher}`;
    await tx`update event set author_id = null where timeline_id = ${timeline} and author_id = ${this.teacher}`;
    await tx`update media set created_by = ${hand} where timeline_id = ${timeline} and created_by = ${this.teacher}`;
  }
}

const altered = () => new Refused(fail("altered_archive"));

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/** A value as its column takes it. */
function stored(tx: Tx, value: unknown, c: ClassTable["columns"][string]): unknown {
  if (value === null) return null;
  if (c.as === "json") return tx.json(value as never);
  if (c.as === "bytes") return Buffer.from(String(value), "base64");
  return c.as === "time" ? new Date(String(value)) : value;
}
