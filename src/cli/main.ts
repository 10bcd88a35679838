/** The fastigo command: the core without a browser, a server or a database. */
import { dates } from "./dates";

const USAGE = "usage: fastigo dates [--order dmy|mdy|ymd] [--day EDTF] [--today EDTF]";

async function main(): Promise<number> {
  const [command, ...args] = process.argv.slice(2);
  if (command === "dates") return dates(args, process.stdin, process.stdout, USAGE);
  process.stderr.write(`${command ? `There is no command "${command}".` : "A command is missing."} ${USAGE}\n`);
  return 2;
}

process.exitCode = await main();
