/** Runs once when the server starts; the work itself is Node's and stays out of other runtimes. */
export async function register() {
  if (process.env.NEXT_RUNTIME !== "nodejs") return;
  (await import("./server/language/speaking")).learnLanguages();
  (await import("./server/lifecycle")).begin();
  if (process.env.JOBS === "0") return; // done by `npm run jobs`, here or on another machine
  const { beginJobs } = await import("./threads/run-jobs");
  beginJobs();
}
