"use client";

import { useState } from "react";
import { SIGN_FIELD, SIGN_PATHS, SIGN_PEN } from "@/core/chart/style/sign-paths";
import { language } from "@/core/language/spoken";
import type { Sign } from "@/core/timeline/looks";
import { SIGN_GROUPS, type SignGroup } from "@/core/timeline/sign-names";
import { WORDS } from "@/core/words/editor-sheet";
import { WORDS as LOOK } from "@/core/words/looks";
import { classes } from "@/ui/classes";
import { INPUT } from "@/ui/controls/field";

/** One sign, drawn as the chart draws it. */
export function SignMark({ sign, size = 19 }: { sign: Exclude<Sign, "">; size?: number }) {
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

/** Chooses the sign that stands before an event's words on the chart: by its group, or by its name. */
export function SignField({ value, name, onChange }: { value: Sign; name: string; onChange: (sign: Sign) => void }) {
  const [open, setOpen] = useState(false);
  const [wanted, setWanted] = useState("");
  const cell = (sign: Sign) => (
    <label
      key={sign}
      title={sign ? LOOK.signs[sign] : LOOK.noSign}
      className={classes(
        "relative flex h-9 cursor-pointer items-center justify-center rounded-md border has-focus-visible:outline-3 has-focus-visible:outline-offset-1 has-focus-visible:outline-slate",
        sign ? "w-9" : "px-2",
        value === sign ? "border-slate bg-sun-wash" : "border-edge bg-white hover:bg-verdigris-wash",
      )}
    >
      <input
        type="radio"
        name={name}
        className="absolute inset-0 cursor-pointer opacity-0"
        checked={value === sign}
        aria-label={sign ? LOOK.signs[sign] : WORDS.noSign}
        onChange={() => onChange(sign)}
      />
      {sign ? <SignMark sign={sign} /> : <span className="text-[12px] text-quiet">{LOOK.noSign}</span>}
    </label>
  );
  // By the name it has in the language spoken here, and by its own.
  const asked = wanted.trim().toLocaleLowerCase(language());
  const having = (signs: readonly Exclude<Sign, "">[]) =>
    signs.filter((s) => LOOK.signs[s].toLocaleLowerCase(language()).includes(asked) || s.includes(asked));
  const groups = (Object.keys(SIGN_GROUPS) as SignGroup[])
    .map((group) => ({ group, signs: having(SIGN_GROUPS[group]) }))
    .filter((g) => g.signs.length > 0);
  if (!open)
    return (
      <div>
        <span className="mb-1 block text-[13px] text-quiet">{WORDS.signOnTheChart}</span>
        <button
          type="button"
          className="flex h-9 items-center gap-2 rounded-md border border-edge bg-white px-3 hover:bg-verdigris-wash"
          onClick={() => setOpen(true)}
        >
          {value ? <SignMark sign={value} /> : null}
          {value ? LOOK.signs[value] : LOOK.noSign}
        </button>
      </div>
    );
  return (
    <fieldset>
      <legend className="mb-1 text-[13px] text-quiet">{WORDS.signOnTheChart}</legend>
      <input
        type="search"
        aria-label={LOOK.findASign}
        placeholder={LOOK.findASign}
        className={`${INPUT} mb-2`}
        value={wanted}
        onChange={(e) => setWanted(e.target.value)}
      />
      <div className="mb-2 flex">{cell("")}</div>
      {groups.map(({ group, signs }) => (
        <div key={group} role="group" aria-label={LOOK.signGroups[group]} className="mb-2">
          <span className="block text-[13px] text-quiet">{LOOK.signGroups[group]}</span>
          <div className="flex flex-wrap gap-1">{signs.map(cell)}</div>
        </div>
      ))}
      {groups.length === 0 ? <p className="text-[13px] text-quiet">{LOOK.noSuchSign}</p> : null}
    </fieldset>
  );
}
