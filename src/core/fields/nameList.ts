/** What keeps names of a list apart. */
const SEPARATOR = /[,;\n]/;
/** A name in quotes, in which a doubled quote is one, and what follows up to the next separator. */
const QUOTED = /^"((?:[^"]|"")*)"\s*(?=[,;\n]|$)/;

/**
 * The names that a text lists, apart by commas, semicolons or lines, each once. A name in quotes may hold separators, and so may
 * one that is known.
 * @param known names that stay whole though they hold a separator
 */
export function namesIn(text: string, known: readonly string[] = []): string[] {
  const names = new Set<string>();
  const whole = known.filter((name) => SEPARATOR.test(name)).sort((a, b) => b.length - a.length);
  let rest = text.trim();
  while (rest !== '') {
    const quoted = QUOTED.exec(rest);
    const kept = whole.find(
      (name) => rest.startsWith(name) && /^\s*([,;\n]|$)/.test(rest.slice(name.length)),
    );
    const length = quoted?.[0].length ?? kept?.length ?? SEPARATOR.exec(rest)?.index ?? rest.length;
    const name = quoted ? quoted[1]!.replaceAll('""', '"') : rest.slice(0, length);
    if (name.trim() !== '') names.add(name.trim());
    rest = rest.slice(length).replace(/^\s*[,;\n]?\s*/, '');
  }
  return [...names];
}

/**
 * Names as one text, which `namesIn` reads back: those that hold a separator or begin with a quote stand in quotes.
 * @param separator a comma or a semicolon
 */
export const namesText = (names: readonly string[], separator: ',' | ';' = ','): string =>
  names
    .map((name) => (SEPARATOR.test(name) || name.startsWith('"') ? `"${name.replaceAll('"', '""')}"` : name))
    .join(`${separator} `);
