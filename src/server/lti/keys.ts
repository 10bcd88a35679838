import "server-only";
import { exportJWK, generateKeyPair, importJWK, type JWK, SignJWT } from "jose";
import { nanoid } from "nanoid";
import { db } from "../db/pool";

const ALG = "RS256";

async function ownKey(): Promise<{ id: string; jwk: JWK }> {
  const find = () =>
    db()<{ id: string; jwk: JWK }[]>`select id, private_key as jwk from lti_key order by at, id limit 1`;
  const [known] = await find();
  if (known) return known;
  const { privateKey } = await generateKeyPair(ALG, { extractable: true });
  const jwk = await exportJWK(privateKey);
  // Of two that make one at once the first stays.
  await db()`
    insert into lti_key (id, private_key) select ${nanoid(12)}, ${db().json(jwk as never)}
    where not exists (select from lti_key)`;
  return (await find())[0]!;
}

/** The public half, as platforms fetch it (RFC 7517). */
export async function publicKeys(): Promise<{ keys: JWK[] }> {
  const { id, jwk } = await ownKey();
  const { kty, n, e } = jwk;
  return { keys: [{ kty: kty!, n: n!, e: e!, kid: id, alg: ALG, use: "sig" }] };
}

/** Signs claims for a platform, good for five minutes. */
export async function sign(claims: Record<string, unknown>, issuer: string, audience: string): Promise<string> {
  const { id, jwk } = await ownKey();
  return new SignJWT(claims)
    .setProtectedHeader({ alg: ALG, kid: id, typ: "JWT" })
    .setIssuer(issuer)
    .setAudience(audience)
    .setIssuedAt()
    .setExpirationTime("5m")
    .setJti(nanoid())
    .sign(await importJWK(jwk, ALG));
}
