import { readingText } from '../../../testing/readingText';
import { SENTENCES } from '../../../testing/sentences';

const table = Object.entries(SENTENCES).map(
  ([kind, lines]) =>
    [
      kind,
      lines
        .trim()
        .split('\n')
        .map((line) => line.split(' => ') as [string, string]),
    ] as const,
);
const known = table.find(([kind]) => kind === 'misread')![1];

describe.each(table.filter(([kind]) => kind !== 'misread'))('%s', (_, sentences) => {
  test.each(sentences)('%s', (text, reading) => {
    expect(readingText(text)).toBe(reading);
  });
});

test('what is misread is less than one in fifty of the table, and still misread', () => {
  const all = table.flatMap(([, sentences]) => sentences);
  expect(all.length).toBeGreaterThan(600);
  expect(known.length / all.length).toBeLessThan(0.02);
  for (const [text, reading] of known) expect(readingText(text)).not.toBe(reading);
});
