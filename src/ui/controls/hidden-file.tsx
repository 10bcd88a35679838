import type { RefObject } from "react";

/** A chooser of one file, opened by a button beside it; the same file can be chosen again. */
export function HiddenFile({
  input,
  accept,
  label,
  onChoose,
}: {
  input: RefObject<HTMLInputElement | null>;
  accept: string;
  label: string;
  onChoose: (file: File) => void;
}) {
  return (
    <input
      ref={input}
      type="file"
      accept={accept}
      className="sr-only"
      tabIndex={-1}
      aria-label={label}
      onChange={(e) => {
        const [file] = e.target.files ?? [];
        if (file) onChoose(file);
        e.target.value = "";
      }}
    />
  );
}
