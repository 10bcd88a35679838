/** Two roofs, one within the other. */
export function Logo({ size = 30 }: { size?: number }) {
  return (
    <svg width={size} height={(size * 26) / 30} viewBox="0 0 30 26" aria-hidden="true">
      <path d="M1.5 13.5 15 3l13.500 10.500" fill="none" stroke="#F2B632" strokeWidth="3.200" />
      <path d="M6.500 24v-7L15 10.500 23.500 17v7" fill="none" stroke="#7FC4B8" strokeWidth="3.200" />
    </svg>
  );
}
