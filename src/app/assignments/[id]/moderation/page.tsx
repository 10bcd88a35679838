import { PageLink } from "@/ui/page-link";
import { notFound } from "next/navigation";
import { differenceText, WORDS } from "@/core/words/moderation";
import { DrawSample } from "@/features/marking/second-mark";
import { findAssignment } from "@/server/classes/assignment";
import { findClassRole } from "@/server/classes/class";
import { sampleOf, secondFor } from "@/server/classes/moderation";
import { db } from "@/server/db/pool";
import { requirePageUser } from "@/server/http/page-user";
import { UserBar } from "../../../user-bar";

export const generateMetadata = () => ({ title: WORDS.moderation });

/** The works that a second teacher marks too, and how far the two are apart. */
export default async function ModerationPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const user = await requirePageUser(`/assignments/${id}/moderation`);
  const a = await findAssignment(id);
  if (!a || (await findClassRole(db(), a.classId, user.id)) !== "teacher") notFound();
  const sample = await sampleOf(id);
  const rows = await Promise.all(sample.map(async (s) => ({ ...s, own: await secondFor(s.submission, user.id) })));
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[820px] px-5 py-7">
        <p>
          <PageLink href={`/assignments/${id}`} className="font-bold text-verdigris underline">
            {a.title}
          </PageLink>
        </p>
        <h1 className="text-[26px]">{WORDS.moderation}</h1>
        <p className="mt-1 text-quiet">{WORDS.help}</p>
        <DrawSample assignment={id} />
        {rows.length === 0 ? (
          <p className="mt-4">{WORDS.none}</p>
        ) : (
          <table className="mt-4 w-full border-collapse text-[15px]">
            <thead>
              <tr className="border-b border-line text-start text-[13px] text-quiet">
                <th scope="col" className="py-1.5 pe-3 font-normal">
                  {WORDS.work}
                </th>
                <th scope="col" className="py-1.5 pe-3 font-normal">
                  {WORDS.first}
                </th>
                <th scope="col" className="py-1.5 pe-3 font-normal">
                  {WORDS.second}
                </th>
                <th scope="col" className="py-1.5 font-normal">
                  {WORDS.difference}
                </th>
              </tr>
            </thead>
            <tbody>
              {rows.map((r) => (
                <tr key={r.submission} className="border-b border-line">
                  <td className="py-2 pe-3 font-bold">
                    <PageLink href={`/assignments/${id}?s=${r.submission}`} className="text-verdigris underline">
                      {r.names}
                    </PageLink>
                  </td>
                  <td className="py-2 pe-3">
                    {r.own?.asked ? WORDS.afterYours : r.first === null ? "–" : `${r.first}, ${r.firstBy}`}
                  </td>
                  <td className="py-2 pe-3">
                    {r.own?.asked
                      ? WORDS.yours
                      : r.given.length === 0
                        ? "–"
                        : r.given.map((g) => `${g.points}, ${g.by}`).join("; ")}
                  </td>
                  <td className="py-2">
                    {r.own?.asked || r.first === null || r.given.length === 0
                      ? "–"
                      : differenceText(
                          r.first,
                          r.given.map((g) => g.points),
                        )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </main>
    </>
  );
}
