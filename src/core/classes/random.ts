/** The same in another order, by lot. */
export function shuffled<T>(list: readonly T[], random: () => number): T[] {
  const made = [...list];
  for (let i = made.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [made[i], made[j]] = [made[j]!, made[i]!];
  }
  return made;
}

/** Mulberry32, a small generator that is even enough for lots. */
export function seeded(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = a;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}
