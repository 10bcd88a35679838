"use client";

import { WORDS } from "@/core/words/en/accounts";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { useReady } from "@/ui/use-ready";

export function SignOutButton() {
  const ready = useReady();
  return (
    <Button
      kind="dark"
      disabled={!ready}
      onClick={async () => {
        await askServer("DELETE", "/api/session");
        window.location.assign("/");
      }}
    >
      {WORDS.signOut}
    </Button>
  );
}
