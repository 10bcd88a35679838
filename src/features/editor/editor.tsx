"use client";

import type { LookName } from "@/core/timeline/looks";
import type { SeenBy } from "./look/seen-by";
import { type RefObject, useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { Given } from "./share/publish-section";
import type { OwnWork } from "@/core/check/own-work";
import type { Timeline, TimelineEvent } from "@/core/timeline/timeline";
import type { Snapshot } from "@/core/formats/snapshot";
import { classes } from "@/ui/classes";
import { ChartPane } from "./chart/chart-pane";
import { Divider } from "./divider";
import { EditorContext } from "./store/editor-context";
import { insertBeside, isUntouched } from "./store/event-deeds";
import { type LedgerColumns, USUAL_COLUMNS } from "@/core/ledger/columns";
import { Ledger } from "./ledger/ledger";
import { useLook } from "./ledger/use-look";
import { KeysDialog, singleKeys } from "./keys-dialog";
import { LedgerLine } from "./ledger/ledger-line";
import { UploadsBar } from "./media/uploads-bar";
import { Notices } from "./notices";
import { ReadyCheck } from "./class-work/ready-check";
import { type Panel, ToolBar } from "./tool-bar";
import { TitleText, TopBar } from "./top-bar";
import type { EditorPerson, Ports, Publication } from "./store/ports";
import { kindOf } from "@/core/bring-in/files/endings";
import { isUnwritten } from "@/core/bring-in/unwritten";
import { askServer } from "@/ui/ask-server";
import { PANEL_PARTS, SidePanel } from "./side-panel";
import { type News, SinceNotice } from "./history/since-notice";
import { HereLine, HereProvider } from "./presence/here";
import { PrintChart } from "./print-chart";
import { takeHandedFile } from "@/ui/handed-file";
import { WORDS as BRING_IN } from "@/core/words/bring-in";
import { LocalBar } from "./local/local-bar";
import { LocalShare } from "./local/local-share";
import { keepThisPage } from "@/ui/kept-here";
import { fetchAll, late } from "./late";
import { TAKE_OUT } from "./ledger/take-out-button";
import { TimelineStore } from "./store/timeline-store";
import { uploadsInto } from "./store/media-deeds";

// What is opened comes after what one writes in, and is fetched as soon as there is time: the network may have gone when it is asked for.
const Board = late(() => import("./chart/board").then((m) => m.Board));
const PastView = late(() => import("./history/past-view").then((m) => m.PastView));
const PaperDialog = late(() => import("./paper/paper-dialog").then((m) => m.PaperDialog));
const ShareDialog = late(() => import("./share/share-dialog").then((m) => m.ShareDialog));
const BringIn = late(() => import("./bring-in/bring-in").then((m) => m.BringIn));
const PARTS = [...PANEL_PARTS, Board, BringIn, PastView, ShareDialog, PaperDialog, TAKE_OUT];

export interface EditorProps {
  account: string;
  snapshot: Snapshot;
  editors: EditorPerson[];
  publication: Publication | null;
  work: OwnWork | null;
  given: Given;
  /** What others did since this person was here last; null: nothing. */
  news?: News | null;
  /** How this person likes the ledger; null: as usual. */
  columns: LedgerColumns | null;
  /** Whether this person may use camera and microphone. */
  mayRecord?: boolean;
  /** Which build of the application this is. */
  build: string;
  /** What the editor reaches outside, where that is not the server. */
  ports?: Ports;
  /** Prints a timeline that is on no server. */
  print?: (timeline: Timeline) => Promise<void>;
  /** It is on no server only until the network is back. */
  waits?: boolean;
}

/** Chart and ledger, one over the other, with the line for the next event. */
function Work({
  main,
  selected,
  hidden,
  split,
  setSplit,
  columns,
  tried,
  seenBy,
}: {
  main: RefObject<HTMLDivElement | null>;
  selected: string | null;
  hidden: ReadonlySet<string>;
  split: number;
  setSplit: (split: number) => void;
  columns: LedgerColumns;
  tried: LookName | null;
  seenBy: SeenBy;
}) {
  const look = useLook(columns);
  const only = useMemo(
    () => (look.follows && look.isFiltered ? new Set(look.events.map((e) => e.id)) : null),
    [look.follows, look.isFiltered, look.events],
  );
  return (
    <>
      <div className="relative min-h-0" style={{ flex: `${split} 1 0` }} hidden={split <= 0.02}>
        <ChartPane selected={selected} hidden={hidden} only={only} tried={tried} seenBy={seenBy} />
      </div>
      <Divider split={split} setSplit={setSplit} within={main} />
      <div className="flex min-h-0 flex-col" style={{ flex: split >= 0.98 ? "0 0 auto" : `${1 - split} 1 0` }}>
        {split < 0.98 ? <Ledger selected={selected} look={look} /> : null}
        <LedgerLine />
      </div>
    </>
  );
}

/** After so long everything the editor loads has come, ms. */
const KEEP_MS = 4_000;

/** The editor: bars, chart, ledger with its line, and the panel at the right. */
export function Editor(props: EditorProps) {
  const { mayRecord = true, waits = false } = props;
  const [store] = useState(
    () =>
      new TimelineStore(
        props.account,
        props.snapshot,
        { editors: props.editors, publication: props.publication, work: props.work },
        props.ports,
      ),
  );
  const [selected, setSelected] = useState<string | null>(null);
  const [panel, setPanel] = useState<Panel>(null);
  const [sharing, setSharing] = useState(false);
  const [papering, setPapering] = useState(false);
  const closePaper = useCallback(() => setPapering(false), []);
  const [keysShown, setKeysShown] = useState(false);
  const [hidden, setHidden] = useState<ReadonlySet<string>>(new Set());
  // An open close-up wants more of the height.
  const [split, setSplit] = useState(() =>
    [...store.getState().timeline.events.values()].some((e) => e.closeUp === "open" && !e.deleted) ? 0.76 : 0.6,
  );
  const [tried, setTried] = useState<LookName | null>(null);
  const [seenBy, setSeenBy] = useState<SeenBy>("all");
  const [board, setBoard] = useState(false);
  useEffect(() => setBoard(new URLSearchParams(window.location.search).has("board")), []);
  const showBoard = (on: boolean) => {
    setBoard(on);
    setPanel(null);
    const to = new URL(window.location.href);
    if (on) to.searchParams.set("board", "");
    else to.searchParams.delete("board");
    window.history.replaceState(window.history.state, "", to.href.replace("board=", "board"));
  };
  /** The number of the change after which the timeline is looked at; null: as it is now. */
  const [past, setPast] = useState<number | null>(null);
  const [pastOnChart, setPastOnChart] = useState(false);
  const showPast = useCallback((seq: number, onChart = false) => {
    setPastOnChart(onChart);
    setPast(seq);
  }, []);
  const main = useRef<HTMLDivElement>(null);
  useEffect(() => store.start(), [store]);
  // On a device of one's own the editor opens without a network too, once it has come to rest.
  useEffect(() => {
    const all = fetchAll(PARTS).then(() => main.current?.setAttribute("data-all-here", ""));
    if (store.isLocal) return;
    const keep = () => all.then(() => keepThisPage(props.build)).catch(() => {});
    const rest = setTimeout(() => void keep(), KEEP_MS);
    return () => clearTimeout(rest);
  }, [store, props.build]);

  /** Which event's sheet somebody has opened, not only selected. */
  const opened = useRef<string | null>(null);
  const select = useCallback((id: string | null, open = false) => {
    setSelected(id);
    opened.current = open ? id : null;
    if (open) setPanel("event");
  }, []);
  /** The event that was just made, as it was made. */
  const fresh = useRef<TimelineEvent | null>(null);
  const begin = useCallback(
    (id: string) => {
      select(id, true);
      fresh.current = store.getState().timeline.events.get(id) ?? null;
    },
    [select, store],
  );
  useEffect(() => {
    const made = fresh.current;
    if (made === null || (selected === made.id && panel === "event")) return;
    fresh.current = null;
    if (isUntouched(store.getState().timeline, made)) store.edit([{ kind: "delete_event", id: made.id }]);
  }, [selected, panel, store]);
  /** What is being brought in; null: it is asked for; undefined: nothing is. */
  const [bringing, setBringing] = useState<File | null | undefined>(undefined);
  const bringInFile = useCallback((file?: File) => setBringing(file ?? null), []);
  // A file with which this timeline was begun, from another page.
  const [begunWith, setBegunWith] = useState(false);
  useEffect(() => {
    const at = new URL(window.location.href);
    if (!at.searchParams.has("bring-in")) return;
    at.searchParams.delete("bring-in");
    window.history.replaceState(window.history.state, "", at.href);
    void takeHandedFile(store.timelineId).then(
      (file) => {
        setBegunWith(file !== null);
        setBringing(file);
      },
      () => setBringing(null),
    );
  }, [store]);
  const closeBringing = useCallback(() => {
    setBringing(undefined);
    // Nothing came of it: nothing stays of it either.
    if (begunWith && isUnwritten(store.getState().timeline)) {
      void askServer("PATCH", `/api/timelines/${store.timelineId}`, { deleted: true }).then(() =>
        window.location.assign("/"),
      );
      return;
    }
    setBegunWith(false);
    // The focus goes to what was selected, as after a panel.
    requestAnimationFrame(() =>
      (
        main.current?.querySelector<HTMLElement>("[role=gridcell][tabindex='0']") ??
        document.getElementById("next-event")
      )?.focus(),
    );
  }, [store, begunWith]);
  const [uploads] = useState(() => (store.isLocal ? null : uploadsInto(store)));
  const tools = useMemo(
    () => ({ store, uploads, mayRecord, waits, select, begin, bringIn: bringInFile }),
    [store, uploads, mayRecord, waits, select, begin, bringInFile],
  );
  const showSources = useCallback(() => setPanel("sources"), []);
  const showLook = useCallback(() => setPanel("look"), []);
  const closePanel = useCallback(() => setPanel(null), []);
  // After the panel has closed the focus goes back to what it was about.
  const hadPanel = useRef(false);
  useEffect(() => {
    if (hadPanel.current && panel === null)
      main.current?.querySelector<HTMLElement>("[data-target][aria-current]")?.focus();
    hadPanel.current = panel !== null;
  }, [panel]);

  // Keys count on the whole page, whatever has the focus, but not behind an open dialog.
  const keys = (e: KeyboardEvent) => {
    if (e.defaultPrevented || (e.target instanceof Element && e.target.closest("[role=dialog],[role=menu]"))) return;
    const typing =
      e.target instanceof HTMLElement &&
      (e.target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(e.target.tagName));
    const command = e.ctrlKey || e.metaKey;
    const single = !typing && !command && !e.altKey && !e.isComposing && singleKeys();
    if (
      command &&
      !e.altKey &&
      e.key.toLowerCase() === "z" &&
      !(e.target instanceof HTMLElement && e.target.isContentEditable)
    ) {
      e.preventDefault();
      if (e.shiftKey) store.redo();
      else store.undo();
    } else if (
      command &&
      e.key.toLowerCase() === "y" &&
      !(e.target instanceof HTMLElement && e.target.isContentEditable)
    ) {
      e.preventDefault();
      store.redo();
    } else if (past !== null) {
      // The past is only looked at.
      if (!typing && e.key === "Escape") setPast(null);
    } else if (command && !e.altKey && !e.shiftKey && e.key.toLowerCase() === "f") {
      e.preventDefault();
      setPanel("find");
    } else if (!typing && e.key === "Escape" && panel) closePanel();
    else if (single && e.key === "?") setKeysShown(true);
    else if (single && e.key.toLowerCase() === "n") {
      e.preventDefault();
      document.getElementById("next-event")?.focus();
    } else if (single && selected && e.key === "Delete") store.edit([{ kind: "delete_event", id: selected }]);
    // With Alt some keyboards write another letter: the key is what counts.
    else if (!typing && !command && e.altKey && selected && (e.code === "KeyB" || e.code === "KeyA")) {
      e.preventDefault();
      begin(insertBeside(store, selected, e.code === "KeyB" ? "before" : "after"));
    }
  };
  const latestBringIn = useRef(bringInFile);
  latestBringIn.current = bringInFile;
  const latestSay = useRef((sentence: string) => store.say(sentence));
  const latestKeys = useRef(keys);
  latestKeys.current = keys;
  useEffect(() => {
    const listen = (e: KeyboardEvent) => latestKeys.current(e);
    document.addEventListener("keydown", listen);
    // A file that misses its field must not take the place of the page.
    const guard = (e: DragEvent) => {
      if (!e.dataTransfer?.types.includes("Files")) return;
      const taken = e.defaultPrevented;
      e.preventDefault();
      // A table that is dropped anywhere is brought in.
      const [file] = e.dataTransfer.files;
      if (e.type !== "drop" || taken || !file) return;
      if (kindOf(file.name)) latestBringIn.current(file);
      else if (!/^(image|video|audio)\//.test(file.type)) latestSay.current(BRING_IN.noSuchFile(file.name));
    };
    document.addEventListener("dragover", guard);
    document.addEventListener("drop", guard);
    return () => {
      document.removeEventListener("keydown", listen);
      document.removeEventListener("dragover", guard);
      document.removeEventListener("drop", guard);
    };
  }, []);
  if (board)
    return (
      <EditorContext.Provider value={tools}>
        <Board selected={selected} hidden={hidden} onLeave={() => showBoard(false)} />
      </EditorContext.Provider>
    );
  return (
    <EditorContext.Provider value={tools}>
      <HereProvider selected={selected} panel={panel}>
        <div className="flex h-dvh flex-col overflow-hidden">
          <TopBar onShare={() => setSharing(true)} onTitle={() => setPanel("settings")} />
          <ToolBar
            hidden={hidden}
            setHidden={setHidden}
            panel={panel}
            setPanel={setPanel}
            onKeys={() => setKeysShown(true)}
            onBoard={() => showBoard(true)}
            onPaper={() => setPapering(true)}
          />
          {store.isLocal && props.print ? <LocalBar print={props.print} /> : null}
          <Notices />
          <SinceNotice news={props.news ?? null} onShow={(since) => showPast(since, true)} />
          <HereLine event={panel === "event" ? selected : null} />
          <UploadsBar />
          {past !== null ? <PastView key={past} at={past} onChart={pastOnChart} onLeave={() => setPast(null)} /> : null}
          <div className="flex min-h-0 flex-1" hidden={past !== null}>
            <main ref={main} className={classes("flex min-w-0 flex-1 flex-col", panel && "max-md:hidden")}>
              <h1 className="sr-only">
                <TitleText />
              </h1>
              <Work
                main={main}
                selected={selected}
                hidden={hidden}
                split={split}
                setSplit={setSplit}
                columns={props.columns ?? USUAL_COLUMNS}
                tried={tried}
                seenBy={seenBy}
              />
            </main>
            {panel ? (
              <div className="w-[428px] shrink-0 max-md:w-full">
                <SidePanel
                  panel={panel}
                  selected={selected}
                  takesFocus={opened.current === selected}
                  build={props.build}
                  seenBy={seenBy}
                  onSeenBy={setSeenBy}
                  onTry={setTried}
                  onPast={showPast}
                  onSources={showSources}
                  onLook={showLook}
                  onClose={closePanel}
                />
              </div>
            ) : null}
          </div>
          <ReadyCheck onWork={() => setPanel("work")} />
          {store.isLocal ? <LocalShare open={sharing} onOpenChange={setSharing} /> : null}
          <ShareDialog open={sharing && !store.isLocal} onOpenChange={setSharing} given={props.given} />
          <PrintChart />
          {papering ? <PaperDialog onClose={closePaper} /> : null}
          {bringing === undefined ? null : <BringIn given={bringing} onClose={closeBringing} />}
          <KeysDialog open={keysShown} onOpenChange={setKeysShown} />
        </div>
      </HereProvider>
    </EditorContext.Provider>
  );
}
