/**
 * For processes that re-encode pictures in several threads: glibc keeps what each thread has freed for itself, unless it is told to share
 * (mallopt(3), M_ARENA_MAX), and keeps ever larger pieces the more it sees of them (M_MMAP_THRESHOLD), unless it is told where large
 * begins: what is larger goes back to the system when it is freed. A setting of one's own goes first.
 */
export const MEMORY = {
  MALLOC_ARENA_MAX: process.env.MALLOC_ARENA_MAX ?? "2",
  MALLOC_MMAP_THRESHOLD_: process.env.MALLOC_MMAP_THRESHOLD_ ?? "4194304",
};

/**
 * For processes that answer requests: each leaves much behind that is thrown away at once. V8 begins with room for little of it and makes
 * it smaller again whenever less is asked; with all the room it may take from the start (16 MB, its own limit) it stops for it less often,
 * and the processor does 5 % less a page.
 */
export const YOUNG = ["--min-semi-space-size=16"];

/**
 * V8 tidies up in several threads at a time, so that whoever waits for one process waits less. Where several processes share two
 * processors that wait for nobody, the threads wait for one another instead: without them there is a tenth less to do.
 */
export const ONE_THREAD = "--single-threaded-gc";

/** For what runs tests, which makes much and keeps little of it: twice as much room, which it may take too. A twentieth less to do. */
export const IN_TESTS = ["--min-semi-space-size=32", "--max-semi-space-size=32", ONE_THREAD];
