// What a platform does for a tool: names and roles (LTI NRPS 2.0) and grades (LTI AGS 2.0), with tokens by RFC 7523.
import "server-only";
import { addStudent, lockClass } from "../classes/enter-class";
import { assignmentsHandedIn, markBackOf } from "../classes/marks-back";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { shape } from "../http/shape";
import { addJob } from "../jobs/queue";
import { sign } from "./keys";
import { makeAccount } from "./launch";
import { keyOf, type Platform, platformOf } from "./platforms";

const SCORE = "https://purl.imsglobal.org/spec/lti-ags/scope/score";
const MEMBERS = "https://purl.imsglobal.org/spec/lti-nrps/scope/contextmembership.readonly";
const PATIENCE_MS = 10_000;
const MOST_BYTES = 5_000_000;

class NoAnswer extends Error {}

async function asked(url: string, init: RequestInit): Promise<unknown> {
  const response = await fetch(url, { ...init, redirect: "error", signal: AbortSignal.timeout(PATIENCE_MS) });
  if (!response.ok) throw new NoAnswer(`${url} answered ${response.status}`);
  const text = await response.text();
  if (text.length > MOST_BYTES) throw new NoAnswer(`${url} answered with more than is read`);
  return text === "" ? null : (JSON.parse(text) as unknown);
}

/** Only what stands at a platform's own server is asked, whatever a launch has named. */
function ofPlatform(platform: Platform, url: string): boolean {
  try {
    return new URL(url).origin === new URL(platform.token).origin;
  } catch {
    return false;
  }
}

async function tokenFor(platform: Platform, scope: string): Promise<string> {
  const answer = await asked(platform.token, {
    method: "POST",
    headers: { "Content-Type": "application/x-www-form-urlencoded", Accept: "application/json" },
    body: new URLSearchParams({
      grant_type: "client_credentials",
      client_assertion_type: "urn:ietf:params:oauth:client-assertion-type:jwt-bearer",
      client_assertion: await sign({ sub: platform.clientId }, platform.clientId, platform.token),
      scope,
    }).toString(),
  });
  const token = (answer as { access_token?: unknown } | null)?.access_token;
  if (typeof token !== "string") throw new NoAnswer("no token");
  return token;
}

const isMembers = shape<Members>({
  type: "object",
  required: ["members"],
  properties: {
    members: {
      type: "array",
      items: {
        type: "object",
        required: ["user_id", "roles"],
        properties: {
          user_id: { type: "string", minLength: 1, maxLength: 255 },
          roles: { type: "array", items: { type: "string" } },
          status: { type: "string" },
          given_name: { type: "string" },
          family_name: { type: "string" },
        },
      },
    },
  },
});
interface Members {
  members: { user_id: string; roles: string[]; status?: string; given_name?: string; family_name?: string }[];
}

/** Whether the people of a class can be brought in from a platform, and how that is called; null: it is no course of one. */
export async function courseOf(klass: string): Promise<string | null> {
  const [row] = await db()<{ platform: string }[]>`
    select platform from lti_course where class_id = ${klass} and memberships <> ''`;
  return row ? (platformOf(row.platform)?.name ?? null) : null;
}

/** Brings the students of a course into its class, those who are not there yet. The class's teachers only. */
export async function bringMembers(
  klass: string,
  teacher: string,
): Promise<Failure | { added: number; there: number }> {
  const [course] = await db()<{ platform: string; memberships: string }[]>`
    select l.platform, l.memberships from lti_course l
    where l.class_id = ${klass} and teaches(${klass}, ${teacher}) and l.memberships <> ''`;
  const platform = course && platformOf(course.platform);
  if (!course || !platform || !ofPlatform(platform, course.memberships)) return fail("not_found");
  let members: Members["members"];
  try {
    const answer = await asked(course.memberships, {
      headers: {
        Authorization: `Bearer ${await tokenFor(platform, MEMBERS)}`,
        Accept: "application/vnd.ims.lti-nrps.v2.membershipcontainer+json",
      },
    });
    if (!isMembers(answer)) throw new NoAnswer("no members");
    ({ members } = answer);
  } catch (error) {
    console.error(error);
    return fail("platform_silent");
  }
  const learners = members.filter(
    (m) => (m.status ?? "Active") === "Active" && m.roles.some((r) => /(^|#)Learner$/.test(r)),
  );
  let added = 0;
  await db().begin(async (tx) => {
    await lockClass(tx, klass);
    for (const m of learners) {
      const [known] = await tx<{ id: string }[]>`
        select account_id as id from lti_account where platform = ${keyOf(platform)} and subject = ${m.user_id}`;
      const id =
        known?.id ?? (await makeAccount(tx, platform, m.user_id, m.given_name ?? "", m.family_name ?? "", klass));
      const name = `${m.given_name ?? ""} ${m.family_name ?? ""}`.trim().slice(0, 40);
      if (await addStudent(tx, klass, id, name)) added++;
    }
  });
  return { added, there: learners.length - added };
}

/** Has the points of these submissions sent to the platforms their assignments are linked from, where there are any. */
export async function sendScoresOf(submissions: readonly string[]): Promise<void> {
  const handedIn = await assignmentsHandedIn(db(), submissions);
  const linked = await db()<{ assignment: string }[]>`
    select distinct assignment_id as assignment from lti_link
    where assignment_id = any(${handedIn.map((s) => s.assignment)}) and line_item <> ''`;
  for (const { submission, assignment } of handedIn)
    if (linked.some((l) => l.assignment === assignment)) await addJob(db(), "lti_scores", submission, { submission });
}

/** Sends the points of a submission that came back, for everybody of its group who is known to a platform. */
export async function sendScores(submission: string): Promise<Failure | null> {
  const mark = await markBackOf(db(), submission);
  if (!mark) return null;
  const rows = await db()<{ platform: string; lineItem: string; subject: string }[]>`
    select l.platform, l.line_item, p.subject from lti_link l join lti_account p on p.platform = l.platform
    where l.assignment_id = ${mark.assignment} and l.line_item <> '' and p.account_id = any(${mark.members})`;
  for (const r of rows) {
    const platform = platformOf(r.platform);
    if (!platform || !ofPlatform(platform, r.lineItem)) continue;
    const url = new URL(r.lineItem);
    url.pathname = `${url.pathname.replace(/\/$/, "")}/scores`;
    await asked(url.href, {
      method: "POST",
      headers: {
        Authorization: `Bearer ${await tokenFor(platform, SCORE)}`,
        "Content-Type": "application/vnd.ims.lis.v1.score+json",
      },
      body: JSON.stringify({
        userId: r.subject,
        scoreGiven: mark.points,
        scoreMaximum: mark.total,
        comment: mark.comment.slice(0, 2_000),
        timestamp: mark.at.toISOString(),
        activityProgress: "Completed",
        gradingProgress: "FullyGraded",
      }),
    });
  }
  return null;
}
