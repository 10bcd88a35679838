import { Field, INPUT } from "./field";

/** One of a few, by its name. */
export function Choice({
  label,
  hint,
  value,
  options,
  onChoose,
}: {
  label: string;
  hint?: string;
  value: string;
  options: readonly (readonly [value: string, name: string])[];
  onChoose: (value: string) => void;
}) {
  return (
    <Field label={label} {...(hint === undefined ? {} : { hint })}>
      {(ids) => (
        <select id={ids.id} className={INPUT} value={value} onChange={(e) => onChoose(e.target.value)}>
          {options.map(([key, name]) => (
            <option key={key} value={key}>
              {name}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}
