import { Asset } from 'expo-asset';
import { darkColours, focusWidth, fontFamilies, lightColours } from './tokens';

interface FontFile {
  readonly family: string;
  readonly weights: string;
  readonly source: number;
}

const files: FontFile[] = [
  {
    family: fontFamilies.text,
    weights: '200 800',
    source: require('@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2'),
  },
  {
    family: fontFamilies.title,
    weights: '200 900',
    source: require('@fontsource-variable/literata/files/literata-latin-wght-normal.woff2'),
  },
];

/** What holds for the whole page and no component can say: the fonts with all their weights, focus, print, motion. */
const pageRules = `
:root { color-scheme: light dark; --accent: ${lightColours.accent}; }
@media (prefers-color-scheme: dark) { :root:not([data-scheme]) { --accent: ${darkColours.accent}; } }
:root[data-scheme='light'] { color-scheme: light; }
:root[data-scheme='dark'] { color-scheme: dark; --accent: ${darkColours.accent}; }
:root[data-scheme='light'], :root[data-scheme='light'] :is(body, #root) { background: ${lightColours.page}; }
:root[data-scheme='dark'], :root[data-scheme='dark'] :is(body, #root) { background: ${darkColours.page}; }
html, body { overscroll-behavior: none; }
body { -webkit-tap-highlight-color: transparent; }
:focus-visible:not([data-bare]), [data-ring]:focus-within { outline: ${focusWidth}px solid var(--accent) !important; outline-offset: 1px; }
@media (prefers-reduced-motion: reduce) { *, *::before, *::after { animation: none !important; transition: none !important; } }
`;

/** Puts the fonts and the page's rules into the document; once. */
export function installPageStyle(page: Document): void {
  if (page.getElementById('orderly-week-style')) return;
  const faces = files.map(
    ({ family, weights, source }) =>
      `@font-face { font-family: '${family}'; font-weight: ${weights}; font-display: swap; src: url('${Asset.fromModule(source).uri}') format('woff2'); }`,
  );
  const style = page.createElement('style');
  style.id = 'orderly-week-style';
  style.textContent = [...faces, pageRules].join('\n');
  page.head.append(style);
}
