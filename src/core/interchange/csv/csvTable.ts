import Papa from 'papaparse';
import { isRowOfValues } from './cellKind';
import { guessColumns } from './columns';
import { FileError } from '../icalendar/problems';

/** A table as it was read: the names of the columns, and rows of texts with their line in the file. */
export interface CsvTable {
  readonly header: readonly string[];
  /** Whether the first row was one of names; without them the columns are numbered. */
  readonly hasNames: boolean;
  readonly rows: readonly { readonly line: number; readonly cells: readonly string[] }[];
}

/** The most rows that are read. */
const MOST_ROWS = 100_000;

/**
 * What a spreadsheet would take for a formula, at the beginning of a cell or of a line in it and after blanks too, is written
 * with an apostrophe before it, which is taken off again.
 */
const escape = (text: string): string => text.replaceAll(/(^|[\r\n])('*[^\S\r\n]*[=+\-@]|'*\t)/g, "$1'$2");
const unescape = (text: string): string => text.replaceAll(/(^|[\r\n])'('*[^\S\r\n]*[=+\-@]|'*\t)/g, '$1$2');

const DELIMITERS = [',', ';', '\t', '|'];

/** What stands between the columns: that which makes most known names of the first row, or most names at all. */
function delimiterOf(text: string): string {
  const scores = DELIMITERS.map((delimiter) => {
    const [header = []] = Papa.parse<string[]>(text, { delimiter, preview: 1 }).data;
    const known = guessColumns(header).filter((field) => field !== undefined).length;
    return { delimiter, score: header.length > 1 ? known * 1000 + header.length : 0 };
  });
  return scores.reduce((best, each) => (each.score > best.score ? each : best)).delimiter;
}

/**
 * Reads a table of values with commas, semicolons or tabs between them (RFC 4180 and its relatives).
 * A first row of values is one of the rows, and the columns have no names.
 * @throws FileError if there is nothing that looks like columns
 */
export function readCsvTable(text: string): CsvTable {
  const plain = text.replace(/^\uFEFF/, '');
  const { data } = Papa.parse<string[]>(plain, { delimiter: delimiterOf(plain) });
  const [first = [], ...others] = data;
  const hasNames = !isRowOfValues(first);
  const rest = hasNames ? others : data;
  const header = first.map((name, index) => (hasNames ? unescape(name.trim()) : String(index + 1)));
  if (header.length < 2 || header.every((name) => name === '')) throw new FileError('not-a-table');
  if (rest.length > MOST_ROWS) throw new FileError('too-large');
  return {
    header,
    hasNames,
    rows: rest.flatMap((cells, index) =>
      cells.every((cell) => cell.trim() === '')
        ? []
        : [{ line: index + (hasNames ? 2 : 1), cells: cells.map((cell) => unescape(cell)) }],
    ),
  };
}

/** Writes a table with a header. Cells that a spreadsheet would take for formulas are made harmless. */
export const writeCsvTable = (header: readonly string[], rows: readonly (readonly string[])[]): string =>
  `${Papa.unparse({ fields: [...header], data: rows.map((row) => row.map(escape)) }, { newline: '\r\n' })}\r\n`;
