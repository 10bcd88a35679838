"use client";

import { useState } from "react";
import { CheckRow } from "@/ui/controls/check-row";
import { Modal } from "@/ui/controls/modal";

const STORED = "fastigo-single-keys";

/** Whether N, ? and Delete are commands by themselves; switched off on this device by whom they get in the way of. */
export function singleKeys(): boolean {
  try {
    return localStorage.getItem(STORED) !== "off";
  } catch {
    return true;
  }
}

const KEYS: [string, string][] = [
  ["N", "Write the next event"],
  ["Enter", "Add the line; in the ledger, go to the next row"],
  ["Arrow keys", "On the chart: walk the events in time order. In the ledger: move between rows"],
  ["Home, End", "On the chart: the first event, the last event"],
  ["Enter on an event", "Open its sheet"],
  ["+, -, 0", "On the chart: zoom in, zoom out, see the whole"],
  ["Z", "On the chart: zoom to the selected event"],
  ["Shift Arrow, Page Up, Page Down", "On the chart: move along"],
  ["Alt Arrow keys", "On the chart: move the event's label by hand"],
  ["Alt Backspace", "On the chart: put the label back"],
  [
    "Alt Shift Left, Right",
    "On the chart: move the date, or the place of an event without one; of a span its beginning",
  ],
  ["Alt Shift Up, Down", "On the chart: move the end of a span"],
  ["Alt Up, Down", "In the ledger: move an event without a date. On the name of a row of the chart: move the row"],
  ["Alt Right, Left", "In the ledger: make it part of what holds it, take it out"],
  ["Esc", "Close the sheet"],
  ["Alt B, Alt A", "Insert before, insert after the selected event"],
  ["Delete", "Delete the selected event"],
  ["Ctrl Z, Ctrl Shift Z", "Undo, redo"],
  ["?", "This list"],
];

export function KeysDialog({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const [single, setSingle] = useState(singleKeys);
  return (
    <Modal title="Keys" open={open} onOpenChange={onOpenChange}>
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
        {KEYS.map(([key, what]) => (
          <div key={key} className="contents">
            <dt className="font-bold">{key}</dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
      <div className="mt-4 border-t border-line pt-3">
        <CheckRow
          label="N, ? and Delete are commands by themselves"
          checked={single}
          onChange={(on) => {
            setSingle(on);
            try {
              localStorage.setItem(STORED, on ? "on" : "off");
            } catch {
              // Where a browser keeps nothing, it is as usual next time.
            }
          }}
        />
      </div>
    </Modal>
  );
}
