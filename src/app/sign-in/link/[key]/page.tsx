import { PageLink } from "@/ui/page-link";
import { WORDS } from "@/core/words/accounts";
import { SignInByLink } from "@/features/accounts/link-forms";
import { signInLinkOf } from "@/server/accounts/mail-keys";
import { ownPath } from "@/server/http/own-path";
import { NarrowPage } from "../../../sign-page";

export const generateMetadata = () => ({ title: WORDS.linkTitle, referrer: "no-referrer" });

export default async function SignInByLinkPage({
  params,
  searchParams,
}: {
  params: Promise<{ key: string }>;
  searchParams: Promise<{ to?: string }>;
}) {
  const { key } = await params;
  const to = ownPath((await searchParams).to);
  const found = await signInLinkOf(key);
  if (!found)
    return (
      <NarrowPage title={WORDS.linkOver}>
        <p className="mb-4">{WORDS.linkOverMore}</p>
        <PageLink className="font-bold text-verdigris underline" href={`/sign-in/link?to=${encodeURIComponent(to)}`}>
          {WORDS.askAgain}
        </PageLink>
      </NarrowPage>
    );
  return (
    <NarrowPage title={WORDS.linkTitle}>
      <SignInByLink link={key} name={found.displayName} steps={found.hasSteps} to={to} />
    </NarrowPage>
  );
}
