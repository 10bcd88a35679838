/** Where a group stands in an assignment that is not handed in yet, as far as its teacher should know. */
export type Standing =
  | { code: "fine" }
  /** Past the due time; by how many seconds. */
  | { code: "late"; by: number }
  /** Nothing was written for so many days; `begun`: it has begun at all. */
  | { code: "idle"; days: number; begun: boolean }
  /** Under half of something that is asked, two days before it is due or less. */
  | { code: "behind"; kinds: number[] };

export interface Work {
  /** When it is due for this group. */
  dueAt: Date;
  /** When the assignment was set. */
  setAt: Date;
  /** When something was last written; null: not begun. */
  alteredAt: Date | null;
  /** How much there is of how much, a requirement each, in their order; null: not known. */
  checks: readonly { have: number; need: number; wished?: boolean }[] | null;
}

const DAY_MS = 86_400_000;
/** Nothing for so long is worth a look. */
const IDLE_DAYS = 3;
/** From so long before it is due, half of everything should be there. */
const CLOSE_DAYS = 2;

/** Where a group stands: late before behind before idle. */
export function standingOf(work: Work, now: Date): Standing {
  const left = work.dueAt.getTime() - now.getTime();
  if (left < 0) return { code: "late", by: Math.round(-left / 1000) };
  if (left <= CLOSE_DAYS * DAY_MS) {
    const kinds = (work.checks ?? []).flatMap((c, i) => (!c.wished && c.have < c.need / 2 ? [i] : []));
    if (kinds.length > 0) return { code: "behind", kinds };
  }
  const since = work.alteredAt ?? work.setAt;
  const days = Math.floor((now.getTime() - since.getTime()) / DAY_MS);
  return days >= IDLE_DAYS ? { code: "idle", days, begun: work.alteredAt !== null } : { code: "fine" };
}
