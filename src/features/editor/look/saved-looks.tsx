import { Trash2 } from "lucide-react";
import { useCallback, useEffect, useId, useRef, useState } from "react";
import { lookOf, type LookFile, readLook, wearOps } from "@/core/looks/look-file";
import { WORDS } from "@/core/words/looks";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { INPUT } from "@/ui/controls/field";
import { HiddenFile } from "@/ui/controls/hidden-file";
import { Problem } from "@/ui/controls/problem";
import { saveFile } from "@/ui/save-file";
import { useLatest } from "@/ui/use-latest";
import { useEditor } from "../store/editor-context";

interface Saved {
  id: string;
  name: string;
  look: LookFile;
  className: string | null;
  mine: boolean;
}
interface Known {
  looks: Saved[];
  classes: { id: string; name: string }[];
}

const MOST_BYTES = 1_048_576;

/** Looks that are kept for other timelines, and looks in files. */
export function SavedLooks() {
  const { store } = useEditor();
  const [known, setKnown] = useState<Known | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const file = useRef<HTMLInputElement>(null);
  const isLocal = store.isLocal;
  const asked = useLatest();
  const load = useCallback(async () => {
    if (isLocal) return;
    const isLast = asked();
    const answer = await askServer<Known>("GET", "/api/looks");
    if (!isLast()) return;
    if (answer.ok) setKnown(answer.value);
    else setProblem(answer.sentence);
  }, [isLocal, asked]);
  useEffect(() => void load(), [load]);
  const wear = (look: LookFile) => {
    setProblem(null);
    const ops = wearOps(store.getState().timeline, look);
    if (ops.length === 0) setSaid(WORDS.nothingToChange);
    else {
      setSaid(null);
      setProblem(store.edit(ops));
    }
  };
  const read = async (chosen: File) => {
    setSaid(null);
    const look = chosen.size > MOST_BYTES ? "large" : readLook(await chosen.text());
    if (typeof look === "string") setProblem(WORDS.faults[look]);
    else wear(look);
  };
  return (
    <section aria-label={WORDS.saved} className="flex flex-col gap-2">
      <h3 className="font-sans text-[15px] font-bold">{WORDS.saved}</h3>
      <p className="text-[13px] text-quiet">{WORDS.savedHelp}</p>
      {known ? (
        <ul className="flex flex-col gap-1">
          {known.looks.map((l) => (
            <li key={l.id} className="flex min-h-9 items-center gap-2">
              <span className="min-w-0 flex-1 [overflow-wrap:anywhere]">
                {l.name}
                {l.className ? <span className="text-[13px] text-quiet"> · {WORDS.ofClass(l.className)}</span> : null}
              </span>
              <Button size="small" aria-label={WORDS.wearNamed(l.name)} onClick={() => wear(l.look)}>
                {WORDS.wear}
              </Button>
              {l.mine ? (
                <button
                  type="button"
                  aria-label={WORDS.deleteNamed(l.name)}
                  className="rounded-md p-1.5 hover:bg-verdigris-wash"
                  onClick={async () => {
                    const answer = await askServer("DELETE", `/api/looks/${l.id}`);
                    if (answer.ok) await load();
                    else setProblem(answer.sentence);
                  }}
                >
                  <Trash2 size={16} />
                </button>
              ) : null}
            </li>
          ))}
          {known.looks.length === 0 ? <li className="text-[14px] text-quiet">{WORDS.noneSaved}</li> : null}
        </ul>
      ) : null}
      {known ? (
        <SaveThis
          classes={known.classes}
          onSaved={async (name) => {
            setProblem(null);
            // Nothing moves any more once that is said.
            await load();
            setSaid(WORDS.savedNow(name));
          }}
          onProblem={setProblem}
        />
      ) : null}
      <div className="flex flex-wrap gap-2">
        <Button
          size="small"
          onClick={() => {
            const { timeline } = store.getState();
            const text = `${JSON.stringify(lookOf(timeline), null, 2)}\n`;
            saveFile(new Blob([text], { type: "application/json" }), timeline.title || "look", ".look.json");
          }}
        >
          {WORDS.toFile}
        </Button>
        <Button size="small" onClick={() => file.current?.click()}>
          {WORDS.fromFile}
        </Button>
        <HiddenFile
          input={file}
          accept=".json,application/json"
          label={WORDS.lookFile}
          onChoose={(chosen) => void read(chosen)}
        />
      </div>
      <p role="status" className="text-[14px] empty:hidden">
        {said}
      </p>
      <Problem text={problem} />
    </section>
  );
}

function SaveThis({
  classes,
  onSaved,
  onProblem,
}: {
  classes: Known["classes"];
  onSaved: (name: string) => Promise<void>;
  onProblem: (sentence: string) => void;
}) {
  const { store } = useEditor();
  const [name, setName] = useState("");
  const [klass, setKlass] = useState("");
  const id = useId();
  return (
    <form
      className="flex flex-col gap-2 rounded-md bg-panel p-2"
      onSubmit={async (e) => {
        e.preventDefault();
        const wanted = name.trim();
        if (wanted === "") return;
        const look = lookOf(store.getState().timeline);
        const answer = await askServer("POST", "/api/looks", { name: wanted, look, class: klass || null });
        if (!answer.ok) {
          onProblem(answer.sentence);
          return;
        }
        setName("");
        await onSaved(wanted);
      }}
    >
      <label htmlFor={id} className="text-[13px] text-quiet">
        {WORDS.saveName}
      </label>
      <input id={id} className={INPUT} maxLength={60} value={name} onChange={(e) => setName(e.target.value)} />
      <div className="flex items-center gap-2">
        {classes.length > 0 ? (
          <select
            aria-label={WORDS.saveFor}
            className={`${INPUT} min-w-0`}
            value={klass}
            onChange={(e) => setKlass(e.target.value)}
          >
            <option value="">{WORDS.forMe}</option>
            {classes.map((c) => (
              <option key={c.id} value={c.id}>
                {WORDS.forClass(c.name)}
              </option>
            ))}
          </select>
        ) : null}
        <Button size="small" type="submit" disabled={name.trim() === ""}>
          {WORDS.saveThis}
        </Button>
      </div>
    </form>
  );
}
