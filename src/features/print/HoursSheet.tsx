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
  /** The notes that are printed with an entry. */
  notesOf: (occurrence: Occurrence) => string;
}

/** Where what of a page of hours goes: its columns, and the scale of its hours. Pixels. */
function layoutPage(page: HoursPage) {
  const { days, occurrences, hours, sheet, smallMonths } = page;
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
  const heightOf = (texts: readonly string[], line: number, room: number) =>
    texts.reduce((sum, text) => sum + line * linesOf(text, room), 0);
  const titles = (entries: readonly Occurrence[]) => entries.map(({ title }) => title || words.entry.noTitle);
  const above =
    Math.max(
      ...columns.map(
        ({ whole, before }) =>
          heightOf(titles(whole), 17, width - 34) + heightOf(titles(before), LINE, width - 62),
      ),
    ) + 4;
  const belowWith = (inFull: readonly (readonly Occurrence[])[]) =>
    Math.max(
      ...columns.map(
        ({ after }, index) =>
          heightOf(titles(after), LINE, width - 62) +
          heightOf((inFull[index] ?? []).map(wholeText), LINE, width - 34),
      ),
    ) + 4;
  const scaleOver = (below: number): HoursScale => ({
    ...hours,
    foldedBefore: hours.from > 0,
    foldedAfter: hours.to < 1440,
    hourHeight:
      Math.max(LEAST_HOURS, area.height - DAY_HEAD - above - below) / ((hours.to - hours.from) / 60),
    foldHeight: 0,
  });
  const cutAt = (scale: HoursScale) =>
    columns.map(({ day, onDay }) => cutCards(onDay, day, scale, width, page.notesOf));
  // What has no room on its card stands in full below its day, which leaves the hours less: it is asked again.
  let inFull: readonly (readonly Occurrence[])[] = [];
  let scale = scaleOver(belowWith(inFull));
  let cut = cutAt(scale);
  for (let round = 0; round < 4; round++) {
    inFull = cut.map((cards) => cards.filter((each) => !page.notesOf(each)));
    scale = scaleOver(belowWith(inFull));
    cut = cutAt(scale);
  }
  // Too much to stand there is listed on pages of its own, as are notes.
  const isTooMuch = belowWith(inFull) > MOST_BELOW * area.height;
  if (isTooMuch) {
    inFull = [];
    scale = scaleOver(belowWith(inFull));
    cut = cutAt(scale);
  }
  const listed = cut.flatMap((cards, index) => cards.filter((each) => !inFull[index]?.includes(each)));
  return { area, width, columns, above, scale, inFull, listed };
}

/** An entry on one line: its times, title and place. */
const wholeText = ({ title, startWall, endWall, location }: Occurrence): string =>
  [`${timeRangeText(startWall, endWall)} ${title || words.entry.noTitle}`, location]
    .filter(Boolean)
    .join(' · ');

/** The entries of a day whose text has no room on their cards. */
const cutCards = (
  onDay: readonly Occurrence[],
  day: number,
  scale: HoursScale,
  width: number,
  notesOf: HoursPage['notesOf'],
): readonly Occurrence[] =>
  layoutDay(onDay, day, scale).cards.flatMap(({ occurrence, across, height }) => {
    // A little less than there is: what is measured and what is printed may differ by a hair.
    const room = across.width * width - 3 - 34;
    const notes = notesOf(occurrence);
    const noteLines = notes ? notes.split('\n').reduce((sum, line) => sum + linesOf(line, room), 0) : 0;
    return room < 20 || linesOf(wholeText(occurrence), room) + noteLines > wholeLines(height)
      ? [occurrence]
      : [];
  });

/** So much of a page is given to what stands in full below its days, at the most. */
const MOST_BELOW = 0.3;
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

/** The entries of a page that are printed once more in a list: there is no room for their text on it. */
export const withoutRoom = (page: HoursPage): readonly Occurrence[] => layoutPage(page).listed;

/**
 * The days of a page with their hours down. What lies outside the printed hours is named above and below them, and so is
 * in full what has no room on its card; where that is too much, it is listed (see `withoutRoom`).
 */
export function HoursSheet({
  paperOf,
  ...page
}: HoursPage & { paperOf: (occurrence: Occurrence) => PrintPaper }) {
  const { notesOf } = page;
  const { area, width, columns, above, scale, inFull } = layoutPage(page);
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
            {inFull[index]?.map((occurrence) => (
              <div key={occurrence.key} className={classes.outside} style={{ minHeight: LINE - 1 }}>
                {wholeText(occurrence)}
              </div>
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
