"use client";

import { type ComponentType, useEffect, useState } from "react";
import { WORDS } from "@/core/words/editor";
import { Button } from "@/ui/controls/button";
import { restOf } from "./rest";

/** A part of the editor that is fetched after what one writes in. */
export interface LatePart<P> {
  (props: P): React.ReactNode;
  /** Fetches it before it is asked for. */
  fetch: () => Promise<unknown>;
}

/**
 * Where a part cannot be fetched, as without a network, that is said with a way to try again: the rest goes on. `room` stands in its
 * place until it is here.
 */
export function late<P extends object>(
  load: () => Promise<ComponentType<P>>,
  room: React.ReactNode = null,
): LatePart<P> {
  let got: ComponentType<P> | null = null;
  const fetch = async () => {
    got ??= await load();
    return got;
  };
  // biome-ignore lint/correctness/noComponentHookFactories: made once for each part, where modules are loaded
  function Late(props: P) {
    const [part, setPart] = useState<ComponentType<P> | null>(() => got);
    const [failed, setFailed] = useState(false);
    const [tries, setTries] = useState(0);
    // biome-ignore lint/correctness/useExhaustiveDependencies: each try asks again
    useEffect(() => {
      let wanted = true;
      if (part) return;
      fetch().then(
        (found) => wanted && setPart(() => found),
        () => wanted && setFailed(true),
      );
      return () => {
        wanted = false;
      };
    }, [tries]);
    // The network is back: it is asked for again by itself.
    useEffect(() => {
      if (!failed) return;
      const again = () => {
        setFailed(false);
        setTries((n) => n + 1);
      };
      window.addEventListener("online", again);
      return () => window.removeEventListener("online", again);
    }, [failed]);
    const Part = part;
    if (Part) return <Part {...props} />;
    return failed ? (
      <div role="alert" className="border-s-2 border-slate bg-white p-4">
        <p>{WORDS.notFetched}</p>
        <Button
          className="mt-2"
          onClick={() => {
            setFailed(false);
            setTries((n) => n + 1);
          }}
        >
          {WORDS.tryAgain}
        </Button>
      </div>
    ) : (
      room
    );
  }
  return Object.assign(Late, { fetch });
}

/**
 * Fetches parts one after the other, once somebody rests and nothing else is to be done: who writes or looks about at once has the
 * device for that alone. What cannot be had is asked for again when it is needed.
 */
export async function fetchAll(parts: readonly { fetch: () => Promise<unknown> }[]): Promise<void> {
  const resting = restOf(window);
  for (const part of parts) {
    await resting();
    await new Promise((go) => idle(go));
    await part.fetch().catch(() => {});
  }
}

const LONGEST_MS = 1_000;
function idle(go: (value: unknown) => void): void {
  if ("requestIdleCallback" in window) requestIdleCallback(() => go(null), { timeout: LONGEST_MS });
  else setTimeout(() => go(null), LONGEST_MS / 4);
}
