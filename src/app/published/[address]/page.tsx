import { headers } from "next/headers";
import { notFound } from "next/navigation";
import { zonedText } from "@/core/time/zoned";
import { embedCode, EMBED_HEIGHT } from "@/core/published/embed-code";
import { WORDS } from "@/core/words/published-pages";
import { CopyAsMine } from "@/features/publishing/copy-as-mine";
import { ReportForm } from "@/features/publishing/report-form";
import { findPageUser } from "@/server/http/page-user";
import { ownAddress } from "@/server/http/origin";
import { findPublished, isOpenToAll } from "@/server/publishing/published";
import { findVersion } from "@/server/publishing/versions";
import { buttonLook } from "@/ui/controls/button";
import { CopyText } from "@/ui/controls/copy-text";
import { UserBar } from "../../user-bar";
import { maySee } from "../../published-page";

export const generateMetadata = () => ({ title: WORDS.about });

/** What there is to know and to do about a published timeline: begin with it, show it elsewhere, report it. */
export default async function AboutPublished({ params }: { params: Promise<{ address: string }> }) {
  const { address } = await params;
  const user = await findPageUser();
  const published = await findPublished(decodeURIComponent(address));
  // The request this page answers, as the check of who may see it takes it.
  const request = new Request("http://own.invalid/", { headers: new Headers(await headers()) });
  if (!published || !(await maySee(request, published, user?.id ?? null))) notFound();
  const version = await findVersion(published.version);
  if (!version) notFound();
  const { frozen } = version;
  const title = frozen.title || WORDS.untitled;
  const page = ownAddress(request, `/t/${published.address}`).href;
  const pictures = frozen.items.filter((i) => i.list === "media" && i.kind === "picture").length;
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[720px] px-5 pb-12">
        <h1 className="mt-8 text-[26px]">{title}</h1>
        <p className="mt-1">
          {[
            frozen.byline ? WORDS.by(frozen.byline) : "",
            frozen.subject,
            WORDS.events(frozen.events.length),
            pictures > 0 ? WORDS.pictures(pictures) : "",
          ]
            .filter(Boolean)
            .join(" · ")}
        </p>
        <p className="mt-1 text-quiet">
          {WORDS.publishedOn(zonedText(published.at, published.zone))}{" "}
          {frozen.basedOn ? WORDS.basedOn(frozen.basedOn.title || WORDS.untitled, frozen.basedOn.byline) : ""}
        </p>
        <p className="mt-4">
          <a href={`/t/${published.address}`} className={buttonLook("main")}>
            {WORDS.openPage}
          </a>
        </p>
        <Part heading={WORDS.copyHead}>
          {published.copies ? (
            <>
              <p className="mb-3">{WORDS.copyMore}</p>
              {user ? (
                <CopyAsMine address={published.address} />
              ) : (
                <a href={`/sign-in?to=/published/${published.address}`} className={buttonLook("plain")}>
                  {WORDS.copySignIn}
                </a>
              )}
            </>
          ) : (
            <p>{WORDS.copyNot}</p>
          )}
        </Part>
        <Part heading={WORDS.embedHead}>
          {isOpenToAll(published) && published.embedSites.length > 0 ? (
            <>
              <p className="mb-2">{WORDS.embedMore}</p>
              <CopyText
                label={WORDS.code}
                text={embedCode({ page, title, first: "", height: { kind: "fixed", px: EMBED_HEIGHT } })}
              />
            </>
          ) : (
            <p>{WORDS.embedNot}</p>
          )}
        </Part>
        <Part heading={WORDS.reportHead}>
          <p className="mb-3">{WORDS.reportMore}</p>
          <ReportForm address={published.address} />
        </Part>
      </main>
    </>
  );
}

function Part({ heading, children }: { heading: string; children: React.ReactNode }) {
  return (
    <section aria-label={heading} className="mt-7 border-t border-line pt-4">
      <h2 className="mb-1.5 text-[19px]">{heading}</h2>
      {children}
    </section>
  );
}
