import type { ReactNode } from 'react';
import type { Calendar } from '@/core/model/calendar';
import { byShownDay } from '@/core/layout/weekRows';
import { isRibbon, type Occurrence } from '@/core/schedule/occurrence';
import { DAY } from '@/core/time/civil';
import { dayText, fullDayText, lengthText, shortDayText, timeRangeText, timeText } from '@/ui/dates';
import { words } from '@/ui/words';
import { printWords } from '@/ui/words/print';
import { classes } from './printClasses';
import type { PrintPaper } from './usePrintPaper';

/** A block of print that is not cut. */
export interface FlowBlock {
  readonly key: string;
  readonly keepsWithNext: boolean;
  /** Whether it stands above the head of its page: only the first does. */
  readonly isAbove?: boolean;
  readonly content: ReactNode;
}

interface FlowContext {
  readonly days: readonly number[];
  readonly occurrences: readonly Occurrence[];
  readonly paperOf: (occurrence: Occurrence) => PrintPaper;
  readonly notesOf: (occurrence: Occurrence) => string;
  readonly calendars: readonly Calendar[];
}

/** A piece of notes is at most so long, in letters: then it fits a page with others. */
const PIECE = 500;

/** Notes in pieces that are printed one below the other: line by line, and long lines at their blanks. */
export function notePieces(notes: string): string[] {
  return notes.split('\n').flatMap((line) => {
    const pieces: string[] = [];
    let rest = line;
    while (rest.length > PIECE) {
      const blank = rest.lastIndexOf(' ', PIECE);
      const at = blank > PIECE / 2 ? blank + 1 : PIECE;
      pieces.push(rest.slice(0, at));
      rest = rest.slice(at);
    }
    return [...pieces, rest];
  });
}

/** An entry's block, and one for each piece of its notes: long notes go on over as many pages as they need. */
function withNotes(key: string, content: ReactNode, notes: string, className: string): FlowBlock[] {
  const pieces = notes ? notePieces(notes) : [];
  return [
    { key, keepsWithNext: pieces.length > 0, content },
    ...pieces.map((piece, index): FlowBlock => ({
      key: `${key} note ${index}`,
      keepsWithNext: false,
      content: <div className={className}>{piece || '\u00a0'}</div>,
    })),
  ];
}

/** Days in order with their entries, for an agenda on paper. Days without any are left out. */
export function agendaBlocks({ days, occurrences, paperOf, notesOf }: FlowContext): FlowBlock[] {
  const onDays = byShownDay(occurrences, days);
  return days.flatMap((day): FlowBlock[] => {
    const entries = onDays.get(day) ?? [];
    if (entries.length === 0) return [];
    return [
      {
        key: String(day),
        keepsWithNext: true,
        content: <div className={classes.agendaDay}>{fullDayText(day)}</div>,
      },
      ...entries.flatMap((occurrence): FlowBlock[] => {
        const { paper, mark, letters } = paperOf(occurrence);
        return withNotes(
          `${day} ${occurrence.key}`,
          <div className={classes.agendaEntry}>
            <div className={classes.agendaTime}>
              {occurrence.allDay
                ? words.entry.allDayLabel
                : timeRangeText(occurrence.startWall, occurrence.endWall)}
            </div>
            <span
              className={classes.lineMark}
              style={{ ...mark, width: 24, height: 15, lineHeight: '14px', fontSize: 10 }}
            >
              {letters}
            </span>
            <div className={classes.agendaText}>
              <b style={{ textDecorationLine: paper.textDecorationLine }}>
                {occurrence.title || words.entry.noTitle}
              </b>
              {occurrence.availability === 'busy'
                ? ''
                : ` · ${words.entry.availability[occurrence.availability]}`}
              {occurrence.location ? ` · ${occurrence.location}` : ''}
            </div>
          </div>,
          notesOf(occurrence),
          classes.agendaNotes,
        );
      }),
    ];
  });
}

/** The columns of the table, with their shares of the width. */
const COLUMNS = [
  { name: printWords.column.day, share: 0.15 },
  { name: printWords.column.time, share: 0.13 },
  { name: printWords.column.length, share: 0.1 },
  { name: printWords.column.title, share: 0.28 },
  { name: printWords.column.place, share: 0.2 },
  { name: printWords.column.calendar, share: 0.14 },
] as const;

const Cells = ({ cells }: { cells: readonly ReactNode[] }) =>
  COLUMNS.map(({ name, share }, index) => (
    <div key={name} className={classes.cell} style={{ width: `${share * 100}%` }}>
      {cells[index]}
    </div>
  ));

/** The head of the table, which stands on every page. */
export const tableHead = (
  <div className={classes.rowHead}>
    <Cells cells={COLUMNS.map(({ name }) => name)} />
  </div>
);

/** Every entry as a row of a table. */
export function tableBlocks({ days, occurrences, paperOf, notesOf, calendars }: FlowContext): FlowBlock[] {
  const first = days[0]!;
  return occurrences.flatMap((occurrence): FlowBlock[] => {
    const day = Math.max(first, Math.floor(occurrence.startWall / DAY));
    const calendar = calendars.find(({ id }) => id === occurrence.calendarId);
    return withNotes(
      occurrence.key,
      <div className={classes.row} title={dayText(day)}>
        <Cells
          cells={[
            shortDayText(day),
            occurrence.allDay ? words.entry.allDayLabel : timeText(occurrence.startWall),
            isRibbon(occurrence)
              ? words.periods.inDays(
                  Math.max(1, Math.ceil((occurrence.endWall - occurrence.startWall) / DAY)),
                )
              : lengthText(occurrence.end - occurrence.start),
            <span key="title" style={{ textDecorationLine: paperOf(occurrence).paper.textDecorationLine }}>
              <b>{occurrence.title || words.entry.noTitle}</b>
            </span>,
            occurrence.location,
            `${paperOf(occurrence).letters} ${calendar?.name ?? ''}`,
          ]}
        />
      </div>,
      notesOf(occurrence),
      classes.tableNotes,
    );
  });
}
