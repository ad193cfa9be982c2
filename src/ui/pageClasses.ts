import type { CSSProperties } from 'react';

const PLAIN_NUMBERS = new Set([
  'fontWeight',
  'lineHeight',
  'opacity',
  'zIndex',
  'zoom',
  'flex',
  'flexGrow',
  'flexShrink',
]);

const declaration = ([property, value]: [string, unknown]): string =>
  `${property.replaceAll(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)}:${
    typeof value === 'number' && !PLAIN_NUMBERS.has(property) ? `${value}px` : String(value)
  }`;

/**
 * Classes for elements of the page itself, put into the document once. For what is drawn by the hundred: there an
 * element with a class costs a third of a View with a style.
 */
export function pageClasses<Name extends string>(
  group: string,
  rules: Readonly<Record<Name, CSSProperties>>,
): Readonly<Record<Name, string>> {
  const entries = Object.entries<CSSProperties>(rules);
  if (typeof document !== 'undefined') {
    const style = document.createElement('style');
    style.textContent = entries
      .map(([name, rule]) => `.${group}-${name}{${Object.entries(rule).map(declaration).join(';')}}`)
      .join('\n');
    document.head.append(style);
  }
  return Object.fromEntries(entries.map(([name]) => [name, `${group}-${name}`])) as Record<Name, string>;
}
