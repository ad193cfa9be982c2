// Prints the ten tests that took longest, from the JSON reports of Jest (by file) and Playwright (by test).
import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';

const read = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined);

const units = (read('test-results/units.json')?.testResults ?? []).map(({ name, startTime, endTime }) => ({
  seconds: (endTime - startTime) / 1000,
  name: path.relative(process.cwd(), name),
}));

const testsIn = (suite) => [
  ...(suite.specs ?? []).flatMap(({ file, title, tests }) =>
    tests.flatMap(({ projectName, results }) =>
      results.map(({ duration }) => ({
        seconds: duration / 1000,
        name: `[${projectName}] ${file} › ${title}`,
      })),
    ),
  ),
  ...(suite.suites ?? []).flatMap(testsIn),
];
const browser = (read('test-results/e2e.json')?.suites ?? []).flatMap(testsIn);

const slowest = [...units, ...browser].sort((a, b) => b.seconds - a.seconds).slice(0, 10);
if (slowest.length > 0) console.log('The ten slowest:');
for (const { seconds, name } of slowest) console.log(`${seconds.toFixed(1).padStart(7)} s  ${name}`);
