"use client";

import { WORDS } from "@/core/words/controls";
import { useEffect, useState } from "react";
import { classes } from "../classes";

type Judge = (password: string, own: string[]) => number;

let judge: Promise<Judge> | null = null;
/** Fetched when somebody begins to type a password, and only then: the lists are large. */
function loadJudge(): Promise<Judge> {
  judge ??= Promise.all([import("@zxcvbn-ts/core"), import("@zxcvbn-ts/language-common")]).then(([core, common]) => {
    const factory = new core.ZxcvbnFactory({ dictionary: common.dictionary, graphs: common.adjacencyGraphs });
    return (password, own) => factory.check(password.slice(0, 100), own).score;
  });
  return judge;
}

const SHORTEST = 8;
const STRENGTHS = [
  WORDS.guessedAtOnce,
  WORDS.easyToGuess,
  WORDS.couldBeBetterOneMore,
  WORDS.good,
  WORDS.veryGood,
] as const;

/** How good a password is, in words and as a bar; before anything is typed, what makes a good one. */
export function PasswordMeter({ password, own }: { password: string; own: readonly string[] }) {
  const [score, setScore] = useState<number | null>(null);
  const mine = own.join("\n");
  useEffect(() => {
    if (password.length < SHORTEST) return setScore(null);
    let wanted = true;
    void loadJudge()
      .then((check) => wanted && setScore(check(password, mine.split("\n").filter(Boolean))))
      .catch(() => {});
    return () => {
      wanted = false;
    };
  }, [password, mine]);
  if (password.length < SHORTEST) return <span>{WORDS.atLeast8CharactersThree}</span>;
  if (score === null) return <span>&nbsp;</span>;
  return (
    <span className="flex items-center gap-2" data-testid="password-score">
      <span aria-hidden className="flex w-28 gap-0.5">
        {[1, 2, 3, 4].map((n) => (
          <span
            key={n}
            className={classes(
              "h-1.5 flex-1 rounded-sm",
              n > Math.max(1, score) ? "bg-line" : score < 2 ? "bg-copper" : "bg-verdigris",
            )}
          />
        ))}
      </span>
      {STRENGTHS[score]}
    </span>
  );
}
