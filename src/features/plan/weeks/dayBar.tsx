import type { WeekDay } from '@/core/layout/weekRows';
import type { Calendar } from '@/core/model/calendar';
import { pageClasses } from '@/ui/pageClasses';
import type { Theme } from '@/ui/theme/theme';
import { hairline } from '@/ui/theme/tokens';

/** The least piece of a bar that bears a mark, in pixels. */
const MARKED = { width: 22, height: 15 };

/** A day's hours as a tiny upright timeline, in the colours of its entries. Not a component: a month has dozens of them. */
export function dayBar({
  theme: { colours, calendar: tonesOf },
  pieces,
  calendars,
  top,
  width,
  height,
  isOutside,
  isMarked,
}: {
  theme: Theme;
  pieces: WeekDay['bar'];
  calendars: ReadonlyMap<string, Calendar>;
  top: number;
  width: number;
  height: number;
  /** Whether the day is not of the shown period. */
  isOutside: boolean;
  /** Whether its pieces bear their calendars' marks, where they have room. */
  isMarked: boolean;
}) {
  return (
    <div
      aria-hidden
      className={classes.bar}
      style={{ top, left: 4, width, height, backgroundColor: colours.shade, opacity: isOutside ? 0.55 : 1 }}
    >
      {pieces.map((piece) => {
        const calendar = calendars.get(piece.calendarId);
        const tones = tonesOf(piece.colour ?? calendar?.colour ?? 'slate');
        const isEmpty = piece.paper === 'free';
        const own = { width: piece.across.width * width, height: (piece.to - piece.from) * height };
        return (
          <div
            key={`${piece.calendarId} ${piece.colour ?? ''} ${piece.paper} ${piece.from}`}
            className={classes.piece}
            style={{
              top: piece.from * height,
              height: own.height,
              left: piece.across.left * width,
              width: Math.max(2, own.width - (isMarked ? 1 : 0)),
              backgroundColor: isEmpty ? colours.card : tones.band,
              color: isEmpty ? tones.ink : tones.onBand,
              borderColor: tones.band,
              borderStyle: piece.paper === 'tentative' ? 'dashed' : 'solid',
            }}
          >
            {isMarked && own.width >= MARKED.width && own.height >= MARKED.height ? calendar?.mark : null}
          </div>
        );
      })}
    </div>
  );
}

const classes = pageClasses('weeksbar', {
  bar: { position: 'absolute', borderRadius: 2, overflow: 'hidden', pointerEvents: 'none' },
  piece: {
    position: 'absolute',
    boxSizing: 'border-box',
    borderWidth: hairline,
    borderRadius: 2,
    overflow: 'hidden',
    textAlign: 'center',
    fontWeight: 700,
    lineHeight: '13px',
  },
});
