import { chartOf } from "@/core/chart/chart";
import { drawView } from "@/core/chart/draw-chart";
import { groundOf, replaceHands } from "@/core/chart/layout";
import { targetsOf } from "@/core/chart/targets";
import { wholeView } from "@/core/chart/view";
import { seededTimeline } from "@/core/testing/seeded-timeline";
import { changedSpots } from "@/ui/stage/stage-hooks";
const t = seededTimeline(100000, 5, "spread", "true", 0.02);
const c = chartOf(t, { width: 1280, height: 480 });
let laid = c.laid;
const g = groundOf(c.laid.axis, c.laid.layout);
let ev = t.events;
for (let k = 0; k < 8; k++) {
  const id = c.data.ids[(k * 7919) % 100000]!;
  const spot = { along: -60 + 10 * k, across: 80 + 17 * k };
  const ev2 = new Map(ev).set(id, { ...ev.get(id)!, spot });
  const a = performance.now();
  changedSpots(ev, ev2);
  ev = ev2;
  const b = performance.now();
  const spots = laid.data.spots.slice();
  spots.set([spot.along, spot.across, 0], c.data.ids.indexOf(id) * 3);
  laid = replaceHands(laid, spots);
  const d = performance.now();
  const v = drawView({ ...c, laid, data: laid.data }, wholeView(g), "settle", null);
  const e = performance.now();
  targetsOf({ ...c, laid }, v.parts, true);
  console.log(
    "changed",
    (b - a).toFixed(1),
    "replace",
    (d - b).toFixed(1),
    "draw",
    (e - d).toFixed(1),
    "targets",
    (performance.now() - e).toFixed(1),
    laid.layout.before.length,
  );
}
