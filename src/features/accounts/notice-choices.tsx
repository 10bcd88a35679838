"use client";

import { useState } from "react";
import { WORDS } from "@/core/words/accounts";
import { askServer } from "@/ui/ask-server";
import { Problem } from "@/ui/controls/problem";
import { useReady } from "@/ui/use-ready";
import { Part } from "./account-pieces";

type Kind = keyof typeof WORDS.noticeKinds;
export type NoticeChoiceProps = Record<Kind, { here: boolean; byMail: boolean }>;

/** What somebody wants to be told of, and how; each is set at once. */
export function NoticeChoices({
  choices,
  mail,
}: {
  choices: NoticeChoiceProps;
  /** Whether letters go out to them. */
  mail: "goes" | "none" | "unproven";
}) {
  const ready = useReady();
  const [now, setNow] = useState(choices);
  const [problem, setProblem] = useState<string | null>(null);
  const choose = async (kind: Kind, change: { here?: boolean; byMail?: boolean }) => {
    const next = { ...now[kind], ...change };
    setNow({ ...now, [kind]: next });
    const answer = await askServer("PUT", "/api/account/notices", { kind, ...next });
    setProblem(answer.ok ? null : answer.sentence);
    // What was not kept is not shown as if it were.
    if (!answer.ok) setNow((all) => ({ ...all, [kind]: now[kind] }));
  };
  return (
    <Part title={WORDS.noticesTitle}>
      <p>{WORDS.noticesHelp}</p>
      {mail === "goes" ? null : (
        <p className="mt-1 text-[14px] text-quiet">{mail === "none" ? WORDS.noticesNoMail : WORDS.noticesUnproven}</p>
      )}
      <table className="mt-3 w-full text-start text-[15px]">
        <thead>
          <tr className="text-[13px] text-quiet">
            <td />
            <th scope="col" className="px-2 font-normal">
              {WORDS.noticesHere}
            </th>
            <th scope="col" className="px-2 font-normal">
              {WORDS.noticesByMail}
            </th>
          </tr>
        </thead>
        <tbody>
          {(Object.keys(WORDS.noticeKinds) as Kind[]).map((kind) => (
            <tr key={kind} className="border-t border-line">
              <th scope="row" className="py-1.5 font-normal">
                {WORDS.noticeKinds[kind]}
              </th>
              {(["here", "byMail"] as const).map((way) => (
                <td key={way} className="px-2 text-center">
                  <input
                    type="checkbox"
                    className="size-5 align-middle accent-verdigris"
                    aria-label={`${WORDS.noticeKinds[kind]}: ${way === "here" ? WORDS.noticesHere : WORDS.noticesByMail}`}
                    checked={now[kind][way] && !(way === "byMail" && mail === "none")}
                    disabled={!ready || (way === "byMail" && mail === "none")}
                    onChange={(e) => void choose(kind, { [way]: e.target.checked })}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <Problem text={problem} className="mt-2" />
    </Part>
  );
}
