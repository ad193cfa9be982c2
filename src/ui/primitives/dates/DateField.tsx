import { Suspense, useState } from 'react';
import { dateString, isRealDate, parseDate } from '@/core/time/civil';
import { typedDay } from '@/core/time/typedTimes';
import { fieldDayText, writingHabits, writtenToday } from '../../dates';
import { later } from '../../later';
import { words } from '../../words';
import { TypedField, type TypedFieldProps } from './TypedField';

const dayGrid = later(async () => (await import('./DayGrid')).DayGrid);

const isDate = (text: string): boolean => /^\d{4}-\d{2}-\d{2}$/.test(text) && isRealDate(text);
const PICKER_WIDTH = 304;
/** Keys that lead to another day, in days. */
const STEPS: Readonly<Record<string, number>> = { ArrowUp: 1, ArrowDown: -1, PageUp: 7, PageDown: -7 };

/** The date that a key leads to; none beyond the calendar. */
function stepped(date: string, key: string): string | undefined {
  const step = STEPS[key];
  if (step === undefined || !isDate(date)) return undefined;
  const next = dateString(parseDate(date) + step);
  return isDate(next) ? next : undefined;
}

/** A date (`YYYY-MM-DD`), typed as the person writes dates or picked from a month. */
export function DateField(props: TypedFieldProps) {
  const { value, label } = props;
  const day = isDate(value) ? parseDate(value) : undefined;
  const [lastDay, setLastDay] = useState(day);
  if (day !== undefined && day !== lastDay) setLastDay(day);
  // What leaves out its month or year is near to the last date that stood here.
  const near = lastDay ?? writtenToday();
  return (
    <TypedField
      {...props}
      kind={{
        written: (date) => (isDate(date) ? fieldDayText(parseDate(date)) : undefined),
        read: (text) => {
          const found = typedDay(text, near, writingHabits());
          return found === undefined ? undefined : dateString(found);
        },
        stepped,
        unread: words.dates.noDate(fieldDayText(near)),
        icon: 'calendar-blank-outline',
        pick: words.dates.pickDay(label),
        pickRole: 'dialog',
        pickWidth: PICKER_WIDTH,
        width: 168,
      }}
      picker={(onPick) => (
        // While its script comes, what the field stands in stays.
        <Suspense fallback={null}>
          <dayGrid.Later day={day} near={near} onPick={(picked) => onPick(dateString(picked))} />
        </Suspense>
      )}
    />
  );
}
