// LTI Deep Linking 2.0: a teacher chooses on a page of Fastigo which assignment a link of the platform leads to.
import "server-only";
import { assignmentsOf } from "../classes/assignment";
import { classNameOf } from "../classes/reach";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { sign } from "./keys";
import { type Platform, platformOf } from "./platforms";

const CLAIM = "https://purl.imsglobal.org/spec/lti/claim/";
const DL = "https://purl.imsglobal.org/spec/lti-dl/claim/";
const MINUTES = 60;

export interface Choice {
  id: string;
  classId: string;
  className: string;
  platform: Platform;
  assignments: { id: string; title: string }[];
}

interface Row {
  platform: string;
  classId: string;
  className: string;
  deployment: string;
  returnUrl: string;
  data: string;
}

async function find(id: string, account: string): Promise<(Row & { known: Platform }) | null> {
  const [row] = await db()<Row[]>`
    select l.platform, l.class_id, ${classNameOf(db(), db()`l.class_id`)} as class_name, l.deployment, l.return_url, l.data
    from lti_choice l
    where l.id = ${id} and l.account_id = ${account} and l.at > now() - ${`${MINUTES} minutes`}::interval`;
  const known = row && platformOf(row.platform);
  return row && known ? { ...row, known } : null;
}

/** What can be linked, for whoever is choosing; null when there is no such choice of theirs. */
export async function choiceOf(id: string, account: string): Promise<Choice | null> {
  const row = await find(id, account);
  if (!row) return null;
  const assignments = (await assignmentsOf(row.classId)).map((a) => ({ id: a.id, title: a.title }));
  return { id, classId: row.classId, className: row.className, platform: row.known, assignments };
}

/** The answer to the platform: where it is posted, and the signed message. The choice is over then. */
export async function choose(
  id: string,
  account: string,
  assignment: string,
  launchUrl: string,
): Promise<Failure | { to: string; token: string; platform: string }> {
  const row = await find(id, account);
  if (!row) return fail("not_found");
  const a = (await assignmentsOf(row.classId)).find((a) => a.id === assignment);
  if (!a) return fail("not_found");
  const token = await sign(
    {
      [`${CLAIM}message_type`]: "LtiDeepLinkingResponse",
      [`${CLAIM}version`]: "1.3.0",
      [`${CLAIM}deployment_id`]: row.deployment,
      [`${DL}data`]: row.data,
      [`${DL}content_items`]: [
        {
          type: "ltiResourceLink",
          title: a.title,
          url: launchUrl,
          custom: { assignment: a.id },
          lineItem: { scoreMaximum: a.total, label: a.title, resourceId: a.id },
        },
      ],
    },
    row.known.clientId,
    row.known.issuer,
  );
  await db()`delete from lti_choice where id = ${id}`;
  return { to: row.returnUrl, token, platform: row.known.name };
}
