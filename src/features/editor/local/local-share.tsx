"use client";

import { PageLink } from "@/ui/page-link";
import { WORDS } from "@/core/words/editor-local";
import { buttonLook } from "@/ui/controls/button";
import { useEditor } from "../store/editor-context";
import { Modal } from "@/ui/controls/modal";

/** What publishing, sharing and handing in take: an account, which is asked for here and not before. */
export function LocalShare({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const { waits } = useEditor();
  return (
    <Modal title={WORDS.share} open={open} onOpenChange={onOpenChange}>
      <p>{waits ? WORDS.needsTheNetwork : WORDS.needsAnAccount}</p>
      <p className="mt-4 flex flex-wrap gap-2" hidden={waits}>
        <PageLink href="/sign-up" className={buttonLook("main")}>
          {WORDS.signUp}
        </PageLink>
        <PageLink href="/sign-in" className={buttonLook("plain")}>
          {WORDS.signIn}
        </PageLink>
        <PageLink href="/join-class" className={buttonLook("plain")}>
          {WORDS.joinAClass}
        </PageLink>
      </p>
    </Modal>
  );
}
