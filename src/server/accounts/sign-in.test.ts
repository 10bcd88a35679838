import { describe, expect, it } from "vitest";
import { db } from "../db/pool";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { closeSession, findUserByCookie, openSession } from "./sessions";
import { signIn } from "./sign-in";
import { signUp } from "./sign-up";

withTestDatabase("sign_in");

const RIGHT = "over-the-ambrel";

describe("signing up", () => {
  it.each<[string, { displayName: string; email: string; password: string }, string]>([
    ["no name", { displayName: "  ", email: "a@b.example", password: RIGHT }, "display_name_missing"],
    ["no address", { displayName: "Nia", email: "nia", password: RIGHT }, "email_malformed"],
    ["a short password", { displayName: "Nia", email: "a@b.example", password: "ambrel" }, "password_short"],
    ["a very long password", { displayName: "Nia", email: "a@b.example", password: "x".repeat(201) }, "password_long"],
  ])("with %s is refused", async (_, input, code) => expect(await signUp(input)).toMatchObject({ failed: code }));

  it("twice with one address, however it is written, is refused", async () => {
    const { email } = await makePerson();
    expect(await signUp({ displayName: "Obi", email: email.toUpperCase(), password: RIGHT })).toMatchObject({
      failed: "email_taken",
    });
  });

  it("keeps the password as an Argon2id hash only", async () => {
    const { id } = await makePerson();
    const [row] = await db()<{ passwordHash: string }[]>`select password_hash from account where id = ${id}`;
    expect(row!.passwordHash).toMatch(/^\$argon2id\$/);
  });
});

describe("signing in", () => {
  it("takes the address in any case, and says one thing for a wrong name and a wrong password", async () => {
    const { id, email } = await makePerson();
    expect(await signIn(` ${email.toUpperCase()} `, RIGHT)).toMatchObject({ user: { id } });
    expect(await signIn(email, "under-the-ambrel")).toEqual(await signIn("nobody@hollinbank.example", RIGHT));
  });

  it("is slowed for the account that is guessed at, and for no other", async () => {
    const [one, other] = [await makePerson(), await makePerson()];
    for (let i = 0; i < 6; i++) await signIn(one.email, `guess number ${i}`);
    expect(await signIn(one.email, RIGHT)).toMatchObject({ failed: "slow_down" });
    expect(await signIn(other.email, RIGHT)).toMatchObject({ user: { id: other.id } });
    await db()`update sign_in_attempt set last_at = now() - interval '61 seconds'`;
    expect(await signIn(one.email, RIGHT)).toMatchObject({ user: { id: one.id } });
  });
});

describe("a session", () => {
  it("is stored as a hash, found by its cookie, and ends", async () => {
    const { id } = await makePerson();
    const cookie = (await openSession(db(), id)).cookies[0]!.split(";")[0]!;
    expect(await findUserByCookie(`other=1; ${cookie}`)).toMatchObject({ id });
    const token = cookie.split("=")[1]!;
    const rows = await db()<{ tokenHash: Uint8Array }[]>`select token_hash from session`;
    expect(rows.every((r) => !Buffer.from(r.tokenHash).toString("latin1").includes(token))).toBe(true);
    await closeSession(new Request("http://localhost/", { headers: { cookie } }));
    expect(await findUserByCookie(cookie)).toBeNull();
  });

  it("is over when its time is", async () => {
    const { id } = await makePerson();
    const cookie = (await openSession(db(), id)).cookies[0]!.split(";")[0]!;
    await db()`update session set expires_at = now() where account_id = ${id}`;
    expect(await findUserByCookie(cookie)).toBeNull();
  });

  it("is Secure exactly when the public address is https", async () => {
    const { id } = await makePerson();
    expect((await openSession(db(), id)).cookies.join()).not.toContain("Secure");
    process.env.PUBLIC_URL = "https://fastigo.example";
    for (const c of (await openSession(db(), id)).cookies) expect(c).toContain("; Secure");
    delete process.env.PUBLIC_URL;
  });
});
