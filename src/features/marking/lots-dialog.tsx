"use client";

import { DndContext, PointerSensor, useDraggable, useDroppable, useSensor, useSensors } from "@dnd-kit/core";
import { X } from "lucide-react";
import { useRefresh } from "@/ui/use-refresh";
import { type ReactNode, useState } from "react";
import { drawLots, type LotsProblem } from "@/core/classes/lots";
import { WORDS } from "@/core/words/marking";
import { askServer } from "@/ui/ask-server";
import { classes } from "@/ui/classes";
import { Button } from "@/ui/controls/button";
import { Field, INPUT, SHORT_INPUT } from "@/ui/controls/field";
import { Modal } from "@/ui/controls/modal";
import { Problem } from "@/ui/controls/problem";
import { useReady } from "@/ui/use-ready";

interface Person {
  id: string;
  displayName: string;
}
type Pair = readonly [string, string];

/** Groups of those who have not begun: by lot, by hand, or by lot and then by hand. */
export function LotsDialog({ assignment, people }: { assignment: string; people: readonly Person[] }) {
  const refresh = useRefresh();
  const ready = useReady();
  const [shown, setShown] = useState(false);
  const [size, setSize] = useState(3);
  const [apart, setApart] = useState<Pair[]>([]);
  const [together, setTogether] = useState<Pair[]>([]);
  /** Each person's group, counted from 0; who has none is not in it. */
  const [groupOf, setGroupOf] = useState<ReadonlyMap<string, number>>(new Map());
  const [problem, setProblem] = useState<string | null>(null);
  const name = (id: string) => people.find((p) => p.id === id)?.displayName ?? "";
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const said = (p: LotsProblem) =>
    p.code === "none_found"
      ? WORDS.noneFound
      : p.code === "both"
        ? WORDS.bothPairs(name(p.people[0]), name(p.people[1]))
        : WORDS.tooManyTogether(p.people.map(name).join(", "));
  const draw = () => {
    const [seed] = crypto.getRandomValues(new Uint32Array(1));
    const drawn = drawLots({ people: people.map((p) => p.id), size, apart, together }, seed!);
    if (!Array.isArray(drawn)) return setProblem(said(drawn));
    setProblem(null);
    setGroupOf(new Map(drawn.flatMap((g, i) => g.map((p) => [p, i] as const))));
  };
  const put = (person: string, group: number | null) => {
    const next = new Map(groupOf);
    if (group === null) next.delete(person);
    else next.set(person, group);
    setGroupOf(next);
  };
  const make = async () => {
    const answer = await askServer<{ made: number }>("POST", `/api/assignments/${assignment}/groups`, {
      groups: filled.map((g) => g.map((p) => p.id)),
    });
    setProblem(answer.ok ? null : answer.sentence);
    if (!answer.ok) return;
    setShown(false);
    setGroupOf(new Map());
    void refresh();
  };
  const count = Math.max(1, ...[...groupOf.values()].map((g) => g + 2));
  const groups = Array.from({ length: count }, (_, i) => people.filter((p) => groupOf.get(p.id) === i));
  const filled = groups.filter((g) => g.length > 0);
  const options = (
    <>
      <option value="">{WORDS.noGroup}</option>
      {groups.map((_, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a group is its number
        <option key={i} value={i}>
          {WORDS.groupN(i + 1)}
        </option>
      ))}
    </>
  );
  const chip = (p: Person) => (
    <Chip key={p.id} person={p}>
      <select
        aria-label={WORDS.groupOf(p.displayName)}
        className="h-6 w-6 cursor-pointer appearance-none rounded-sm bg-transparent text-transparent hover:bg-verdigris-wash"
        style={{ backgroundImage: CHEVRON, backgroundRepeat: "no-repeat", backgroundPosition: "center" }}
        value={groupOf.get(p.id) ?? ""}
        onChange={(e) => put(p.id, e.target.value === "" ? null : Number(e.target.value))}
      >
        {options}
      </select>
    </Chip>
  );
  return (
    <>
      <Button size="small" disabled={!ready || people.length === 0} onClick={() => setShown(true)}>
        {WORDS.makeGroups}
      </Button>
      <Modal title={WORDS.makeGroups} open={shown} onOpenChange={setShown} wide>
        <p className="text-[14px] text-quiet">{WORDS.lotsHelp}</p>
        <div className="mt-3 flex flex-wrap items-end gap-3">
          <Field label={WORDS.size} className="w-32">
            {(ids) => (
              <input
                id={ids.id}
                type="number"
                min={1}
                max={30}
                className={INPUT}
                value={size}
                onChange={(e) => setSize(Math.min(30, Math.max(1, Math.round(Number(e.target.value)) || 1)))}
              />
            )}
          </Field>
          <Button onClick={draw}>{WORDS.draw}</Button>
        </div>
        <div className="mt-3 grid gap-3 sm:grid-cols-2">
          <Pairs label={WORDS.apart} people={people} pairs={apart} onChange={setApart} />
          <Pairs label={WORDS.together} people={people} pairs={together} onChange={setTogether} />
        </div>
        <DndContext
          sensors={sensors}
          onDragEnd={({ active, over }) => {
            if (over) put(String(active.id), over.id === "none" ? null : Number(over.id));
          }}
        >
          <div className="mt-4 grid gap-2 [grid-template-columns:repeat(auto-fill,minmax(150px,1fr))]">
            {groups.map((g, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a group is its number
              <Place key={i} id={String(i)} label={WORDS.groupN(i + 1)}>
                {g.map(chip)}
              </Place>
            ))}
            <Place id="none" label={WORDS.noGroup}>
              {people.filter((p) => !groupOf.has(p.id)).map(chip)}
            </Place>
          </div>
        </DndContext>
        <Problem text={problem} className="mt-3" />
        <div className="mt-4 flex gap-2">
          <Button kind="main" disabled={filled.length === 0} onClick={() => void make()}>
            {WORDS.make(filled.length)}
          </Button>
          <Button onClick={() => setShown(false)}>{WORDS.cancel}</Button>
        </div>
      </Modal>
    </>
  );
}

const CHEVRON =
  "url(\"data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' width='12' height='12' viewBox='0 0 12 12'%3E%3Cpath d='M2.5 4.5 6 8l3.5-3.5' fill='none' stroke='%231f3a41' stroke-width='1.6'/%3E%3C/svg%3E\")";

function Place({ id, label, children }: { id: string; label: string; children: ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id });
  return (
    <section
      ref={setNodeRef}
      aria-label={label}
      className={classes(
        "min-h-20 rounded-lg border p-2",
        isOver ? "border-verdigris bg-verdigris-wash" : "border-line",
      )}
    >
      <h3 className="font-sans text-[13px] font-bold text-quiet">{label}</h3>
      <div className="mt-1 flex flex-col gap-1">{children}</div>
    </section>
  );
}

function Chip({ person, children }: { person: Person; children: ReactNode }) {
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id: person.id });
  return (
    <div
      ref={setNodeRef}
      className={classes(
        "flex items-center rounded-md border border-line bg-panel pe-1 text-[14px]",
        isDragging && "relative z-10 shadow-md",
      )}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
    >
      <span {...listeners} className="flex-1 cursor-grab touch-none truncate px-2 py-1 select-none">
        {person.displayName}
      </span>
      {children}
    </div>
  );
}

function Pairs({
  label,
  people,
  pairs,
  onChange,
}: {
  label: string;
  people: readonly Person[];
  pairs: readonly Pair[];
  onChange: (pairs: Pair[]) => void;
}) {
  const [one, setOne] = useState("");
  const [other, setOther] = useState("");
  const name = (id: string) => people.find((p) => p.id === id)?.displayName ?? "";
  const select = (n: number, value: string, set: (value: string) => void) => (
    <select
      aria-label={WORDS.pair(label, n)}
      className={`${SHORT_INPUT} min-w-0 flex-1`}
      value={value}
      onChange={(e) => set(e.target.value)}
    >
      <option value="">–</option>
      {people.map((p) => (
        <option key={p.id} value={p.id}>
          {p.displayName}
        </option>
      ))}
    </select>
  );
  return (
    <fieldset className="min-w-0">
      <legend className="text-[13px] text-quiet">{label}</legend>
      <div className="flex gap-1">
        {select(1, one, setOne)}
        {select(2, other, setOther)}
        <Button
          size="small"
          aria-label={`${label}: ${WORDS.addPair}`}
          disabled={one === "" || other === "" || one === other}
          onClick={() => {
            onChange([...pairs, [one, other]]);
            setOne("");
            setOther("");
          }}
        >
          +
        </Button>
      </div>
      <ul>
        {pairs.map((p, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a pair is its place
          <li key={i} className="flex items-center text-[14px]">
            {name(p[0])}, {name(p[1])}
            <button
              type="button"
              aria-label={WORDS.takePair(name(p[0]), name(p[1]))}
              className="ms-1 rounded-sm p-1 hover:bg-verdigris-wash"
              onClick={() => onChange(pairs.filter((_, k) => k !== i))}
            >
              <X size={13} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
    </fieldset>
  );
}
