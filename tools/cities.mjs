// Picks the large cities with their zones out of city-timezones (7,000 cities in 2 MB), and how many live in each zone.
import { createRequire } from 'node:module';
import { writeFileSync } from 'node:fs';

const { cityMapping } = createRequire(import.meta.url)('city-timezones');
/** Cities of fewer people are no names that people look a zone up by. */
const LEAST = 400_000;

const people = new Map();
const cities = new Map();
for (const { city_ascii: name, pop, timezone: zone } of cityMapping) {
  if (!zone || !name) continue;
  people.set(zone, (people.get(zone) ?? 0) + (pop ?? 0));
  // Of cities of one name the largest is meant.
  if (pop >= LEAST && !(cities.get(name)?.pop > pop)) cities.set(name, { zone, pop });
}
const byName = [...cities].sort(([a], [b]) => (a < b ? -1 : 1));
const zones = [...new Set(byName.map(([, { zone }]) => zone))].sort();
const lines = zones.map((zone) => {
  const names = byName.filter(([, city]) => city.zone === zone).map(([name]) => name.replaceAll(',', ' '));
  return `  ${JSON.stringify(zone)}: ${JSON.stringify(names.join(','))},`;
});
const thousands = [...people]
  .map(([zone, count]) => [zone, Math.round(count / 1000)])
  .filter(([, count]) => count > 0)
  .sort(([a], [b]) => (a < b ? -1 : 1))
  .map(([zone, count]) => `  ${JSON.stringify(zone)}: ${count},`);
writeFileSync(
  new URL('../src/core/time/cities.ts', import.meta.url),
  `// Made by tools/cities.mjs.
/** The large cities of each zone, with commas between them. */
export const CITIES: Readonly<Record<string, string>> = {
${lines.join('\n')}
};

/** How many people live in the cities of each zone, in thousands. */
export const PEOPLE: Readonly<Record<string, number>> = {
${thousands.join('\n')}
};
`,
);
console.log(byName.length, 'cities');
