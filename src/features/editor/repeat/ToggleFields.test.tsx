import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import type { MonthDays } from '@/core/recurrence/choices';
import { parseDate } from '@/core/time/civil';
import { ThemeProvider } from '@/ui/theme/theme';
import { MonthDaysField } from './MonthDaysField';
import { MonthsField, WeekdaysField } from './ToggleFields';

const isPressed = (name: string) =>
  screen.getByRole('button', { name }).getAttribute('aria-pressed') === 'true';

test('weekdays and months are pressed on and off, each named in full', async () => {
  function Fields() {
    const [weekdays, setWeekdays] = useState<readonly number[]>([2]);
    const [months, setMonths] = useState<readonly number[]>([]);
    return (
      <ThemeProvider>
        <WeekdaysField weekStart={1} value={weekdays} onChange={setWeekdays} />
        <MonthsField value={months} optional onChange={setMonths} />
      </ThemeProvider>
    );
  }
  render(<Fields />);
  expect(isPressed('Tuesday')).toBe(true);
  await userEvent.click(screen.getByRole('button', { name: 'Friday' }));
  await userEvent.click(screen.getByRole('button', { name: 'Tuesday' }));
  expect([isPressed('Friday'), isPressed('Tuesday')]).toEqual([true, false]);
  // No month chosen means every month, and the group says so.
  expect(screen.getByRole('group', { name: 'In these months: All months' })).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'March' }));
  expect(screen.getByRole('group', { name: 'In these months' })).toBeTruthy();
});

test('days of a month turn into the weekday that the start is, and back into its day', async () => {
  const said: MonthDays[] = [];
  function Field() {
    const [value, setValue] = useState<MonthDays>({ kind: 'days', days: [9] });
    return (
      <ThemeProvider>
        <MonthDaysField
          value={value}
          startDay={parseDate('2027-03-30')}
          onChange={(changed) => {
            said.push(changed);
            setValue(changed);
          }}
        />
      </ThemeProvider>
    );
  }
  render(<Field />);
  await userEvent.click(screen.getByRole('button', { name: 'the last day' }));
  await userEvent.click(screen.getByRole('radio', { name: 'A weekday of the month' }));
  await userEvent.selectOptions(screen.getByTestId('repeat-weekday'), 'working day');
  await userEvent.click(screen.getByRole('radio', { name: 'Days of the month' }));
  expect(said).toEqual([
    { kind: 'days', days: [9, -1] },
    // The 30th is the fifth and last Tuesday: the last is what comes every month.
    { kind: 'nth', ordinal: -1, weekday: 2 },
    { kind: 'nth', ordinal: -1, weekday: 'workday' },
    { kind: 'days', days: [30] },
  ]);
});
