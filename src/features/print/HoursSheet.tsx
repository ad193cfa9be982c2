import { drawnMinutes, hoursHeight, type HoursScale, layoutDay, minuteToY } from '@/core/layout/hours';
import type { SheetSize } from '@/core/layout/paper';
import { daysOf, isRibbon, type Occurrence } from '@/core/schedule/occurrence';
import { DAY, MINUTE } from '@/core/time/civil';
import { agendaDayText, hourText, timeRangeText, timeText } from '@/ui/dates';
import { words } from '@/ui/words';
import { CARD_LINE, classes } from './printClasses';
import { fitWords } from '@/core/layout/fitWords';
import { measureSmallText } from '@/ui/measureText';
import { printArea } from './SheetFrame';
import type { PrintPaper } from './usePrintPaper';

const RAIL = 44;
const DAY_HEAD = 20;
const LINE = 13;

interface HoursPage {
  days: readonly number[];
  occurrences: readonly Occurrence[];
  hours: { readonly from: number; readonly to: number };
  sheet: SheetSize;
  smallMonths: boolean;
}

/** Where what of a page of hours goes: its columns, and the scale of its hours. Pixels. */
function layoutPage({ days, occurrences, hours, sheet, smallMonths }: HoursPage) {
  const area = printArea(sheet, smallMonths);
  const width = (area.width - RAIL) / days.length;
  const columns = days.map((day) => {
    const onDay = occurrences.filter((occurrence) => {
      const { first, end } = daysOf(occurrence);
      return first <= day && day < end;
    });
    const timed = onDay.filter((occurrence) => !isRibbon(occurrence));
    const before = timed.filter(
      ({ startWall, endWall }) =>
        endWall <= day * DAY + hours.from * MINUTE && startWall < day * DAY + hours.from * MINUTE,
    );
    const after = timed.filter(({ startWall }) => startWall >= day * DAY + hours.to * MINUTE);
    return { day, onDay, whole: onDay.filter(isRibbon), before, after };
  });
  const heightOf = (entries: readonly Occurrence[], line: number, room: number) =>
    entries.reduce((sum, { title }) => sum + line * linesOf(title || words.entry.noTitle, room), 0);
  const above =
    Math.max(
      ...columns.map(
        ({ whole, before }) => heightOf(whole, 17, width - 34) + heightOf(before, LINE, width - 62),
      ),
    ) + 4;
  const below = Math.max(...columns.map(({ after }) => heightOf(after, LINE, width - 62))) + 2;
  const room = Math.max(LEAST_HOURS, area.height - DAY_HEAD - above - below);
  const scale: HoursScale = {
    ...hours,
    foldedBefore: hours.from > 0,
    foldedAfter: hours.to < 1440,
    hourHeight: room / ((hours.to - hours.from) / 60),
    foldHeight: 0,
  };
  return { area, width, columns, above, scale };
}

/** However much lies above and below them, the hours keep so much of the page. */
const LEAST_HOURS = 240;
/** Letters on paper are smaller than those that are measured. */
const PAPER_SHARE = 11 / 12;

/** How many lines a text takes at a width; as many as it has words at the most. */
function linesOf(text: string, width: number): number {
  const line = Math.max(20, width) / PAPER_SHARE;
  const most = Array.from({ length: 40 }, () => line);
  return Math.max(
    1,
    fitWords(text, most, (words_) => measureSmallText(words_, '700')).filter(Boolean).length,
  );
}

/** The entries of a page whose text has no room where they lie: they are printed once more, in a list. */
export function withoutRoom(page: HoursPage, notesOf: (occurrence: Occurrence) => string): Occurrence[] {
  const { columns, width, scale } = layoutPage(page);
  const left = columns.flatMap(({ day, onDay }) =>
    layoutDay(onDay, day, scale).cards.flatMap(({ occurrence, across, height }) => {
      const text = [
        occurrence.title || words.entry.noTitle,
        timeRangeText(occurrence.startWall, occurrence.endWall),
        occurrence.location,
      ];
      const room = across.width * width - 3 - 28;
      const notes = notesOf(occurrence);
      const lines = linesOf(text.filter(Boolean).join(' · '), room);
      const noteLines = notes ? notes.split('\n').reduce((sum, line) => sum + linesOf(line, room), 0) : 0;
      return room < 20 || lines + noteLines > wholeLines(height) ? [occurrence] : [];
    }),
  );
  return [...new Map(left.map((occurrence) => [occurrence.key, occurrence])).values()];
}

/**
 * The days of a page with their hours down. What lies outside the printed hours is named above and below them; what has
 * no room in its place is listed beside them (see `withoutRoom`).
 */
export function HoursSheet({
  paperOf,
  notesOf,
  ...page
}: HoursPage & {
  paperOf: (occurrence: Occurrence) => PrintPaper;
  notesOf: (occurrence: Occurrence) => string;
}) {
  const { area, width, columns, above, scale } = layoutPage(page);
  const drawn = drawnMinutes(scale);
  const marks = [];
  for (let minute = drawn.from; minute <= drawn.to; minute += 60) marks.push(minute);
  const top = DAY_HEAD + above;
  return (
    <div
      className={classes.columns}
      style={{ left: area.left, top: area.top, width: area.width, height: area.height }}
    >
      {marks.slice(0, -1).map((minute) => (
        <div key={minute}>
          <div className={classes.hourLine} style={{ top: top + minuteToY(scale, minute), left: RAIL }} />
          <div className={classes.hour} style={{ top: top + minuteToY(scale, minute) + 1, width: RAIL - 5 }}>
            {hourText(minute * MINUTE)}
          </div>
        </div>
      ))}
      <div className={classes.hourLine} style={{ top: top + hoursHeight(scale) }} />
      {columns.map(({ day, onDay, whole, before, after }, index) => (
        <div key={day} className={classes.column} style={{ left: RAIL + index * width, width }}>
          <div className={classes.dayHead} style={{ top: 0, width }}>
            {agendaDayText(day)}
          </div>
          <div style={{ position: 'absolute', top: DAY_HEAD, left: 2, right: 2 }}>
            {whole.map((occurrence) => (
              <PrintLine key={occurrence.key} occurrence={occurrence} paper={paperOf(occurrence)} />
            ))}
            {before.map((occurrence) => (
              <Outside key={occurrence.key} occurrence={occurrence} letters={paperOf(occurrence).letters} />
            ))}
          </div>
          <div style={{ position: 'absolute', top, left: 0, right: 0, height: hoursHeight(scale) }}>
            {layoutDay(onDay, day, scale).cards.map((card) => {
              const { occurrence } = card;
              const { paper, mark, letters } = paperOf(occurrence);
              const notes = notesOf(occurrence);
              return (
                <div
                  key={occurrence.key}
                  className={classes.card}
                  style={{
                    ...paper,
                    top: card.top + 1,
                    height: card.height - 1,
                    left: card.across.left * width + 1,
                    width: card.across.width * width - 3,
                  }}
                >
                  <span className={classes.mark} style={mark}>
                    {letters}
                  </span>
                  <div style={{ maxHeight: wholeLines(card.height) * CARD_LINE, overflow: 'hidden' }}>
                    <span className={classes.cardTitle}>
                      {occurrence.title || words.entry.noTitle}
                      {occurrence.availability === 'tentative' ? ' ?' : ''}
                    </span>{' '}
                    <span className={classes.cardTime}>
                      {timeRangeText(occurrence.startWall, occurrence.endWall).replaceAll('\u00a0', ' ')}
                    </span>
                    {occurrence.location ? ` ·\u00a0${occurrence.location}` : ''}
                    {notes ? <div className={classes.notes}>{notes}</div> : null}
                  </div>
                </div>
              );
            })}
          </div>
          <div style={{ position: 'absolute', top: top + hoursHeight(scale) + 1, left: 2, right: 2 }}>
            {after.map((occurrence) => (
              <Outside key={occurrence.key} occurrence={occurrence} letters={paperOf(occurrence).letters} />
            ))}
          </div>
        </div>
      ))}
    </div>
  );
}

/** The lines that a card has room for: none is cut through. */
const wholeLines = (height: number): number => Math.max(1, Math.floor((height - 4) / CARD_LINE));

/** An entry outside the printed hours: its time and title on one line. */
function Outside({ occurrence, letters }: { occurrence: Occurrence; letters: string }) {
  return (
    <div className={classes.outside} style={{ minHeight: LINE - 1 }}>
      {timeText(occurrence.startWall)} {letters} {occurrence.title || words.entry.noTitle}
    </div>
  );
}

/** An entry on one line: mark, time, title. */
export function PrintLine({
  occurrence,
  paper: { paper, mark, letters },
}: {
  occurrence: Occurrence;
  paper: PrintPaper;
}) {
  return (
    <div className={classes.line} style={{ textDecorationLine: paper.textDecorationLine }}>
      <span
        className={classes.lineMark}
        style={{
          ...mark,
          // The mark's edge tells the availability where the line has no paper of its own.
          ...(occurrence.availability === 'busy' || occurrence.availability === 'away'
            ? null
            : {
                backgroundColor: '#FFFFFF',
                color: '#000000',
                border: `1px ${paper.borderStyle} ${paper.borderColor}`,
              }),
        }}
      >
        {letters}
      </span>
      <span>
        {occurrence.allDay ? '' : `${timeText(occurrence.startWall)} `}
        <b>{occurrence.title || words.entry.noTitle}</b>
        {occurrence.availability === 'tentative' ? ' ?' : ''}
        {occurrence.availability === 'away' ? ` · ${words.entry.away}` : ''}
      </span>
    </div>
  );
}
