import { beginJobs } from "./run-jobs";

beginJobs(() => process.exit(0));
// Whoever began this process is gone.
process.on("disconnect", () => process.kill(process.pid, "SIGTERM"));
