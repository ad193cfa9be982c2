import { escapeHtml } from '@/core/interchange/escapeHtml';

const STYLE = `
:root { color-scheme: light dark; --paper: #fbfcf9; --ink: #1c2521; --quiet: #4c5a53; --line: #c9d2cb; --accent: #14524a; }
@media (prefers-color-scheme: dark) { :root { --paper: #171e1a; --ink: #e6ece7; --quiet: #aab7af; --line: #3a4640; --accent: #8fd0c4; } }
body { margin: 0 auto; padding: 1.25rem; max-width: 44rem; background: var(--paper); color: var(--ink); font: 1rem/1.5 system-ui, sans-serif; }
h1 { font-size: 1.5rem; margin: 0 0 .25rem; } h2 { font-size: 1rem; margin: 1.25rem 0 .25rem; border-bottom: 1px solid var(--line); padding-bottom: .25rem; }
a { color: var(--accent); } p, small { color: var(--quiet); } code { overflow-wrap: anywhere; }
ul { list-style: none; margin: 0; padding: 0; } li { padding: .35rem 0; overflow-wrap: anywhere; }
nav { display: flex; gap: 1.25rem; flex-wrap: wrap; margin: .75rem 0; } nav a { padding: .5rem 0; }
.entry { display: grid; grid-template-columns: 9rem 1fr; gap: .25rem 1rem; } .time { color: var(--quiet); font-variant-numeric: tabular-nums; }
.more { display: block; color: var(--quiet); white-space: pre-line; }
.more + details, li details { grid-column: 1 / -1; } details { margin: .5rem 0; } summary { cursor: pointer; color: var(--accent); padding: .5rem 0; }
form { display: grid; grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr)); gap: .75rem; padding: .5rem 0; } form p { grid-column: 1 / -1; margin: 0; }
label { display: grid; gap: .25rem; color: var(--quiet); } input, select, textarea, button { font: inherit; color: var(--ink); background: var(--paper); border: 1px solid var(--quiet); border-radius: 4px; padding: .5rem .75rem; min-height: 2.75rem; box-sizing: border-box; width: 100%; }
.choice { display: flex; align-items: center; gap: .75rem; color: var(--ink); min-height: 2.75rem; cursor: pointer; } .choice input { width: auto; min-height: 0; } form ul { grid-column: 1 / -1; }
button { width: auto; cursor: pointer; border-color: var(--accent); } :focus-visible { outline: 2px solid #b86e00; outline-offset: 2px; }
@media (max-width: 30rem) { .entry { grid-template-columns: 1fr; gap: 0; } }
@media print { body { max-width: none; padding: 0; background: #fff; color: #000; } nav, details { display: none; } h2, li { break-inside: avoid; break-after: avoid; } li { break-after: auto; } }
`;

/** A plain page. The body is markup: whoever gives it has escaped what is in it. */
export const htmlPage = ({ title, body }: { title: string; body: string }): string => `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8" />
<meta name="viewport" content="width=device-width, initial-scale=1" />
<meta name="robots" content="noindex, nofollow" />
<title>${escapeHtml(title)}</title>
<style>${STYLE}</style>
</head>
<body>
<main>
${body}
</main>
</body>
</html>
`;
