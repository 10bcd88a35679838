"use client";

import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useState } from "react";
import { colourOf, goesAlong, initialsOf, type Present, type Where } from "@/core/presence/present";
import { COLUMN_NAMES } from "@/core/words/editor-ledger";
import { placeText, WORDS } from "@/core/words/presence";
import { Button } from "@/ui/controls/button";
import { classes } from "@/ui/classes";
import { usePresence } from "@/ui/presence/use-presence";
import { useEditor, useEditorState } from "../store/editor-context";
import type { Caret } from "../sheet/carets";
import type { Panel } from "../tool-bar";

interface Here {
  present: readonly Present[];
  /** The account that is followed; null: nobody. */
  following: string | null;
  follow: (account: string | null) => void;
  /** Says where one writes; "" nowhere. */
  write: (caret: string) => void;
}

const HereContext = createContext<Here>({ present: [], following: null, follow: () => {}, write: () => {} });

const MOST_FIELD = 60;

/** The name of the field the focus is in; "" for none. */
function fieldInFocus(): string {
  const at = document.activeElement;
  if (!(at instanceof HTMLElement)) return "";
  const column = at.closest<HTMLElement>("[role=gridcell][data-col]")?.dataset.col;
  if (column) return COLUMN_NAMES[column as keyof typeof COLUMN_NAMES] ?? "";
  if (!at.isContentEditable && !/^(INPUT|TEXTAREA|SELECT)$/.test(at.tagName)) return "";
  const label = at.getAttribute("aria-label") ?? (at as HTMLInputElement).labels?.[0]?.textContent ?? "";
  return label.trim().slice(0, MOST_FIELD);
}

function useFieldInFocus(): string {
  const [field, setField] = useState("");
  useEffect(() => {
    const look = () => setField(fieldInFocus());
    document.addEventListener("focusin", look);
    document.addEventListener("focusout", look);
    return () => {
      document.removeEventListener("focusin", look);
      document.removeEventListener("focusout", look);
    };
  }, []);
  return field;
}

const PLACE_OF: Partial<Record<NonNullable<Panel>, Where["at"]>> = {
  event: "sheet",
  comments: "comments",
  settings: "settings",
  look: "settings",
};

/** Says to the others where in the timeline one is, and knows where they are. */
export function HereProvider({
  selected,
  panel,
  children,
}: {
  selected: string | null;
  panel: Panel;
  children: ReactNode;
}) {
  const { store, select } = useEditor();
  const field = useFieldInFocus();
  const ended = useEditorState((s) => s.saving === "right_lost" || s.saving === "signed_out");
  const at = (panel && PLACE_OF[panel]) ?? (field ? "ledger" : "chart");
  const [following, follow] = useState<string | null>(null);
  const [caret, write] = useState("");
  const present = usePresence(
    store.timelineId,
    store.account,
    store.isLocal || ended ? null : { at, event: selected, field, follows: following, ...(caret ? { caret } : {}) },
  );
  const led = present.find((p) => p.account === following);
  // Who has gone is followed no longer.
  useEffect(() => {
    if (following !== null && !led) follow(null);
  }, [following, led]);
  const to = led && goesAlong(store.account, led) ? led.where.event : null;
  useEffect(() => {
    if (to !== null && store.getState().timeline.events.has(to)) select(to);
  }, [to, select, store]);
  // Somebody who is not known yet has just come in: who may edit is asked for anew.
  const editors = useEditorState((s) => s.editors);
  const unknown = present
    .filter((p) => editors.every((e) => e.id !== p.account))
    .map((p) => p.account)
    .join(" ");
  useEffect(() => {
    if (unknown) void store.refresh();
  }, [unknown, store]);
  const signature = JSON.stringify(present);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the same people at the same places are the same
  const value = useMemo(() => ({ present, following, follow, write }), [signature, following]);
  return <HereContext value={value}>{children}</HereContext>;
}

/** Where others write in a text, and saying where one does oneself. */
export function useCarets(of: string): { carets: readonly Caret[]; write: (at: string) => void } {
  const { present, write } = useContext(HereContext);
  const carets = useMemo(
    () =>
      present.flatMap((p) => {
        const [text, at] = (p.where.caret ?? "").split(" ");
        return text === of && at ? [{ account: p.account, name: p.name, at }] : [];
      }),
    [present, of],
  );
  const say = useCallback((at: string) => write(at ? `${of} ${at}` : ""), [write, of]);
  return { carets, write: say };
}

const SIGN =
  "flex size-8 items-center justify-center rounded-full border-2 text-[12px] font-bold -ms-1.5 group-first/here:ms-0";

/** Those who may edit and those who are here, as signs; pressed, one is followed. */
export function PeopleHere() {
  const editors = useEditorState((s) => s.editors);
  const events = useEditorState((s) => s.timeline.events);
  const { store } = useEditor();
  const { present, following, follow } = useContext(HereContext);
  const here = new Set(present.map((p) => p.account));
  const away = editors.filter((e) => !here.has(e.id));
  if (present.length === 0 && editors.length < 2) return null;
  return (
    <ul className="flex max-md:hidden" aria-label={WORDS.here}>
      {present.slice(0, 8).map((p) => {
        const place = placeText(p.where, events.get(p.where.event ?? "")?.title ?? "");
        const on = following === p.account;
        const name = on ? WORDS.unfollow(p.name, place) : WORDS.follow(p.name, place);
        return (
          <li key={p.account} className="group/here">
            <button
              type="button"
              aria-pressed={on}
              aria-label={name}
              title={name}
              data-testid="here"
              style={{ backgroundColor: colourOf(p.account) }}
              className={classes(SIGN, "text-white", on ? "border-sun" : "border-white")}
              onClick={() => follow(on ? null : p.account)}
            >
              {initialsOf(p.name)}
            </button>
          </li>
        );
      })}
      {away.slice(0, 5).map((e) => (
        <li
          key={e.id}
          title={e.id === store.account ? e.displayName : WORDS.notHere(e.displayName)}
          className="group/here"
        >
          <span className={classes(SIGN, "border-slate bg-verdigris-light text-slate")}>
            <span className="sr-only">{e.id === store.account ? e.displayName : WORDS.notHere(e.displayName)}</span>
            <span aria-hidden="true">{initialsOf(e.displayName)}</span>
          </span>
        </li>
      ))}
    </ul>
  );
}

/** The signs of those who are at an event, in its row; in words it stands beside their names. */
export function HereAt({ event }: { event: string }) {
  const { present } = useContext(HereContext);
  const those = present.filter((p) => p.where.event === event);
  if (those.length === 0) return null;
  return (
    <span
      aria-hidden="true"
      className="pointer-events-none absolute top-1 end-[74px] z-[1] flex gap-0.5"
      data-testid="here-at"
    >
      {those.map((p) => (
        <span
          key={p.account}
          title={p.name}
          style={{ backgroundColor: colourOf(p.account) }}
          className="rounded-sm px-1 text-[12px] font-bold text-white"
        >
          {initialsOf(p.name)}
        </span>
      ))}
    </span>
  );
}

/** A line that says who else is at an event, and whom one follows. */
export function HereLine({ event }: { event: string | null }) {
  const { present, following, follow } = useContext(HereContext);
  const those = present.filter((p) => event !== null && p.where.event === event && p.account !== following);
  const led = present.find((p) => p.account === following);
  if (those.length === 0 && !led) return null;
  return (
    <p
      role="status"
      className="flex min-h-8 flex-wrap items-center gap-x-3 border-b border-line bg-verdigris-wash px-[18px] text-[14px]"
    >
      {led ? (
        <>
          <span>{WORDS.following(led.name)}</span>
          <Button size="small" onClick={() => follow(null)}>
            {WORDS.stop}
          </Button>
        </>
      ) : null}
      {those.length > 0 ? <span>{WORDS.alsoHere(those.map((p) => p.name))}</span> : null}
    </p>
  );
}
