// Signing out at the provider signs out here (OpenID Connect Back-Channel Logout 1.0, section 2.6).
import "server-only";
import { createRemoteJWKSet, decodeJwt, jwtVerify } from "jose";
import { recordOf, textOf } from "@/core/text/loose";
import { endSignedOn } from "../accounts/sessions";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { keyOf, providers } from "./providers";
import { keysAt } from "./sign-on";

const EVENT = "http://schemas.openid.net/event/backchannel-logout";
const keySets = new Map<string, ReturnType<typeof createRemoteJWKSet>>();

/** Ends the sessions that a logout token names; each token is good once. */
export async function signOutBy(token: string): Promise<Failure | { ended: number }> {
  try {
    const named = decodeJwt(token);
    const audience = [named.aud].flat();
    const provider = providers().find((p) => p.issuer === named.iss && audience.includes(p.clientId));
    const at = provider && (await keysAt(provider));
    if (!provider || !at) return fail("bad_sign_out");
    const keys = keySets.get(at) ?? createRemoteJWKSet(new URL(at), { timeoutDuration: 5_000 });
    keySets.set(at, keys);
    const { payload } = await jwtVerify(token, keys, {
      issuer: provider.issuer,
      audience: provider.clientId,
      clockTolerance: 60,
      maxTokenAge: "10 minutes",
      requiredClaims: ["iat", "jti", "events"],
    });
    const [subject, sid] = [textOf(payload.sub, 500), textOf(payload.sid, 200)];
    if (!(EVENT in recordOf(payload.events)) || "nonce" in payload || (subject === "" && sid === ""))
      return fail("bad_sign_out");
    // The same place keeps what may be counted once: a token that is sent again says nothing new.
    const fresh = await db()`
      insert into tried (name, level, at) values (${`logout ${payload.jti}`.slice(0, 200)}, 1, now())
      on conflict do nothing returning name`;
    return { ended: fresh.length > 0 ? await endSignedOn(keyOf(provider), subject, sid) : 0 };
  } catch {
    return fail("bad_sign_out");
  }
}
