import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';

const port = Number(process.env.E2E_PORT ?? 4371);

const CHROMIUM = '/usr/bin/chromium';
/** The browser with a window, which has notifications of the system. */
export const BROWSER_WITH_WINDOW = process.env.CHROMIUM ?? CHROMIUM;

/** Debian's Chromium, without a window where it is there so: a test begins sooner. Kept from asking anything of the network. */
export const launchOptions = {
  executablePath:
    process.env.CHROMIUM ?? [`${CHROMIUM}-headless-shell`, CHROMIUM].find((path) => existsSync(path)),
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--lang=en-GB',
  ],
};

export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results/browser',
  // As many as there are cores: with more, a slow machine lets pages stand still for longer than a test waits.
  workers: 2,
  fullyParallel: true,
  forbidOnly: !!process.env.CI,
  retries: 0,
  // Generous: a machine that stands still for a while is no fault of the page. Speed is measured by the benchmarks.
  timeout: 240_000,
  expect: { timeout: 60_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    launchOptions,
    locale: 'en-GB',
    timezoneId: 'Europe/Lisbon',
    colorScheme: 'light',
    // Traces make a run a good deal longer: they are kept when they are asked for.
    trace: process.env.TRACE ? 'retain-on-failure' : 'off',
    screenshot: 'only-on-failure',
    contextOptions: { reducedMotion: 'reduce' },
    // Only what is about it keeps the application for use without the network: each test has a browser of its own.
    serviceWorkers: 'block',
  },
  projects: [
    {
      name: 'phone',
      testMatch: /phone|both/,
      use: { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, deviceScaleFactor: 1 },
    },
    { name: 'wide', testMatch: /wide|keyboard|both|data/, use: { viewport: { width: 1280, height: 800 } } },
  ],
  webServer: [
    {
      command: `node --import tsx server/main.ts --port ${port} --data test-results/data`,
      url: `http://127.0.0.1:${port}/api/health`,
      reuseExistingServer: false,
      stdout: 'ignore',
    },
    {
      command: `node --import tsx server/main.ts --port ${port + 1} --empty --data test-results/data-empty`,
      url: `http://127.0.0.1:${port + 1}/api/health`,
      reuseExistingServer: false,
      stdout: 'ignore',
    },
  ],
});
