/**
 * For processes that re-encode pictures in several threads: glibc keeps what each thread has freed for itself, unless it is told to share
 * (mallopt(3), M_ARENA_MAX). A setting of one's own goes first.
 */
export const MEMORY = { MALLOC_ARENA_MAX: process.env.MALLOC_ARENA_MAX ?? "2" };
