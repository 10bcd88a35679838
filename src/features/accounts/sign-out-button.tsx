"use client";

import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";

export function SignOutButton() {
  return (
    <Button
      kind="dark"
      onClick={async () => {
        await askServer("DELETE", "/api/session");
        window.location.assign("/");
      }}
    >
      Sign out
    </Button>
  );
}
