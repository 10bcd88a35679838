"use client";

import { WORDS } from "@/core/words/editor-ledger";
import {
  DndContext,
  type DragMoveEvent,
  DragOverlay,
  MouseSensor,
  TouchSensor,
  useDraggable,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import { GripVertical } from "lucide-react";
import { type ReactNode, type RefObject, useEffect, useRef, useState } from "react";
import { useEditor } from "../store/editor-context";
import { isWithoutDate, makePartOf, moveUndated } from "../store/event-deeds";

interface Drop {
  id: string;
  where: "before" | "after" | "into";
}

/**
 * Rows that can be dragged by their grips: onto another to become part of it, and one without a date between two others, to
 * that place in the order.
 */
export function RowDrag({
  body,
  sorted,
  children,
}: {
  body: RefObject<HTMLDivElement | null>;
  /** Rows that do not stand in the order of time are dragged into others only. */
  sorted: boolean;
  children: (drop: Drop | null) => ReactNode;
}) {
  const { store } = useEditor();
  const [dragged, setDragged] = useState<string | null>(null);
  const [drop, setDrop] = useState<Drop | null>(null);
  /** What is shown is what is done: rows may have moved under the pointer until it is let go. */
  const shown = useRef<Drop | null>(null);
  /** Where the pointer is: how far it was dragged says something else when rows are scrolled under it. */
  const pointer = useRef<{ x: number; y: number } | null>(null);
  useEffect(() => {
    const follow = (e: MouseEvent | TouchEvent) => {
      const at = "touches" in e ? e.touches[0] : e;
      if (at) pointer.current = { x: at.clientX, y: at.clientY };
    };
    const moves = ["mousedown", "mousemove", "touchstart", "touchmove"] as const;
    for (const type of moves) document.addEventListener(type, follow, { capture: true, passive: true });
    return () => {
      for (const type of moves) document.removeEventListener(type, follow, { capture: true });
    };
  }, []);
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 4 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 120, tolerance: 8 } }),
  );
  const find = (e: DragMoveEvent): Drop | null => {
    const at = pointer.current;
    if (!at) return null;
    // Over the first row or below the last one is at that row.
    const all = body.current?.querySelectorAll<HTMLElement>("[data-row]") ?? [];
    const [first, last] = [all[0], all[all.length - 1]];
    const beyond =
      first && at.y < first.getBoundingClientRect().top
        ? first
        : last && at.y > last.getBoundingClientRect().bottom
          ? last
          : null;
    const row =
      beyond ??
      document
        .elementsFromPoint(at.x, at.y)
        .find((el) => el.closest("[data-row]"))
        ?.closest<HTMLElement>("[data-row]");
    if (!row || !body.current?.contains(row) || row.dataset.row === e.active.id) return null;
    const box = row.getBoundingClientRect();
    const share = (at.y - box.top) / box.height;
    const id = row.dataset.row!;
    if (beyond && (sorted || !isWithoutDate(store, String(e.active.id)))) return null;
    if (sorted || !isWithoutDate(store, String(e.active.id))) return { id, where: "into" };
    const { events } = store.getState().timeline;
    const between = events.get(String(e.active.id))?.chapter || events.get(id)?.chapter;
    if (between) return { id, where: share < 0.5 ? "before" : "after" };
    return { id, where: share < 0.3 ? "before" : share > 0.7 ? "after" : "into" };
  };
  const end = (id: string, to: Drop | null) => {
    setDragged(null);
    setDrop(null);
    if (!to) return;
    if (to.where === "into") makePartOf(store, id, to.id);
    else moveUndated(store, id, to.id, to.where);
  };
  const event = dragged ? store.getState().timeline.events.get(dragged) : null;
  return (
    <DndContext
      sensors={sensors}
      accessibility={{ screenReaderInstructions: { draggable: "" } }}
      onDragStart={(e) => {
        shown.current = null;
        setDragged(String(e.active.id));
      }}
      onDragMove={(e) => {
        const next = find(e);
        shown.current = next;
        setDrop((now) => (now?.id === next?.id && now?.where === next?.where ? now : next));
      }}
      onDragEnd={(e) => end(String(e.active.id), shown.current)}
      onDragCancel={(e) => end(String(e.active.id), null)}
    >
      {children(drop)}
      <DragOverlay dropAnimation={null}>
        {event ? (
          <div className="w-max max-w-72 truncate rounded-md border-2 border-sun bg-sun-wash px-2 py-1 text-[14px] font-bold">
            {event.title || WORDS.untitled}
          </div>
        ) : null}
      </DragOverlay>
    </DndContext>
  );
}

/** What a row is dragged by. By keys the same is done with Alt and the arrows, so it is none of the tab stops. */
export function Grip({ id, name }: { id: string; name: string }) {
  const { setNodeRef, listeners } = useDraggable({ id });
  return (
    <span
      ref={setNodeRef}
      {...listeners}
      title={WORDS.dragOntoWhatItIs(name)}
      data-grip={id}
      aria-hidden
      className="absolute top-1/2 start-0 flex h-7 w-[15px] -translate-y-1/2 cursor-grab touch-none items-center justify-center rounded text-edge opacity-60 hover:bg-verdigris-wash group-hover/row:opacity-100"
    >
      <GripVertical size={14} />
    </span>
  );
}
