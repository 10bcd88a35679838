import { toSnapshot } from "@/core/formats/snapshot";
import type { Timeline } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/editor-history";
import { TimelineStore } from "../store/timeline-store";

/** A timeline as it was, for the parts of the editor to show: nothing can be changed in it, and nothing of it is kept or sent. */
export class PastStore extends TimelineStore {
  constructor(account: string, timeline: Timeline) {
    super(account, toSnapshot(timeline, 0), { editors: [], publication: null, work: null });
    this.readOnly();
  }

  override edit(): string {
    return WORDS.thisIsThePast;
  }
}
