import "server-only";
import { missingText } from "@/core/check/requirements";
import { WORDS as LACKS } from "@/core/words/checks";
import { WORDS as COMMON } from "@/core/words/common";
import { bestOf } from "@/core/classes/rubric";
import { rubricSum } from "@/core/classes/rubric";
import { zonedText } from "@/core/time/zoned";
import { whenLabel } from "@/core/time/write-when";
import { GIVEN_WORDS, requirementText } from "@/core/words/class-work";
import { lateText } from "@/core/words/late";
import { rubricSumText } from "@/core/words/setting";
import { WORDS } from "@/core/words/sheets";
import type { Block, Inline } from "@/core/text/description";
import type { Line } from "@/core/paper/lines";
import { db } from "../db/pool";
import { type Assignment, findAssignment, givenEventsOf } from "./assignment";
import { findSubmission, type OpenSubmission } from "./open-submission";
import { findSubmissionRef, maySeeSubmission, namesFor } from "./submission-ref";

/** One sheet a group that has handed in: the mark and how it came about, as it is given back or kept on file. */
export async function markingSheets(a: Assignment): Promise<Line[][]> {
  const rows = await db()<{ id: string }[]>`
    select s.id from current_submission s join group_work g on g.id = s.group_id
    where g.assignment_id = ${a.id} order by s.submitted_at, s.id`;
  const sheets: Line[][] = [];
  for (const { id } of rows) {
    const s = await findSubmission(id);
    if (s) sheets.push(markingSheet(a, s));
  }
  return sheets;
}

function markingSheet(a: Assignment, s: OpenSubmission): Line[] {
  const { rubric, total } = s.content;
  const titles = new Map(s.frozen.events.map((e) => [e.id, e.title || COMMON.untitled]));
  const comments = Object.entries(s.comments).filter(([, text]) => text.trim() !== "");
  const sum = rubric && rubricSum(rubric, s.levels, total);
  return [
    { kind: "title", text: s.members.join(", ") },
    { kind: "text", text: `${a.title} · ${a.className}` },
    { kind: "heading", text: WORDS.points(s.points, total) },
    {
      kind: "quiet",
      text: `${WORDS.submitted(zonedText(s.submittedAt, a.zone))}${s.late > 0 ? `, ${lateText(s.late)}` : ""}`,
    },
    ...section(
      WORDS.rubric,
      rubric
        ? [
            ...rubric.criteria.flatMap((c, i): Line[] => {
              const level = c.levels[s.levels[i] ?? -1];
              return level
                ? [
                    item(
                      WORDS.level(
                        c.name,
                        level.text ? `${level.name} – ${level.text}` : level.name,
                        level.points,
                        bestOf(c),
                      ),
                    ),
                  ]
                : [];
            }),
            { kind: "text" as const, text: rubricSumText(sum!, total) },
          ]
        : [],
    ),
    ...section(WORDS.comment, s.comment.trim() ? [{ kind: "text", text: s.comment }] : []),
    ...section(
      WORDS.onEvents,
      comments.map(([event, text]) => item(`${titles.get(event) ?? COMMON.untitled}: ${text}`)),
    ),
    ...section(
      WORDS.given,
      s.content.given.flatMap((g, n) =>
        g.locked ? [] : [item(WORDS.givenLine(g.title, GIVEN_WORDS[s.overrides[n]?.result ?? g.result]))],
      ),
    ),
    ...section(
      WORDS.requirements,
      s.content.checks.map((c) =>
        item(WORDS.requirementLine(requirementText(c.requirement), c.have, c.need, missingText(c, LACKS))),
      ),
    ),
    ...section(
      WORDS.changed,
      s.earlier.map((m) => item(WORDS.changedLine(m.points, m.reason))),
    ),
    { kind: "quiet", text: WORDS.fingerprint(s.hash) },
  ];
}

const item = (text: string): Line => ({ kind: "item", text, bullet: "–" });
const section = (heading: string, lines: readonly Line[]): Line[] =>
  lines.length === 0 ? [] : [{ kind: "small", text: heading }, ...lines];

/** What says that work was handed in, for those who may see it; null for others. */
export async function receiptOf(submission: string, account: string): Promise<{ title: string; lines: Line[] } | null> {
  const ref = await findSubmissionRef(submission);
  if (!ref || !(await maySeeSubmission(ref, account))) return null;
  const [s, a] = [await findSubmission(submission), await findAssignment(ref.assignmentId)];
  if (!s || !a) return null;
  const short = s.content.checks.filter((c) => !c.met && !c.requirement.wished);
  const lines: Line[] = [
    { kind: "title", text: WORDS.receipt },
    { kind: "heading", text: s.content.title },
    { kind: "text", text: WORDS.whose(await namesFor(ref, account)) },
    { kind: "text", text: WORDS.forClass(a.className) },
    {
      kind: "text",
      text: `${WORDS.submitted(zonedText(s.submittedAt, a.zone))}. ${s.late > 0 ? `${lateText(s.late)}.` : WORDS.inTime}`,
    },
    { kind: "text", text: WORDS.due(zonedText(a.dueAt, a.zone)) },
    ...(short.length > 0
      ? section(
          WORDS.short,
          short.map((c) =>
            item(WORDS.requirementLine(requirementText(c.requirement), c.have, c.need, missingText(c, LACKS))),
          ),
        )
      : [{ kind: "text" as const, text: WORDS.nothingShort }]),
    { kind: "small", text: WORDS.fingerprint("") },
    { kind: "text", text: s.hash },
    { kind: "quiet", text: WORDS.receiptHelp },
  ];
  return { title: s.content.title, lines };
}

/** A formatted text as lines of a page; the addresses behind its links stand beside their words. Pictures are left to the screen. */
function blockLines(blocks: readonly Block[], bullet?: string): Line[] {
  return blocks.flatMap((b): Line[] => {
    switch (b.kind) {
      case "heading":
        return [{ kind: "small", text: wordsOf(b.content) }];
      case "paragraph":
        return [
          bullet ? { kind: "item", text: wordsOf(b.content), bullet } : { kind: "text", text: wordsOf(b.content) },
        ];
      case "quote":
        return blockLines(b.blocks).map((l) => ({ ...l, kind: l.kind === "text" ? "quiet" : l.kind }));
      case "list":
        return b.items.flatMap((item, i) => blockLines(item, b.ordered ? `${i + 1}.` : "•"));
      default:
        return [];
    }
  });
}

function wordsOf(content: readonly Inline[]): string {
  return content
    .map((c) => {
      if (c.kind === "break") return "\n";
      const link = c.marks.find((m) => m.kind === "link")?.address;
      return link && link !== c.text ? `${c.text} (${link})` : c.text;
    })
    .join("");
}

/** The task on a page, to be handed out. */
export async function handoutOf(a: Assignment): Promise<Line[]> {
  const given = await givenEventsOf(a.id);
  const { rubric, texts } = a.options;
  return [
    { kind: "title", text: a.title },
    { kind: "quiet", text: `${a.className} · ${WORDS.due(zonedText(a.dueAt, a.zone))}. ${WORDS.totalMark(a.total)}` },
    ...blockLines(a.instructions.blocks),
    ...section(
      WORDS.whatIsAsked,
      a.requirements.map((r) => item(requirementText(r))),
    ),
    ...section(
      WORDS.givenEvents,
      given.map((g) => item(g.locked ? `${g.title} (${whenLabel(g.rightWhen)})` : WORDS.findDate(g.title))),
    ),
    ...(rubric
      ? section(
          WORDS.rubric,
          rubric.criteria.flatMap((c) => [
            { kind: "text" as const, text: c.name },
            ...c.levels.map((l) => item(`${l.name}${l.text ? `: ${l.text}` : ""} (${l.points})`)),
          ]),
        )
      : []),
    ...texts.flatMap((t, i): Line[] => [
      { kind: "small", text: t.title || WORDS.textN(i + 1) },
      { kind: "text", text: t.text },
    ]),
  ];
}
