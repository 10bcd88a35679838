// Ends with a sentence that says what to do, instead of a stack trace.
export class Stop extends Error {}

export const say = (text) => console.log(text);

/** Runs a script's main function; a Stop is printed as its sentence and ends with status 1. */
export async function run(main) {
  try {
    await main();
  } catch (error) {
    console.error(error instanceof Stop ? `\n${error.message}\n` : error);
    process.exit(1);
  }
}
