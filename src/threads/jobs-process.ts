import { learnLanguages } from "@/server/language/speaking";
import { beginJobs } from "./run-jobs";

learnLanguages();
beginJobs(() => process.exit(0));
// Whoever began this process is gone.
process.on("disconnect", () => process.kill(process.pid, "SIGTERM"));
