// npm run operator -- EMAIL [--no]: makes an account one of those who keep the site, or takes that from it: they see what readers
// have reported, at /operator, and hide it. It asks the database that DATABASE_URL names, or the one `npm start` has begun.
import { startCluster } from "./lib/cluster.mjs";
import { ensureDependencies } from "./lib/machine.mjs";
import { run, say, Stop } from "./lib/say.mjs";

await run(async () => {
  const [email, no] = process.argv.slice(2);
  if (!email) throw new Stop("Say whose account: npm run operator -- name@school.example (--no takes it away again).");
  ensureDependencies();
  const cluster = process.env.DATABASE_URL ? null : await startCluster();
  const { default: postgres } = await import("postgres");
  const sql = postgres(process.env.DATABASE_URL ?? cluster.url, { max: 1, onnotice: () => {} });
  try {
    const [done] = await sql`
      update account set operator = ${no !== "--no"} where lower(email) = lower(${email}) and deleted_at is null
      returning display_name`;
    if (!done) throw new Stop(`No account has the address ${email}. Sign up with it first.`);
    say(
      no === "--no"
        ? `${email} keeps the site no longer.`
        : `${email} keeps the site: /operator shows what is reported.`,
    );
  } finally {
    await sql.end();
    cluster?.stop();
  }
});
