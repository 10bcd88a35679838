import { WORDS } from "@/core/words/accounts";
import { AskForLink } from "@/features/accounts/link-forms";
import { ownPath } from "@/server/http/own-path";
import { NarrowPage } from "../../sign-page";

export const generateMetadata = () => ({ title: WORDS.linkTitle });

export default async function AskForLinkPage({ searchParams }: { searchParams: Promise<{ to?: string }> }) {
  const to = ownPath((await searchParams).to);
  return (
    <NarrowPage title={WORDS.linkTitle}>
      <AskForLink to={to} />
    </NarrowPage>
  );
}
