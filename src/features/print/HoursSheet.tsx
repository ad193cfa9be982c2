import {
  drawnMinutes,
  hoursHeight,
  minuteToY,
  type Crowd,
  type DayCard,
  type HoursScale,
} from '@/core/layout/hours';
import type { Occurrence } from '@/core/schedule/occurrence';
import { MINUTE } from '@/core/time/civil';
import { agendaDayText, hourText, timeRangeText, timeText } from '@/ui/dates';
import { words } from '@/ui/words';
import { DAY_HEAD, type HoursPage, layoutHoursPage, LINE, RAIL, wholeLines, wholeText } from './hoursPage';
import { CARD_LINE, classes } from './printClasses';
import type { PrintPaper } from './usePrintPaper';
import type { CSSProperties } from 'react';
import { standingOf, takesTime } from '@/core/schedule/standing';

/**
 * The days of a page with their hours down. What lies outside the printed hours is named above and below them, and so is
 * in full what has no room on its card; where that is too much, it is listed (see `withoutRoom`).
 */
export function HoursSheet({
  paperOf,
  ...page
}: HoursPage & { paperOf: (occurrence: Occurrence) => PrintPaper }) {
  const { notesOf } = page;
  const { area, width, columns, above, scale } = layoutHoursPage(page);
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
      {columns.map(({ day, whole, before, after, inFull, crowds, cards }, index) => (
        <PrintColumn
          key={day}
          index={index}
          width={width}
          day={day}
          whole={whole}
          paperOf={paperOf}
          before={before}
          top={top}
          scale={scale}
          crowds={crowds}
          cards={cards}
          notesOf={notesOf}
          after={after}
          inFull={inFull}
        />
      ))}
    </div>
  );
}

interface PrintColumnProps {
  index: number;
  width: number;
  day: number;
  whole: readonly Occurrence[];
  paperOf: (occurrence: Occurrence) => PrintPaper;
  before: readonly Occurrence[];
  top: number;
  scale: HoursScale;
  crowds: readonly Crowd[];
  cards: readonly DayCard[];
  notesOf: (occurrence: Occurrence) => string;
  after: readonly Occurrence[];
  inFull: readonly Occurrence[];
}

/** A day: what takes it whole, its hours, and what lies beyond them. */
function PrintColumn({
  index,
  width,
  day,
  whole,
  paperOf,
  before,
  top,
  scale,
  crowds,
  cards,
  notesOf,
  after,
  inFull,
}: PrintColumnProps) {
  return (
    <div className={classes.column} style={{ left: RAIL + index * width, width }}>
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
        {crowds.map(({ top: at, count }) => (
          <div key={at} className={classes.more} style={{ position: 'absolute', top: at + 1, right: 0 }}>
            {`+${count}`}
          </div>
        ))}
        {cards.map((card) => {
          const { occurrence } = card;
          const { paper, mark, letters } = paperOf(occurrence);
          const notes = notesOf(occurrence);
          return (
            <PrintCard
              key={occurrence.key}
              paper={paper}
              card={card}
              width={width}
              mark={mark}
              letters={letters}
              occurrence={occurrence}
              notes={notes}
            />
          );
        })}
      </div>
      <BelowHours top={top} scale={scale} after={after} paperOf={paperOf} inFull={inFull} />
    </div>
  );
}

/** What lies after the hours, and what has no room among them. */
function BelowHours({
  top,
  scale,
  after,
  paperOf,
  inFull,
}: {
  top: number;
  scale: HoursScale;
  after: readonly Occurrence[];
  paperOf: (occurrence: Occurrence) => PrintPaper;
  inFull: readonly Occurrence[];
}) {
  return (
    <div style={{ position: 'absolute', top: top + hoursHeight(scale) + 1, left: 2, right: 2 }}>
      {after.map((occurrence) => (
        <Outside key={occurrence.key} occurrence={occurrence} letters={paperOf(occurrence).letters} />
      ))}
      {inFull.map((occurrence) => (
        <div key={occurrence.key} className={classes.outside} style={{ minHeight: LINE - 1 }}>
          {wholeText(occurrence)}
        </div>
      ))}
    </div>
  );
}

/** An entry among the hours: its mark, its title and times in whole lines. */
function PrintCard({
  paper,
  card,
  width,
  mark,
  letters,
  occurrence,
  notes,
}: {
  paper: CSSProperties;
  card: DayCard;
  width: number;
  mark: CSSProperties;
  letters: string;
  occurrence: Occurrence;
  notes: string;
}) {
  return (
    <div
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
          {standingOf(occurrence) === 'tentative' ? ' ?' : ''}
        </span>{' '}
        <span className={classes.cardTime}>
          {timeRangeText(occurrence.startWall, occurrence.endWall).replaceAll('\u00a0', ' ')}
        </span>
        {occurrence.location ? ` ·\u00a0${occurrence.location}` : ''}
        {notes ? <div className={classes.notes}>{notes}</div> : null}
      </div>
    </div>
  );
}

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
          ...(takesTime(occurrence)
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
        {standingOf(occurrence) === 'tentative' ? ' ?' : ''}
        {occurrence.availability === 'away' ? ` · ${words.entry.away}` : ''}
      </span>
    </div>
  );
}
