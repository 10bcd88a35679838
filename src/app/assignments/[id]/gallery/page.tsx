import { PageLink } from "@/ui/page-link";
import { notFound } from "next/navigation";
import { WORDS } from "@/core/words/peers";
import { findAssignment } from "@/server/classes/assignment";
import { findClassRole } from "@/server/classes/class";
import { drawingsIn } from "@/server/classes/drawings";
import { galleryFor } from "@/server/classes/gallery";
import { db } from "@/server/db/pool";
import { requirePageUser } from "@/server/http/page-user";
import { buttonLook } from "@/ui/controls/button";
import { UserBar } from "../../../user-bar";

export const generateMetadata = () => ({ title: WORDS.gallery });

/** Chosen work of an assignment, for the class: all together, or one after another. */
export default async function GalleryPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ n?: string }>;
}) {
  const { id } = await params;
  const { n } = await searchParams;
  const user = await requirePageUser(`/assignments/${id}/gallery`);
  const a = await findAssignment(id);
  if (!a || (await findClassRole(db(), a.classId, user.id)) === null) notFound();
  const shown = await galleryFor(id, user.id);
  const at = n === undefined ? -1 : Math.min(shown.length, Math.max(1, Number.parseInt(n, 10) || 1)) - 1;
  const one = shown[at] ?? null;
  const drawings = await drawingsIn(
    (one ? [one] : shown).map((s) => s.submission),
    one ? "alone" : "beside",
  );
  const to = (k: number) => `/assignments/${id}/gallery?n=${k + 1}`;
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[1180px] px-5 py-7">
        <p>
          <PageLink href={`/assignments/${id}`} className="font-bold text-verdigris underline">
            {a.title}
          </PageLink>
        </p>
        <div className="mb-4 flex flex-wrap items-baseline gap-3">
          <h1 className="text-[26px]">{WORDS.gallery}</h1>
          {shown.length > 1 ? (
            <PageLink
              href={one ? `/assignments/${id}/gallery` : to(0)}
              className={`${buttonLook("plain", "small")} ms-auto`}
            >
              {one ? WORDS.allTogether : WORDS.oneByOne}
            </PageLink>
          ) : null}
        </div>
        {shown.length === 0 ? <p>{WORDS.nothingShown}</p> : null}
        {one ? (
          <article aria-label={one.names || WORDS.work(at + 1)}>
            <Drawing svg={drawings[one.submission]} />
            <div className="mt-3 flex flex-wrap items-center gap-2">
              <h2 className="text-[20px]">{one.names || WORDS.work(at + 1)}</h2>
              <Open submission={one.submission} />
              <span className="ms-auto flex gap-2">
                {at > 0 ? (
                  <PageLink href={to(at - 1)} className={buttonLook("plain")}>
                    {WORDS.previous}
                  </PageLink>
                ) : null}
                {at < shown.length - 1 ? (
                  <PageLink href={to(at + 1)} className={buttonLook("main")}>
                    {WORDS.next}
                  </PageLink>
                ) : null}
              </span>
            </div>
          </article>
        ) : (
          <ul className="grid gap-4 [grid-template-columns:repeat(auto-fit,minmax(min(340px,100%),560px))]">
            {shown.map((s, k) => (
              <li key={s.submission} className="overflow-hidden rounded-lg border border-line">
                <Drawing svg={drawings[s.submission]} />
                <div className="flex flex-wrap items-center gap-2 px-3 pb-3">
                  <h2 className="text-[16px]">
                    <PageLink href={to(k)} className="text-verdigris underline">
                      {s.names || WORDS.work(k + 1)}
                    </PageLink>
                  </h2>
                  <Open submission={s.submission} />
                </div>
              </li>
            ))}
          </ul>
        )}
      </main>
    </>
  );
}

function Open({ submission }: { submission: string }) {
  return (
    <a
      href={`/submissions/${submission}/reader`}
      target="_blank"
      rel="noreferrer"
      className="text-[14px] font-bold text-verdigris underline"
    >
      {WORDS.open}
    </a>
  );
}

function Drawing({ svg }: { svg: string | undefined }) {
  return svg === undefined ? (
    <p className="p-6 text-quiet">{WORDS.notDrawnYet}</p>
  ) : (
    // Drawn by our own painter, which escapes every text, when it was handed in.
    <div className="p-2 [&>svg]:h-auto [&>svg]:w-full" dangerouslySetInnerHTML={{ __html: svg }} />
  );
}
