/** Runs once when the server starts; the work itself is Node's and stays out of other runtimes. */
export async function register() {
  if (process.env.NEXT_RUNTIME === "nodejs") (await import("./server/lifecycle")).begin();
}
