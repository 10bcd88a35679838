"use client";

import { WORDS } from "@/core/words/en/editor-sheet";
import { SIGN_FIELD, SIGN_PATHS, SIGN_PEN } from "@/core/chart/style/sign-paths";
import { type Sign, SIGNS } from "@/core/timeline/looks";
import { classes } from "@/ui/classes";

/** One sign, drawn as the chart draws it. */
export function SignMark({ sign, size = 18 }: { sign: Exclude<Sign, "">; size?: number }) {
  return (
    <svg width={size} height={size} viewBox={`0 0 ${SIGN_FIELD} ${SIGN_FIELD}`} aria-hidden="true">
      <path
        d={SIGN_PATHS[sign]}
        fill="none"
        stroke="currentColor"
        strokeWidth={SIGN_PEN}
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </svg>
  );
}

/** Chooses the sign that stands before an event's words on the chart. */
export function SignField({ value, name, onChange }: { value: Sign; name: string; onChange: (sign: Sign) => void }) {
  return (
    <fieldset>
      <legend className="mb-1 text-[13px] text-quiet">{WORDS.signOnTheChart}</legend>
      <div className="flex flex-wrap gap-1">
        {(["", ...SIGNS] as const).map((sign) => (
          <label
            key={sign}
            title={sign || WORDS.none}
            className={classes(
              "relative flex size-9 cursor-pointer items-center justify-center rounded-md border has-focus-visible:outline-3 has-focus-visible:outline-offset-1 has-focus-visible:outline-slate",
              value === sign ? "border-slate bg-sun-wash" : "border-edge bg-white hover:bg-verdigris-wash",
            )}
          >
            <input
              type="radio"
              name={name}
              className="absolute inset-0 cursor-pointer opacity-0"
              checked={value === sign}
              aria-label={sign || WORDS.noSign}
              onChange={() => onChange(sign)}
            />
            {sign ? <SignMark sign={sign} /> : <span className="text-[12px] text-quiet">{WORDS.none}</span>}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
