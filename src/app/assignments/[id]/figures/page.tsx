import { WORDS as COMMON } from "@/core/words/common";
import { PageLink } from "@/ui/page-link";
import { notFound } from "next/navigation";
import { requirementKey } from "@/core/check/requirements";
import { spreadOf } from "@/core/classes/figures";
import { requirementText } from "@/core/words/class-work";
import { WORDS } from "@/core/words/figures";
import { Bars, FigureTable } from "@/features/classes/bars";
import { findAssignment } from "@/server/classes/assignment";
import { findClassRole } from "@/server/classes/class";
import { groupsOf } from "@/server/classes/marking";
import { minutesOf } from "@/server/classes/shares";
import { db } from "@/server/db/pool";
import { requirePageUser } from "@/server/http/page-user";
import { checkDraft } from "../../../desk-work";
import { UserBar } from "../../../user-bar";

export const generateMetadata = () => ({ title: WORDS.figures });

/** How a class did in an assignment, each figure as a chart and as a table. */
export default async function FiguresPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const user = await requirePageUser(`/assignments/${id}/figures`);
  const a = await findAssignment(id);
  const role = a ? await findClassRole(db(), a.classId, user.id) : null;
  if (!a || role === null || role === "student") notFound();
  const rows = (await groupsOf(id, checkDraft)).filter((r) => r.group !== null);
  const minutes = await minutesOf(rows.flatMap((r) => (r.timeline ? [r.timeline] : [])));
  const spread = spreadOf(
    rows.flatMap((r) => (r.points === null ? [] : [r.points])),
    a.total,
  );
  const name = (r: (typeof rows)[number]) => r.members.join(", ");
  const met = a.requirements.map((r, i) => ({
    key: requirementKey(r),
    text: requirementText(r),
    met: rows.filter((g) => g.checks[i]?.met).length,
  }));
  const count = (r: (typeof rows)[number], kind: string) => r.checks.find((c) => c.requirement.kind === kind)?.have;
  const compared = [
    { kind: "events", series: { key: "events", name: COMMON.events } },
    { kind: "media", series: { key: "media", name: COMMON.picturesAndVideos } },
    { kind: "sources", series: { key: "sources", name: COMMON.eventsWithSources } },
  ].filter(({ kind }) => rows.some((r) => count(r, kind) !== undefined));
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[920px] px-5 py-7">
        <p>
          <PageLink href={`/assignments/${id}`} className="font-bold text-verdigris underline">
            {WORDS.back}
          </PageLink>
        </p>
        <h1 className="mb-5 text-[26px]">{WORDS.figuresOf(a.title)}</h1>
        <Figure title={WORDS.spread}>
          {spread.count === 0 ? (
            <p>{WORDS.noMarks}</p>
          ) : (
            <>
              <p>
                {WORDS.spreadSays(spread.count, spread.mean!, spread.median!, spread.least!, spread.most!, a.total)}
              </p>
              <Bars
                label={WORDS.spread}
                data={spread.bins.map((b) => ({ name: `${b.from}–${b.to}`, groups: b.count }))}
                series={[{ key: "groups", name: WORDS.groups }]}
              />
              <FigureTable
                summary={WORDS.asTable}
                head={[WORDS.points, WORDS.groups]}
                rows={spread.bins.map((b) => [`${b.from}–${b.to}`, b.count])}
              />
            </>
          )}
        </Figure>
        {rows.length === 0 ? (
          <p>{WORDS.noWork}</p>
        ) : (
          <>
            <Figure title={WORDS.requirements}>
              <Bars
                label={WORDS.requirements}
                lying
                data={met.map((m) => ({ name: m.text, groups: m.met }))}
                series={[{ key: "groups", name: WORDS.met }]}
              />
              <FigureTable
                summary={WORDS.asTable}
                head={[WORDS.requirement, WORDS.met]}
                rows={met.map((m) => [m.text, WORDS.of(m.met, rows.length)])}
              />
            </Figure>
            <Figure title={WORDS.compare}>
              <Bars
                label={WORDS.compare}
                lying
                data={rows.map((r) => ({
                  name: name(r),
                  ...Object.fromEntries(compared.map(({ kind, series }) => [series.key, count(r, kind) ?? 0])),
                }))}
                series={compared.map((c) => c.series)}
              />
              <FigureTable
                summary={WORDS.asTable}
                head={[WORDS.group, ...compared.map((c) => c.series.name), WORDS.mark]}
                rows={rows.map((r) => [
                  name(r),
                  ...compared.map(({ kind }) => count(r, kind) ?? "–"),
                  r.points === null ? "–" : `${r.points} / ${a.total}`,
                ])}
              />
            </Figure>
            <Figure title={WORDS.time}>
              <p className="text-[14px] text-quiet">{WORDS.timeHelp}</p>
              <Bars
                label={WORDS.time}
                lying
                data={rows.map((r) => ({ name: name(r), minutes: minutes[r.timeline ?? ""] ?? 0 }))}
                series={[{ key: "minutes", name: WORDS.minutes }]}
              />
              <FigureTable
                summary={WORDS.asTable}
                head={[WORDS.group, WORDS.minutes]}
                rows={rows.map((r) => [name(r), minutes[r.timeline ?? ""] ?? 0])}
              />
            </Figure>
          </>
        )}
      </main>
    </>
  );
}

function Figure({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <section aria-label={title} className="mb-7">
      <h2 className="mb-1 text-[18px]">{title}</h2>
      {children}
    </section>
  );
}
