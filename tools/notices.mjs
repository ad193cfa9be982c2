// Writes the licences of everything that ships with the application, as a text and as a page, from the lock file and the
// packages that it names: `node tools/notices.mjs FOLDER`, after a build.
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { escapeHtml } from '../src/core/interchange/escapeHtml.ts';

const LICENCE = /^(licen[cs]e|copying|notice|unlicense)([-.].*)?$/i;

/** The packages of the lock file that are no tools of development, with their versions. */
function packages() {
  const { packages: locked } = JSON.parse(readFileSync('package-lock.json', 'utf8'));
  return Object.entries(locked)
    .filter(([place, { dev, link }]) => place !== '' && !dev && !link && existsSync(place))
    .map(([place, { version }]) => ({ place, name: place.split('node_modules/').pop(), version }));
}

function about({ place, name, version }) {
  const described = JSON.parse(readFileSync(path.join(place, 'package.json'), 'utf8'));
  const { license, licenses, repository } = described;
  const kind =
    (typeof license === 'string' ? license : license?.type) ??
    licenses?.map(({ type }) => type).join(' or ') ??
    'not named';
  const source = typeof repository === 'string' ? repository : repository?.url;
  const texts = readdirSync(place)
    .filter((file) => LICENCE.test(file))
    .sort()
    .map((file) => readFileSync(path.join(place, file), 'utf8').replaceAll('\r\n', '\n').trim());
  const said = [`${name} ${version}`, kind, source].filter(Boolean).join(' · ');
  return { said, text: texts.join('\n\n') || `Licence: ${kind}` };
}

/** What was said once stands once, under all that it is about. */
function notices() {
  const byText = new Map();
  for (const { said, text } of packages().map(about)) byText.set(text, [...(byText.get(text) ?? []), said]);
  return [...byText].map(([text, names]) => ({ names: [...new Set(names)].sort(), text }));
}

const [folder] = process.argv.slice(2);
if (!folder) throw new Error('node tools/notices.mjs FOLDER');
const all = notices().sort((one, other) => one.names[0].localeCompare(other.names[0]));
const count = new Set(all.flatMap(({ names }) => names)).size;
if (count < 20) throw new Error(`only ${count} packages were found`);
const intro = `Orderly Week is built with ${count} packages of others. Their licences:`;
const line = '-'.repeat(78);
writeFileSync(
  path.join(folder, 'notices.txt'),
  `${[intro, ...all.map(({ names, text }) => `${line}\n${names.join('\n')}\n\n${text}`)].join('\n\n')}\n`,
);
writeFileSync(
  path.join(folder, 'notices.html'),
  `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8" />
<meta name="viewport" content="width=device-width, initial-scale=1" />
<title>Licences · Orderly Week</title>
<style>
:root { color-scheme: light dark; }
body { margin: 0 auto; padding: 1.25rem; max-width: 50rem; font: 1rem/1.5 system-ui, sans-serif; }
h1 { font-size: 1.5rem; } h2 { font-size: 1rem; margin: 2rem 0 0.25rem; overflow-wrap: anywhere; }
pre { white-space: pre-wrap; overflow-wrap: anywhere; font-size: 0.875rem; }
</style>
</head>
<body>
<main>
<h1>Licences</h1>
<p>${escapeHtml(intro)}</p>
${all.map(({ names, text }) => `${names.map((name) => `<h2>${escapeHtml(name)}</h2>`).join('\n')}\n<pre>${escapeHtml(text)}</pre>`).join('\n')}
</main>
</body>
</html>
`,
);
console.log(`${count} packages, ${all.length} licence texts`);
