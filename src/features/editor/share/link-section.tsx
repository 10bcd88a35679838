"use client";

import { useState } from "react";
import { WORDS } from "@/core/words/editor-share";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { INPUT } from "@/ui/controls/field";
import { Problem } from "@/ui/controls/problem";
import type { Publication } from "../store/ports";
import { CopyLine } from "./copy-line";
import { QrCode } from "./qr-code";
import { usePublishing } from "./use-publishing";

/** The link to the published page: a word of one's choice, a QR code, and sending it by mail. */
export function LinkSection({ publication, owner }: { publication: Publication; owner: boolean }) {
  const { busy, problem, path, chooseWord } = usePublishing();
  const [word, setWord] = useState<string | null>(null);
  const short = `/t/${publication.word ?? publication.address}`;
  const origin = typeof window === "undefined" ? "" : window.location.origin;
  return (
    <section aria-label={WORDS.link}>
      <CopyLine label={WORDS.linkToThePublishedPage} path={short} open />
      {owner ? (
        <form
          className="mt-3 flex flex-wrap items-end gap-2"
          onSubmit={async (e) => {
            e.preventDefault();
            if (word && (await chooseWord(word))) setWord(null);
          }}
        >
          <label className="block min-w-[220px] flex-1 text-[13px] text-quiet">
            {WORDS.shortLink(`${origin}/t/`)}
            <input
              className={`${INPUT} mt-1`}
              value={word ?? publication.word ?? ""}
              maxLength={60}
              placeholder={WORDS.shortLinkExample}
              onChange={(e) => setWord(e.target.value)}
            />
          </label>
          <Button type="submit" disabled={busy || !word}>
            {WORDS.useThisWord}
          </Button>
        </form>
      ) : null}
      <Problem text={problem} className="mt-2" />
      <div className="mt-3 flex flex-wrap gap-x-6 gap-y-2">
        <QrCode url={`${origin}${short}`} />
        {owner ? <ByMail path={`${path}/mail`} /> : null}
      </div>
    </section>
  );
}

/** Sends the link in one's own name. */
function ByMail({ path }: { path: string }) {
  const [to, setTo] = useState("");
  const [words, setWords] = useState("");
  const [state, setState] = useState<{ busy: boolean; said: string | null; problem: string | null }>({
    busy: false,
    said: null,
    problem: null,
  });
  return (
    <details className="min-w-[260px] flex-1">
      <summary className="cursor-pointer text-[15px] text-verdigris underline">{WORDS.byMail}</summary>
      <form
        className="mt-2"
        onSubmit={async (e) => {
          e.preventDefault();
          setState({ busy: true, said: null, problem: null });
          const answer = await askServer<{ sent: number; real: boolean }>("POST", path, { to, words });
          setState({
            busy: false,
            said: answer.ok ? (answer.value.real ? WORDS.sentTo : WORDS.keptFor)(answer.value.sent) : null,
            problem: answer.ok ? null : answer.sentence,
          });
          if (answer.ok) setTo("");
        }}
      >
        <label className="block text-[13px] text-quiet">
          {WORDS.mailTo}
          <input className={`${INPUT} mt-1`} value={to} maxLength={5_000} onChange={(e) => setTo(e.target.value)} />
        </label>
        <label className="mt-2 block text-[13px] text-quiet">
          {WORDS.mailWords}
          <textarea
            className={`${INPUT} mt-1 h-20 py-2`}
            value={words}
            maxLength={2_000}
            onChange={(e) => setWords(e.target.value)}
          />
        </label>
        <div className="mt-2 flex flex-wrap items-center gap-3">
          <Button type="submit" disabled={state.busy || to.trim() === ""}>
            {WORDS.send}
          </Button>
          <span role="status" className="text-[14px] text-verdigris">
            {state.said}
          </span>
          <a href="/mailbox" className="text-[14px] text-verdigris underline">
            {WORDS.mailbox}
          </a>
        </div>
        <Problem text={state.problem} className="mt-2" />
      </form>
    </details>
  );
}
