import { WORDS } from "@/core/words/accounts";
import { ProveAddress } from "@/features/accounts/link-forms";
import { findAccount } from "@/server/accounts/account";
import { requirePageUser } from "@/server/http/page-user";
import { NarrowPage } from "../../../sign-page";

export const generateMetadata = () => ({ title: WORDS.proveTitle, referrer: "no-referrer" });

export default async function ProveAddressPage({ params }: { params: Promise<{ key: string }> }) {
  const { key } = await params;
  const user = await requirePageUser(`/account/address/${key}`);
  const own = await findAccount(user.id);
  return (
    <NarrowPage title={WORDS.proveTitle}>
      <p className="mb-4 font-bold [overflow-wrap:anywhere]">{own?.email}</p>
      <ProveAddress link={key} />
    </NarrowPage>
  );
}
