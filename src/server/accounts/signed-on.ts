import "server-only";
import { WORDS } from "@/core/words/accounts";
import { mustSignOn } from "../classes/sign-on-classes";
import { type Failure, fail } from "../http/failure";
import { providerOf } from "../sign-on/providers";

/** Refuses those whose school asks that they come in through its own accounts, while that way is there. */
export async function askedToSignOn(account: string): Promise<Failure | null> {
  const key = await mustSignOn(account);
  const provider = key && providerOf(key);
  return provider ? fail("use_sign_on", WORDS.choose(provider.name)) : null;
}
