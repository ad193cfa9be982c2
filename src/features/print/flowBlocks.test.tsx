import { notePieces } from './flowBlocks';

test('notes are printed whole, in pieces that a page can hold', () => {
  const lines = Array.from({ length: 90 }, (_, line) => `Line ${line} of the survey of the tower`);
  const text = lines.join('\n');
  const pieces = notePieces(text);
  expect(pieces.length).toBeGreaterThan(1);
  expect(pieces.join('\n').replaceAll(/\s+/g, ' ')).toBe(text.replaceAll(/\s+/g, ' '));
  const paragraph = Array.from({ length: 3000 }, (_, word) => `word${word}`).join(' ');
  expect(notePieces(paragraph).length).toBeGreaterThan(1);
  expect(notePieces(paragraph).join(' ').split(/\s+/)).toEqual(paragraph.split(' '));
  expect(notePieces('One line')).toEqual(['One line']);
});
