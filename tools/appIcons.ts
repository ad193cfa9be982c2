import { readFileSync, writeFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { launchOptions } from '../playwright.config';

/** Draws the icons of the installed application from the one that is drawn by hand: `node --import tsx tools/appIcons.ts`. */
const FOLDER = 'public/icons';
const drawing = readFileSync(`${FOLDER}/icon.svg`, 'utf8');
/** A maskable icon fills its square, and keeps what it shows within its middle. */
const maskable = drawing
  .replace('rx="4" ', '')
  .replace('viewBox="0 0 32 32"', 'viewBox="-6 -6 44 44"')
  .replace('<rect width="32" height="32"', '<rect x="-6" y="-6" width="44" height="44"');

async function main(): Promise<void> {
  const browser = await chromium.launch(launchOptions);
  for (const [name, size, svg] of [
    ['icon-192', 192, drawing],
    ['icon-512', 512, drawing],
    ['maskable-512', 512, maskable],
  ] as const) {
    const page = await browser.newPage({ viewport: { width: size, height: size } });
    await page.setContent(
      `<style>html,body{margin:0;background:transparent}svg{display:block;width:${size}px;height:${size}px}</style>${svg}`,
    );
    writeFileSync(`${FOLDER}/${name}.png`, await page.screenshot({ omitBackground: true }));
    await page.close();
  }
  await browser.close();
}

void main();
