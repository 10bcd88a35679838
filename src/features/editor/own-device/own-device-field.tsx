"use client";

import { useEffect, useState } from "react";
import { WORDS } from "@/core/words/editor-local";
import { CheckRow } from "@/ui/controls/check-row";
import { canKeep, isOwnDevice, setOwnDevice } from "@/ui/kept-here";

/** Whether this device is one's own: then timelines opened on it open without a network too. */
export function OwnDeviceField({ build }: { build: string }) {
  const [own, setOwn] = useState(false);
  const [can, setCan] = useState(true);
  const [said, setSaid] = useState("");
  useEffect(() => {
    setOwn(isOwnDevice());
    setCan(canKeep());
  }, []);
  return (
    <section aria-label={WORDS.thisDevice}>
      <CheckRow
        label={WORDS.thisDeviceIsMine}
        checked={own && can}
        onChange={(on) => {
          setOwn(on);
          void setOwnDevice(on, build).then(() => setSaid(on ? WORDS.keptOnThisDevice : WORDS.nothingIsKeptNow));
        }}
      />
      <p role="status" className="mt-1 text-[13px] text-quiet">
        {said || (can ? WORDS.neverOnShared : WORDS.cannotKeep)}
      </p>
    </section>
  );
}
