import type { EventField, Value } from "@/core/change/change";
import { LABEL_PARTS, type LabelPart } from "@/core/timeline/fields";
import type { TimelineEvent } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/looks";
import { CheckRow } from "@/ui/controls/check-row";
import { Choice } from "@/ui/controls/choice";
import { ColourField } from "./colour-field";

const OTHERS = "others";
const OWN = "own";

/** What of one event looks otherwise than of the others: its colour, the weight of its line, what its label says. */
export function OwnLookFields({
  event,
  set,
}: {
  event: TimelineEvent;
  set: (field: EventField, group?: boolean) => (value: Value) => void;
}) {
  const says = event.labelSays;
  const change = (part: LabelPart, on: boolean) => {
    const kept = LABEL_PARTS.filter((p) => (p === part ? on : says?.includes(p)));
    // Something has to stand there.
    if (kept.length > 0) set("labelSays", false)(kept);
  };
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <div>
          <span className="mb-1 block text-[13px] text-quiet">{WORDS.colour}</span>
          <ColourField
            label={WORDS.colour}
            ownLabel={WORDS.chooseColour(event.title)}
            value={event.colour}
            none={WORDS.asCategory}
            onChange={(value) => set("colour")(value)}
          />
        </div>
        <Choice
          label={WORDS.itsLine}
          value={String(event.lineWeight)}
          options={(["-1", "0", "1"] as const).map((w) => [w, WORDS.lineWeights[w]] as const)}
          onChoose={(w) => set("lineWeight", false)(Number(w))}
        />
      </div>
      <Choice
        label={WORDS.labelSays}
        value={says ? OWN : OTHERS}
        options={[
          [OTHERS, WORDS.asOthers],
          [OWN, WORDS.ofItsOwn],
        ]}
        onChoose={(v) => set("labelSays", false)(v === OWN ? [...LABEL_PARTS] : null)}
      />
      {says
        ? LABEL_PARTS.map((part) => (
            <CheckRow
              key={part}
              label={WORDS.parts[part]}
              checked={says.includes(part)}
              onChange={(on) => change(part, on)}
            />
          ))
        : null}
    </>
  );
}
