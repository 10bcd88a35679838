"use client";

import { WORDS } from "@/core/words/editor";
import { WORDS as GUIDE } from "@/core/words/guide";
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

const keys = (): [string, string][] => [
  ["N", WORDS.writeTheNextEvent],
  [WORDS.enterKey, WORDS.addTheLineInThe],
  [WORDS.arrowKeys, WORDS.onTheChartWalkThe],
  [WORDS.homeEnd, WORDS.onTheChartTheFirst],
  [WORDS.enterOnAnEvent, WORDS.openItsSheet],
  ["+, -, 0", WORDS.onTheChartZoomIn],
  ["Z", WORDS.onTheChartZoomTo],
  [WORDS.shiftArrowPageUpPage, WORDS.onTheChartMoveAlong],
  [WORDS.altArrowKeys, WORDS.onTheChartMoveThe],
  [WORDS.altBackspace, WORDS.onTheChartPutThe],
  [WORDS.altShiftLeftRight, WORDS.onTheChartMoveThe2],
  [WORDS.altShiftUpDown, WORDS.onTheChartMoveThe3],
  [WORDS.f2Enter, WORDS.inTheLedgerBegin],
  [WORDS.shiftArrows, WORDS.inTheLedgerBlock],
  [WORDS.ctrlCXV, WORDS.inTheLedgerClipboard],
  [WORDS.ctrlD, WORDS.inTheLedgerFill],
  [WORDS.shiftEnter, WORDS.inTheLedgerOpen],
  [WORDS.altT, WORDS.inTheLedgerTime],
  [WORDS.altUpDown, WORDS.inTheLedgerMoveAn],
  [WORDS.altRightLeft, WORDS.inTheLedgerMakeIt],
  [WORDS.escapeKey, WORDS.closeTheSheet],
  [WORDS.altBAltA, WORDS.insertBeforeInsertAfterThe],
  [WORDS.deleteKey, WORDS.deleteTheSelectedEvent],
  [WORDS.ctrlF, WORDS.findAndReplace],
  [WORDS.ctrlZCtrlShiftZ, WORDS.undoRedo],
  ["?", WORDS.thisList],
];

export function KeysDialog({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const [single, setSingle] = useState(singleKeys);
  return (
    <Modal title={WORDS.keys} open={open} onOpenChange={onOpenChange}>
      <p className="mb-3">
        <a href="/help" target="_blank" rel="noreferrer" className="text-verdigris underline">
          {GUIDE.guideTo}
        </a>
      </p>
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
        {keys().map(([key, what]) => (
          <div key={key} className="contents">
            <dt className="font-bold">{key}</dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
      <div className="mt-4 border-t border-line pt-3">
        <CheckRow
          label={WORDS.nAndDeleteAreCommands}
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
