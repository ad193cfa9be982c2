/** Names with commas between them; a name that has one itself, and was there before, stays one. */
export function categoriesOf(text: string, before: readonly string[]): string[] {
  const names: string[] = [];
  let rest = text.trim();
  const withCommas = before.filter((name) => name.includes(','));
  while (rest !== '') {
    const known = withCommas.find(
      (name) => rest === name || rest.startsWith(`${name},`) || rest.startsWith(`${name} ,`),
    );
    const name = known ?? rest.split(',', 1)[0]!;
    names.push(name.trim());
    rest = rest.slice(name.length).replace(/^\s*,?\s*/, '');
  }
  return [...new Set(names.filter(Boolean))];
}

/** The names in a cell of a table, with commas or semicolons between them. */
export const listOf = (text: string): string[] =>
  text
    .split(/[;,]/)
    .map((part) => part.trim())
    .filter(Boolean);
