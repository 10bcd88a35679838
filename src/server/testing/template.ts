import postgres from "postgres";
import { migrate } from "../../../db/migrate.mjs";

/** A database with every migration applied, of which those of the tests are copies: that is quicker than applying them again. */
export const TEMPLATE = "template_of_tests";

export default async function makeTemplate(): Promise<void> {
  const cluster = process.env.TEST_CLUSTER;
  if (!cluster) throw new Error("Run these through `npm test`, which starts a database for them.");
  const admin = postgres(cluster.replace("{name}", "postgres"), { max: 1, onnotice: () => {} });
  await admin.unsafe(`drop database if exists ${TEMPLATE}`);
  await admin.unsafe(`create database ${TEMPLATE}`);
  await admin.end();
  await migrate(cluster.replace("{name}", TEMPLATE));
}
