// Adds up what Jest and Playwright counted, from their JSON reports: "passed failed".
import { existsSync, readFileSync } from 'node:fs';

const read = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined);
const units = read('test-results/units.json');
const browser = read('test-results/e2e.json');
const passed = (units?.numPassedTests ?? 0) + (browser?.stats.expected ?? 0);
const failed =
  (units?.numFailedTests ?? 0) +
  (units?.numRuntimeErrorTestSuites ?? 0) +
  (browser?.stats.unexpected ?? 0) +
  (browser?.stats.flaky ?? 0);
console.log(`${passed} ${failed}`);
