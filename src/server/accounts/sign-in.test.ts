import { describe, expect, it } from "vitest";
import { deleteAccount } from "./account";
import { passwordProblem } from "./password";
import { mayTryFrom, RATES, succeeded } from "./tried";
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

  it("is counted before the password is looked at: of many at once as few are tried as one after the other", async () => {
    const { email } = await makePerson();
    const all = await Promise.all(Array.from({ length: 40 }, (_, i) => signIn(email, `guess number ${i}`)));
    const tried = all.filter((a) => "failed" in a && a.failed === "wrong_password").length;
    expect(tried).toBeGreaterThan(4);
    expect(tried).toBeLessThanOrEqual(9);
  });

  it("from a browser that was signed in before is not kept out by guesses from elsewhere", async () => {
    const { id, email } = await makePerson();
    for (let i = 0; i < 12; i++) await signIn(email, `guess number ${i}`);
    expect(await signIn(email, RIGHT)).toMatchObject({ failed: "slow_down" });
    expect(await signIn(email, RIGHT, { known: id })).toMatchObject({ user: { id } });
    // Known to somebody else's account it is like any other.
    expect(await signIn(email, RIGHT, { known: "somebody" })).toMatchObject({ failed: "slow_down" });
    for (let i = 0; i < 12; i++) await signIn(email, `guess number ${i}`, { known: id });
    expect(await signIn(email, RIGHT, { known: id })).toMatchObject({ failed: "slow_down" });
  });

  it("is not possible with an account that is deleted", async () => {
    const { id, email } = await makePerson();
    await deleteAccount(id);
    expect(await signIn(email, RIGHT)).toMatchObject({ failed: "wrong_password" });
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

describe("a password", () => {
  it.each<[string, string | null]>([
    ["over-the-ambrel", null],
    ["three old boats", null],
    ["brücke über ambrel", null],
    ["ambrel", "password_short"],
    ["       x", "password_short"],
    ["password", "password_common"],
    ["Password1", "password_common"],
    ["sunshine!!", "password_common"],
    ["aaaaaaaaaa", "password_common"],
    ["abababab", "password_common"],
    ["Unmistakable", "password_same"],
    ["unmistakable12", "password_same"],
    ["ferryman", "password_same"],
    ["x".repeat(201), "password_long"],
  ])("%s: %s", (password, wanted) =>
    expect(passwordProblem(password, ["Unmistakable", "ferryman@hollinbank.example"])?.failed ?? null).toBe(wanted),
  );
});

describe("how often may be tried", () => {
  const from = (address: string) => new Request("http://localhost/", { headers: { "x-fastigo-from": address } });

  it("is a class's burst from one address, then slow; other addresses are not concerned", async () => {
    let taken = 0;
    while (await mayTryFrom("code", from("10.0.0.1"))) taken++;
    expect(taken).toBe(RATES.code_from.burst);
    expect(await mayTryFrom("code", from("10.0.0.2"))).toBe(true);
    await db()`update tried set at = at - interval '30 seconds' where name = 'code_from 10.0.0.1'`;
    expect(await mayTryFrom("code", from("10.0.0.1"))).toBe(true);
  });

  it("does not count what succeeds", async () => {
    for (let i = 0; i < 3 * RATES.code_from.burst; i++) {
      expect(await mayTryFrom("code", from("10.0.0.3"))).toBe(true);
      await succeeded("code", from("10.0.0.3"));
    }
  });

  it("is counted right when very many come at once", async () => {
    const all = await Promise.all(Array.from({ length: 200 }, () => mayTryFrom("code", from("10.0.0.4"))));
    expect(all.filter(Boolean).length).toBeLessThanOrEqual(RATES.code_from.burst + 1);
  });
});
