import { WORDS } from "@/core/words/pages";
import { PageLink } from "@/ui/page-link";
import { TakeAlong } from "@/features/editor/local/take-along";
import { SignOutButton } from "@/features/accounts/sign-out-button";
import { findPageUser } from "@/server/http/page-user";
import { PlainBar } from "@/ui/plain-bar";

/** The bar of pages that are not a timeline, with one's own account and the way out of it; plain for nobody. */
export async function UserBar() {
  const user = await findPageUser();
  return (
    <>
      <PlainBar crowded={user !== null}>
        <PageLink href="/help" className="rounded-md px-1 underline">
          {WORDS.help}
        </PageLink>
        {user ? (
          <>
            <PageLink href="/account" className="rounded-md px-1 underline">
              <span className="sr-only">{WORDS.yourAccount2} </span>
              {user.displayName}
            </PageLink>
            <SignOutButton account={user.id} />
          </>
        ) : null}
      </PlainBar>
      {user ? <TakeAlong /> : null}
    </>
  );
}
