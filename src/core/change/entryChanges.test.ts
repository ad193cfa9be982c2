import { context, date, event, series, stateWith, zoned } from '../../../testing/samples';
import { type CalendarEvent, type EventFields } from '../model/entry';
import { changeEntry, createEntries, fieldsSeenAt, seriesAsEdited, writtenUpon } from './entryChanges';
import { isRefused } from './eventFields';
import { applyPatch } from './patch';

const rota = series('FREQ=WEEKLY', { id: 'rota', title: 'rota', location: 'Works' });
const second = { entryId: 'rota', recurrenceKey: '2027-03-16T14:00:00' };
const seen = (of: CalendarEvent = rota, target = second) => fieldsSeenAt(stateWith(of), target, context())!;

test('the fields of an occurrence are its own times with the rule of its series, and change nothing when they are kept', () => {
  const fields = seen();
  expect(fields).toMatchObject({
    start: zoned('2027-03-16T14:00'),
    end: zoned('2027-03-16T15:00'),
    recurrence: { rules: ['FREQ=WEEKLY'] },
  });
  const state = stateWith(rota);
  const kept = changeEntry(state, second, fields, 'every', context());
  if (isRefused(kept)) throw new Error(kept.refused);
  const { sequence: _, modified: __, ...after } = applyPatch(state, kept).entries.get('rota')!;
  const { sequence: ___, modified: ____, ...before } = rota;
  expect(after).toEqual(before);
});

describe('what was written while another page changed the entry', () => {
  const before = seen();
  const now = { ...before, title: 'rota with Tobias', categories: ['boats'] };

  test('keeps what the other page changed and this one did not touch', () => {
    expect(writtenUpon(now, before, { ...before, location: 'Lamp room' })).toEqual({
      ...now,
      location: 'Lamp room',
    });
  });

  test('wins where both changed the same', () => {
    expect(writtenUpon(now, before, { ...before, title: 'rota at noon' }).title).toBe('rota at noon');
  });

  test('takes what was emptied as emptied', () => {
    const coloured: EventFields = { ...before, colour: 'moss' };
    const { colour: _, ...plain } = coloured;
    expect(writtenUpon<EventFields>(coloured, coloured, plain).colour).toBeUndefined();
  });

  test('takes start, end and rule together', () => {
    const moved = { ...now, start: zoned('2027-03-17T09:00'), end: zoned('2027-03-17T10:00') };
    const written = { ...before, end: zoned('2027-03-16T16:00') };
    expect(writtenUpon(moved, before, written)).toMatchObject({
      title: 'rota with Tobias',
      start: before.start,
      end: zoned('2027-03-16T16:00'),
    });
    expect(writtenUpon(moved, before, { ...before, notes: 'Bring oil' })).toEqual({
      ...moved,
      notes: 'Bring oil',
    });
  });

  test('is nothing new where nothing was touched', () => {
    expect(writtenUpon(now, before, before)).toEqual(now);
  });
});

test('an entry that is gone is said to be, and nothing is changed', () => {
  const state = stateWith(rota);
  const gone = { entryId: 'gone' };
  expect(fieldsSeenAt(state, gone, context())).toBeUndefined();
  expect(changeEntry(state, gone, event(), 'this', context())).toEqual({ refused: 'entry-missing' });
  expect(seriesAsEdited(state, gone, event(), context())).toBe('entry-missing');
});

test('whole days become hours and hours whole days, for every one, with their exceptions', () => {
  const days = series('FREQ=WEEKLY', {
    id: 'days',
    start: date('2027-03-09'),
    end: date('2027-03-10'),
    recurrence: { rules: ['FREQ=WEEKLY'], dates: [], exceptionDates: [date('2027-03-23')] },
  });
  const state = stateWith(days);
  const target = { entryId: 'days', recurrenceKey: '2027-03-16' };
  const fields = {
    ...fieldsSeenAt(state, target, context())!,
    start: zoned('2027-03-16T09:00'),
    end: zoned('2027-03-16T10:30'),
  };
  const made = changeEntry(state, target, fields, 'every', context());
  if (isRefused(made)) throw new Error(made.refused);
  const hours = applyPatch(state, made);
  expect(hours.entries.get('days')).toMatchObject({
    start: zoned('2027-03-09T09:00'),
    end: zoned('2027-03-09T10:30'),
    recurrence: { exceptionDates: [zoned('2027-03-23T09:00')] },
  });
  const back = changeEntry(
    hours,
    { entryId: 'days', recurrenceKey: '2027-03-16T09:00:00' },
    { ...fields, start: date('2027-03-16'), end: date('2027-03-17') },
    'every',
    context(),
  );
  if (isRefused(back)) throw new Error(back.refused);
  expect(applyPatch(hours, back).entries.get('days')).toMatchObject({
    start: date('2027-03-09'),
    end: date('2027-03-10'),
    recurrence: { exceptionDates: [date('2027-03-23')] },
  });
});

test('several entries are made at once or not at all', () => {
  const state = stateWith();
  const fields = (title: string, calendarId = 'meetings') => ({ ...event({ title }), calendarId });
  const made = createEntries(state, [fields('Lamp'), fields('Lens')], context());
  if (!made || isRefused(made)) throw new Error('refused');
  expect(made.summary).toMatchObject({ what: 'entries-made', count: 2 });
  expect([...applyPatch(state, made).entries.values()].map(({ title }) => title)).toEqual(['Lamp', 'Lens']);
  expect(createEntries(state, [fields('Lamp'), fields('Lens', 'gone')], context())).toEqual({
    refused: 'calendar-missing',
  });
  expect(createEntries(state, [], context())).toBeUndefined();
});
