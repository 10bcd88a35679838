/** Says what went wrong, also aloud; nothing while all is well. In a form it stands `framed` before the buttons. */
export function Problem({
  text,
  framed = false,
  className = "",
}: {
  text: string | null | undefined;
  framed?: boolean;
  className?: string;
}) {
  if (!text) return null;
  return (
    <p
      role="alert"
      className={`font-bold text-copper-dark ${framed ? "rounded-md bg-copper-wash px-3 py-2" : ""} ${className}`}
    >
      {text}
    </p>
  );
}
