"use client";

import { useState } from "react";
import { WORDS } from "@/core/words/accounts";
import { WORDS as LOCAL } from "@/core/words/editor-local";
import { askServer } from "@/ui/ask-server";
import { Button, buttonLook } from "@/ui/controls/button";
import { Modal } from "@/ui/controls/modal";
import { findUnsent, forgetKept, forgetUnsent, sendUnsent } from "@/ui/kept-here";
import { PageLink } from "@/ui/page-link";
import { useReady } from "@/ui/use-ready";

/** Signs out. What has not been sent is sent first, or saved as a file; what was kept on this device goes. */
export function SignOutButton({ account }: { account: string }) {
  const ready = useReady();
  const [unsent, setUnsent] = useState<{ by: { timeline: string; changes: number }[]; text: string } | null>(null);
  const leave = async () => {
    await forgetKept().catch(() => {});
    const answer = await askServer<{ to: string | null }>("DELETE", "/api/session");
    window.location.assign((answer.ok && answer.value.to) || "/");
  };
  const ask = async () => {
    await sendUnsent(account).catch(() => {});
    const found = await findUnsent(account).catch(() => ({ by: [], text: "" }));
    if (found.by.length === 0) return leave();
    setUnsent(found);
  };
  const save = async () => {
    const url = URL.createObjectURL(new Blob([unsent!.text], { type: "application/json" }));
    const link = document.createElement("a");
    link.href = url;
    link.download = LOCAL.unsentFile;
    link.click();
    await forgetUnsent(account);
    await leave();
  };
  const count = unsent?.by.reduce((sum, u) => sum + u.changes, 0) ?? 0;
  return (
    <>
      <Button kind="dark" disabled={!ready} onClick={() => void ask()}>
        {WORDS.signOut}
      </Button>
      <Modal title={LOCAL.notSentYet} open={unsent !== null} onOpenChange={(open) => (open ? null : setUnsent(null))}>
        <p>{LOCAL.unsentSaid(count)}</p>
        <span className="mt-4 flex flex-wrap gap-2">
          {unsent?.by.map((u) => (
            // Within the application: what is in this tab alone is still there.
            <PageLink key={u.timeline} href={`/timelines/${u.timeline}`} className={buttonLook("main")}>
              {LOCAL.openToSend}
            </PageLink>
          ))}
          <Button onClick={() => void save()}>{LOCAL.saveAndSignOut}</Button>
          <Button onClick={() => setUnsent(null)}>{LOCAL.stay}</Button>
        </span>
      </Modal>
    </>
  );
}
