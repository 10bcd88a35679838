import { WORDS } from "@/core/words/pages";
import { AccountForms } from "@/features/accounts/account-forms";
import { OwnDeviceField } from "@/features/editor/own-device/own-device-field";
import { ReturnUnsent } from "@/features/accounts/return-unsent";
import { BUILD } from "../reader-response";
import { findAccount, leavingOf, openCopiesOf } from "@/server/accounts/account";
import { noticeChoicesOf } from "@/server/accounts/notices";
import { sessionsOf } from "@/server/accounts/sessions";
import { requirePageUser } from "@/server/http/page-user";
import { UserBar } from "../user-bar";
import { cookies } from "next/headers";
import { notFound } from "next/navigation";

export const generateMetadata = () => ({ title: WORDS.yourAccount });

export default async function AccountPage() {
  const user = await requirePageUser("/account");
  const own = await findAccount(user.id);
  if (!own) notFound();
  const sessions = await sessionsOf(user.id, (await cookies()).toString());
  const leaving = await leavingOf(user.id);
  const copies = await openCopiesOf(user.id);
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[640px] px-5 py-8">
        <h1 className="mb-5 text-[26px]">{WORDS.yourAccount}</h1>
        <div className="mb-6">
          <OwnDeviceField build={BUILD} />
        </div>
        <div className="mb-6">
          <ReturnUnsent />
        </div>
        <AccountForms
          displayName={own.displayName}
          email={own.email}
          emailProven={own.emailProven}
          notices={await noticeChoicesOf(user.id)}
          hasPassword={own.hasPassword}
          hasSteps={own.hasSteps}
          signInName={own.signInName}
          sessions={sessions.map((s) => ({
            id: s.id,
            browser: s.browser,
            own: s.own,
            seenAt: s.seenAt.toISOString(),
          }))}
          leaving={{ ...leaving, deleteAt: leaving.deleteAt?.toISOString() ?? null }}
          copies={copies.map((c) => ({ ...c, createdAt: c.createdAt.toISOString() }))}
        />
      </main>
    </>
  );
}
