import { cookies } from "next/headers";
import { PageLink } from "@/ui/page-link";
import { WORDS } from "@/core/words/accounts";
import { ClaimForm } from "@/features/accounts/claim-form";
import { claimOf } from "@/server/sign-on/sign-on";
import { heldIn } from "../../api/sign-on/sign-on-cookie";
import { NarrowPage } from "../../sign-page";

export const generateMetadata = () => ({ title: WORDS.claimTitle });

/** Somebody came through their school, and an account has their address already. */
export default async function ClaimPage() {
  const held = heldIn((await cookies()).toString());
  const claim = held ? await claimOf(held) : null;
  if (!claim)
    return (
      <NarrowPage title={WORDS.claimOver}>
        <p className="mb-4">{WORDS.claimOverMore}</p>
        <PageLink className="font-bold text-verdigris underline" href="/sign-in">
          {WORDS.toSignIn}
        </PageLink>
      </NarrowPage>
    );
  return (
    <NarrowPage title={WORDS.claimTitle}>
      <p className="mb-2 [overflow-wrap:anywhere]">{WORDS.claimMore(claim.provider, claim.email)}</p>
      <ClaimForm />
    </NarrowPage>
  );
}
