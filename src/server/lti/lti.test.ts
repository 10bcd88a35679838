import { generateKeyPair } from "jose";
import { createServer, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { type StandInPlatform, startStandInPlatform } from "../../../scripts/lib/stand-in-platform.mjs";
import { createAssignment } from "../classes/assignment";
import { beginAssignment } from "../classes/begin";
import { findClassRole, membersOf } from "../classes/class";
import { returnWork, saveMark } from "../classes/marking";
import { ownWork, submit } from "../classes/submit";
import { db } from "../db/pool";
import { edit, must } from "../testing/school";
import { withTestDatabase } from "../testing/test-database";
import { choiceOf, choose } from "./choose";
import { publicKeys } from "./keys";
import { beginLogin, launch } from "./launch";
import { platforms } from "./platforms";
import { bringMembers, courseOf, sendScores } from "./services";

withTestDatabase("lti");

let platform: StandInPlatform;
let tool: Server;
beforeAll(async () => {
  // The tool as the platform sees it: the place of its keys.
  tool = createServer(async (_, response) => response.end(JSON.stringify(await publicKeys())));
  await new Promise<void>((resolve) => tool.listen(0, "127.0.0.1", resolve));
  platform = await startStandInPlatform({ tool: `http://127.0.0.1:${(tool.address() as AddressInfo).port}` });
  process.env.LTI_PLATFORMS = JSON.stringify([platform.config]);
});
afterAll(() => {
  platform.stop();
  tool.closeAllConnections();
  tool.close();
  delete process.env.LTI_PLATFORMS;
});

/** A login that a platform began, with the nonce it was given. */
async function login(): Promise<{ state: string; nonce: string }> {
  const asked = new URLSearchParams({ iss: platform.url, login_hint: "x", client_id: "fastigo-demo" });
  const { to, state } = must(await beginLogin(asked, "http://localhost/api/lti/launch"));
  return { state, nonce: new URL(to).searchParams.get("nonce")! };
}

/** Somebody comes from the platform: where they get to, or why not. */
async function come(
  who: string,
  link = "course",
  how: { claims?: object; sign?: Record<string, unknown>; held?: string } = {},
) {
  const { state, nonce } = await login();
  const token = await platform.sign({ ...platform.claimsFor(who, link, nonce), ...how.claims }, how.sign);
  return launch(token, state, how.held ?? state, "Browser");
}
const accountOf = async (who: string) =>
  (await db()<{ id: string }[]>`select account_id as id from lti_account where subject = ${who}`)[0]!.id;
const CLAIM = "https://purl.imsglobal.org/spec/lti/claim/";

describe("coming from a learning platform", () => {
  it("waits for the teacher, makes the class with them, and lets the students in; each is one account for ever", async () => {
    expect(await come("ada")).toMatchObject({ failed: "course_not_opened" });
    const first = must(await come("ward"));
    const klass = first.to.split("/")[2]!;
    expect(first.cookies.length).toBeGreaterThan(0);
    expect(await findClassRole(db(), klass, await accountOf("ward"))).toBe("teacher");
    must(await come("ada"));
    must(await come("ada"));
    expect((await membersOf(klass)).map((m) => m.displayName)).toEqual(["Ada B."]);
    expect(must(await come("ward")).to).toBe(`/classes/${klass}`);
  });

  it("is let in once by each login, by the browser that began it, and while it is fresh", async () => {
    must(await come("ward"));
    const { state, nonce } = await login();
    const token = await platform.sign(platform.claimsFor("ward", "course", nonce));
    must(await launch(token, state, state, ""));
    expect(await launch(token, state, state, "")).toMatchObject({ failed: "launch_over" });
    expect(await come("ward", "course", { held: "other" })).toMatchObject({ failed: "launch_elsewhere" });
    expect(await launch(token, "unknown", "unknown", "")).toMatchObject({ failed: "launch_over" });
    const old = await login();
    await db()`update lti_login set at = now() - interval '11 minutes' where state = ${old.state}`;
    expect(
      await launch(await platform.sign(platform.claimsFor("ward", "course", old.nonce)), old.state, old.state, ""),
    ).toMatchObject({ failed: "launch_over" });
  });

  it("is not let in by what another signed, for another tool, another deployment, another nonce, or long ago", async () => {
    const other = await generateKeyPair("RS256");
    const hour = Math.floor(Date.now() / 1000) - 3_600;
    const bad: [string, Parameters<typeof come>[2]][] = [
      ["bad_launch", { sign: { key: other.privateKey } }],
      ["bad_launch", { sign: { issuer: "https://other.example" } }],
      ["bad_launch", { sign: { audience: "other-tool" } }],
      ["bad_launch", { sign: { audience: ["fastigo-demo", "other"] } }],
      ["bad_launch", { claims: { azp: "other-tool" } }],
      ["launch_over", { sign: { issuedAt: hour, expires: hour + 60 } }],
      ["bad_launch", { claims: { nonce: "another" } }],
      ["bad_launch", { claims: { [`${CLAIM}deployment_id`]: "2" } }],
      ["bad_launch", { claims: { [`${CLAIM}version`]: "1.1" } }],
      ["no_course", { claims: { [`${CLAIM}context`]: {} } }],
    ];
    for (const [failed, how] of bad)
      expect(await come("ward", "course", how), JSON.stringify(how)).toMatchObject({ failed });
    const { state } = await login();
    for (const token of ["", "a.b.c", "x".repeat(5_000)])
      expect(await launch(token, state, state, "")).toHaveProperty("failed");
    const asked = (iss: string) => beginLogin(new URLSearchParams({ iss, login_hint: "x" }), "http://localhost/l");
    expect(await asked("https://other.example")).toMatchObject({ failed: "no_such_platform" });
    expect(await beginLogin(new URLSearchParams({ iss: platform.url }), "http://localhost/l")).toMatchObject({
      failed: "bad_launch",
    });
  });

  it("a student is no teacher by what their own browser says, and chooses nothing", async () => {
    must(await come("ward"));
    expect(await come("bo", "deep")).toMatchObject({ failed: "bad_launch" });
    const klass = must(await come("bo")).to.split("/")[2]!;
    expect(await findClassRole(db(), klass, await accountOf("bo"))).toBe("student");
  });
});

describe("what goes between", () => {
  it("a teacher links an assignment, students get to it, the course's people come in, and points go back", async () => {
    const klass = must(await come("ward")).to.split("/")[2]!;
    const ward = await accountOf("ward");
    expect(await courseOf(klass)).toBe("the school's platform");
    const { added } = must(await bringMembers(klass, ward));
    expect(added + (await membersOf(klass)).length).toBeGreaterThanOrEqual(3);
    expect(must(await bringMembers(klass, ward))).toEqual({ added: 0, there: 3 });
    expect(await bringMembers(klass, await accountOf("ada"))).toMatchObject({ failed: "not_found" });
    const assignment = must(
      await createAssignment(ward, {
        class: klass,
        title: "Crossing project",
        instructions: "",
        period: { typed: "", readAs: { kind: "undated" }, calendar: "gregorian", margin: null } as never,
        requirements: [],
        given: [],
        total: 20,
        dueAt: new Date(Date.now() + 3_600_000).toISOString(),
      }),
    ).id;
    const choice = must(await come("ward", "deep")).to.split("/")[2]!;
    expect((await choiceOf(choice, ward))!.assignments.map((a) => a.title)).toEqual(["Crossing project"]);
    expect(await choiceOf(choice, await accountOf("ada"))).toBeNull();
    const chosen = must(await choose(choice, ward, assignment, "http://localhost/api/lti/launch"));
    const back = await fetch(chosen.to, { method: "POST", body: new URLSearchParams({ JWT: chosen.token }) });
    expect([back.status, await back.text()]).toEqual([200, expect.stringContaining("Crossing project")]);
    expect(await choose(choice, ward, assignment, "x")).toMatchObject({ failed: "not_found" });
    // The link leads Ada to the assignment.
    expect(must(await come("ada", "link-1")).to).toBe(`/assignments/${assignment}`);
    const ada = await accountOf("ada");
    const { timeline } = must(await beginAssignment(assignment, ada));
    must(await edit(timeline, ada, { kind: "add_event", id: "e1", fields: { title: "Ferry" } }));
    must(await submit(timeline, ada));
    const id = (await ownWork(timeline))!.submission!.id;
    must(await saveMark(id, ward, { points: 17.5, comment: "Good.", comments: [] }));
    await sendScores(id);
    expect(platform.scores).toEqual([]);
    must(await returnWork(id, ward));
    expect(await db()`select from job where kind = 'lti_scores' and about = ${id}`).toHaveLength(1);
    expect(await sendScores(id)).toBeNull();
    expect(platform.scores).toMatchObject([{ item: "link-1", userId: "ada", scoreGiven: 17.5, scoreMaximum: 20 }]);
  });

  it("a platform whose answer is odd, or whose people stand elsewhere, is asked no further", async () => {
    const klass = must(await come("ward")).to.split("/")[2]!;
    const ward = await accountOf("ward");
    await db()`update lti_course set memberships = 'http://127.0.0.1:1/members' where class_id = ${klass}`;
    expect(await bringMembers(klass, ward)).toMatchObject({ failed: "not_found" });
    await db()`update lti_course set memberships = ${`${platform.url}/nothing`} where class_id = ${klass}`;
    expect(await bringMembers(klass, ward)).toMatchObject({ failed: "platform_silent" });
  });

  it("a configuration that cannot be read lets nobody in", () => {
    const known = process.env.LTI_PLATFORMS;
    for (const text of ["{", "[]", '[{"name":"x"}]', "{}"]) {
      process.env.LTI_PLATFORMS = text;
      expect(platforms()).toEqual([]);
    }
    process.env.LTI_PLATFORMS = known;
    expect(platforms()).toHaveLength(1);
  });
});
