import * as Y from "yjs";
import type { Op } from "@/core/change/change";
import { fromBase64, toBase64 } from "@/core/text/base64";
import { FRAGMENT } from "@/core/text/description";
import { isOwnText, type Timeline } from "@/core/timeline/timeline";
import type { UndoHistory, Way } from "./undo-history";

export interface DescriptionDoc {
  doc: Y.Doc;
  undo: Y.UndoManager;
}

/** The living documents of descriptions. Each is kept for as long as the editor is open, with an undo of its own. */
export class DescriptionDocs {
  private readonly docs = new Map<string, DescriptionDoc>();
  private readonly history: UndoHistory;
  private readonly onWritten: (of: string, update: string) => void;
  private readonly onUndoable: () => void;

  constructor(history: UndoHistory, onWritten: (of: string, update: string) => void, onUndoable: () => void) {
    this.history = history;
    this.onWritten = onWritten;
    this.onUndoable = onUndoable;
  }

  /** The document of a description as it stands in the timeline. */
  of(of: string, t: Timeline): DescriptionDoc {
    const known = this.docs.get(of);
    if (known) return known;
    const doc = new Y.Doc();
    const state = isOwnText(of) ? t[of] : t.events.get(of)?.description;
    if (state && state.length > 0) Y.applyUpdate(doc, state, this);
    // Whose writing it takes back says the field for formatted text: what that is made with is heavy, and comes later.
    const undo = new Y.UndoManager(doc.getXmlFragment(FRAGMENT), { trackedOrigins: new Set() });
    undo.on("stack-item-added", ({ type, origin }: { type: "undo" | "redo"; origin: unknown }) => {
      this.history.wrote(of, type, origin !== undo);
      this.onUndoable();
    });
    undo.on("stack-item-popped", ({ type }: { type: "undo" | "redo" }) => {
      this.history.unwrote(of, type);
      this.onUndoable();
    });
    doc.on("update", (update: Uint8Array, origin: unknown) => {
      if (origin !== this) this.onWritten(of, toBase64(update));
    });
    const made = { doc, undo };
    this.docs.set(of, made);
    return made;
  }

  /**
   * The updates that take the steps of a description back (or do them again), the latest first, tried on a copy: the document and
   * its undo stay as they are.
   */
  stepsBack(of: string, way: Way): string[] {
    const open = this.docs.get(of);
    if (!open) return [];
    const steps = way === "undo" ? open.undo.undoStack : open.undo.redoStack;
    if (steps.length === 0) return [];
    const copy = copyOf(open.doc);
    const undo = new Y.UndoManager(copy.getXmlFragment(FRAGMENT));
    if (way === "undo") undo.undoStack = [...steps];
    else undo.redoStack = [...steps];
    return steps.flatMap(() => {
      const before = Y.encodeStateVector(copy);
      const done = way === "undo" ? undo.undo() : undo.redo();
      return done ? [toBase64(Y.encodeStateAsUpdate(copy, before))] : [];
    });
  }

  /** The timeline as it stands now, into the documents that are open. */
  renew(t: Timeline): void {
    for (const [of, { doc }] of this.docs) {
      const state = isOwnText(of) ? t[of] : t.events.get(of)?.description;
      if (state && state.length > 0) Y.applyUpdate(doc, state, this);
    }
  }

  /** What others wrote, into the documents that are open. */
  feed(ops: readonly Op[]): void {
    for (const op of ops) {
      if (op.kind !== "describe") continue;
      const open = this.docs.get(op.of);
      if (open) Y.applyUpdate(open.doc, fromBase64(op.update), this);
    }
  }
}

/** A copy with what was deleted in it, which is put back from there; and with what was put back already, and where: updates do not say that. */
function copyOf(doc: Y.Doc): Y.Doc {
  const copy = new Y.Doc({ gc: false });
  Y.applyUpdate(copy, Y.encodeStateAsUpdate(doc));
  copy.transact((tr) => {
    for (const structs of doc.store.clients.values())
      for (const item of structs) {
        if (!(item instanceof Y.Item) || item.redone === null) continue;
        // In the copy it may be part of a longer one.
        const first = Y.getItemCleanStart(tr, item.id);
        Y.getItemCleanEnd(tr, copy.store, item.lastId);
        first.redone = item.redone;
      }
  });
  return copy;
}
