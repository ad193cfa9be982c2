import {
  calendar,
  context,
  date,
  event,
  eventIn,
  eventsIn,
  series,
  stateWith,
  zoned,
} from '../../../../testing/samples';
import type { CalendarEvent } from '../../model/entry';
import { noticeBefore } from '../../model/reminder';
import type { State } from '../../model/state';
import { applyPatch, inversePatch } from '../patch';
import type { Scope, Target } from '../target';
import { batchProblem, previewBatch } from './batchRun';
import type { BatchStep } from '../../model/batchStep';

const preview = (
  state: State,
  targets: readonly Target[],
  steps: readonly BatchStep[],
  scope: Scope = 'this',
) => previewBatch(state, [{ targets, steps }], { scopeOf: () => scope }, context());

/** What steps make of one event. */
function made(of: CalendarEvent, ...steps: BatchStep[]): CalendarEvent {
  const state = stateWith(of);
  const { patch, report } = preview(state, [{ entryId: of.id }], steps);
  expect(report.rows.map(({ reason }) => reason)).toEqual([undefined]);
  return eventIn(applyPatch(state, patch), of.id);
}
const refused = (of: CalendarEvent, ...steps: BatchStep[]) => {
  const { patch, report } = preview(stateWith(of), [{ entryId: of.id }], steps);
  expect(patch.changes).toEqual([]);
  return report.rows[0]!.reason;
};

const report = event({ title: 'Q1 works report', location: 'Chart room', notes: 'Chart room, as ever' });

describe('what a step sets', () => {
  test('the calendar, by id, name or mark; not one that is closed or not there', () => {
    expect(made(report, { kind: 'calendar', calendar: 'desk' }).calendarId).toBe('desk');
    expect(made(report, { kind: 'calendar', calendar: 'desk work' }).calendarId).toBe('desk');
    expect(made(report, { kind: 'calendar', calendar: 'dw' }).calendarId).toBe('desk');
    expect(refused(report, { kind: 'calendar', calendar: 'Grants' })).toBe('calendar-missing');
  });

  test('categories are added, taken and set, each once', () => {
    const filed = { ...report, categories: ['report'] };
    const names = ['report', 'boat'];
    expect(made(filed, { kind: 'categories', how: 'add', names }).categories).toEqual(['report', 'boat']);
    expect(made(filed, { kind: 'categories', how: 'remove', names }).categories).toEqual([]);
    expect(made(filed, { kind: 'categories', how: 'set', names: ['boat', 'boat'] }).categories).toEqual([
      'boat',
    ]);
  });

  test('availability, visibility, status, importance, colour and place', () => {
    const changed = made(
      report,
      { kind: 'availability', to: 'away' },
      { kind: 'visibility', to: 'private' },
      { kind: 'status', to: 'cancelled' },
      { kind: 'importance', to: 1 },
      { kind: 'colour', to: 'rust' },
      { kind: 'place', to: 'Lamp room' },
    );
    expect(changed).toMatchObject({
      availability: 'away',
      classification: 'private',
      status: 'cancelled',
      priority: 1,
      colour: 'rust',
      location: 'Lamp room',
    });
    const plain = made(changed, { kind: 'importance', to: null }, { kind: 'colour', to: null });
    expect(plain).not.toHaveProperty('priority');
    expect(plain).not.toHaveProperty('colour');
  });

  test('reminders: more, others, none, the usual ones', () => {
    const reminded = { ...report, reminders: [noticeBefore(10)] };
    const step = (how: 'add' | 'set' | 'none' | 'usual') =>
      made(reminded, { kind: 'reminders', how, reminders: [noticeBefore(10), noticeBefore(60)] }).reminders;
    expect(step('add')).toEqual([noticeBefore(10), noticeBefore(60)]);
    expect(step('set')).toEqual([noticeBefore(10), noticeBefore(60)]);
    expect(step('none')).toEqual([]);
    expect(step('usual')).toBeUndefined();
  });

  test('notes before and after, people added and taken', () => {
    expect(made(report, { kind: 'notes', how: 'after', text: 'Bring the log' }).notes).toBe(
      'Chart room, as ever\nBring the log',
    );
    const people = [{ name: 'Oona Pell', address: 'oona@fennick.example' }];
    const invited = made(report, { kind: 'people', how: 'add', people });
    expect(invited.attendees).toEqual([
      { address: 'mailto:oona@fennick.example', parameters: { cn: 'Oona Pell' } },
    ]);
    const again = [{ name: '', address: 'mailto:OONA@fennick.example' }];
    expect(made(invited, { kind: 'people', how: 'remove', people: again })).not.toHaveProperty('attendees');
  });

  test('files that are large enough are taken off', () => {
    const file = (id: string, size: number) => ({
      id,
      name: `${id}.pdf`,
      mediaType: 'application/pdf',
      size,
    });
    const filed = { ...report, attachments: [file('small', 10), file('large', 4000)] };
    expect(made(filed, { kind: 'attachments', atLeast: 100 }).attachments).toEqual([file('small', 10)]);
  });
});

describe('what a step does to the times', () => {
  const timed = event({ start: zoned('2027-03-27T14:03'), end: zoned('2027-03-27T14:58') });
  const whole = event({ start: date('2027-03-09'), end: date('2027-03-11') });
  const times = ({ start, end }: CalendarEvent) =>
    [start, end].map((time) => (time.kind === 'date' ? time.date : time.local.slice(0, 16)));

  test('shifted by days on the wall clock, also over a clock change, and by minutes', () => {
    expect(times(made(timed, { kind: 'shift', days: 1, minutes: 0 }))).toEqual([
      '2027-03-28T14:03',
      '2027-03-28T14:58',
    ]);
    expect(times(made(timed, { kind: 'shift', days: 0, minutes: -63 }))).toEqual([
      '2027-03-27T13:00',
      '2027-03-27T13:55',
    ]);
    expect(times(made(whole, { kind: 'shift', days: 7, minutes: 0 }))).toEqual(['2027-03-16', '2027-03-18']);
    expect(refused(whole, { kind: 'shift', days: 0, minutes: 30 })).toBe('not-timed');
  });

  test('to the same weekday of another week', () => {
    expect(times(made(timed, { kind: 'week', of: '2027-04-07' }))[0]).toBe('2027-04-10T14:03');
    expect(times(made(whole, { kind: 'week', of: '2027-03-15' }))).toEqual(['2027-03-16', '2027-03-18']);
  });

  test('begins at another time, is as long as is said, ends earlier', () => {
    expect(times(made(timed, { kind: 'start-time', minute: 540 }))).toEqual([
      '2027-03-27T09:00',
      '2027-03-27T09:55',
    ]);
    expect(times(made(timed, { kind: 'length', minutes: 90 }))[1]).toBe('2027-03-27T15:33');
    expect(times(made(whole, { kind: 'length', minutes: 1440 }))).toEqual(['2027-03-09', '2027-03-10']);
    expect(times(made(timed, { kind: 'trim', minutes: 5 }))[1]).toBe('2027-03-27T14:53');
    expect(refused(timed, { kind: 'trim', minutes: 55 })).toBe('end-before-start');
    expect(refused(whole, { kind: 'trim', minutes: 5 })).toBe('not-timed');
  });

  test('both ends on a grid, and never of no length', () => {
    expect(times(made(timed, { kind: 'round', minutes: 15, way: 'nearest' }))).toEqual([
      '2027-03-27T14:00',
      '2027-03-27T15:00',
    ]);
    const short = event({ start: zoned('2027-03-09T14:01'), end: zoned('2027-03-09T14:04') });
    expect(times(made(short, { kind: 'round', minutes: 30, way: 'earlier' }))).toEqual([
      '2027-03-09T14:00',
      '2027-03-09T14:30',
    ]);
  });

  test('another zone at the same instant, or at the same time of its clock', () => {
    const oslo = made(timed, { kind: 'zone', zone: 'Europe/Oslo', keeps: 'instant' });
    expect([oslo.start, oslo.end]).toEqual([
      zoned('2027-03-27T15:03', 'Europe/Oslo'),
      zoned('2027-03-27T15:58', 'Europe/Oslo'),
    ]);
    const wall = made(timed, { kind: 'zone', zone: 'Europe/Oslo', keeps: 'wall' });
    expect(wall.start).toEqual(zoned('2027-03-27T14:03', 'Europe/Oslo'));
    expect(refused(timed, { kind: 'zone', zone: 'Europe/Nowhere', keeps: 'wall' })).toBe('no-such-zone');
  });

  test('whole days and back: midnight to midnight is one day, and hours are as long as they were', () => {
    const night = event({ start: zoned('2027-03-09T00:00'), end: zoned('2027-03-10T00:00') });
    expect(times(made(night, { kind: 'whole-days' }))).toEqual(['2027-03-09', '2027-03-10']);
    const day = made(timed, { kind: 'whole-days' });
    expect(times(day)).toEqual(['2027-03-27', '2027-03-28']);
    expect(times(made(day, { kind: 'hours', minute: 600, minutes: 30 }))).toEqual([
      '2027-03-27T10:00',
      '2027-03-27T10:55',
    ]);
  });
});

describe('find and replace', () => {
  const step = (find: string, by: string, more: object = {}): BatchStep => ({
    kind: 'replace',
    find,
    by,
    fields: ['title', 'location', 'notes'],
    mode: 'plain',
    matchCase: false,
    ...more,
  });

  test('a place is renamed everywhere, in any case, and what looks like a sign of an expression is none', () => {
    const changed = made(report, step('chart room', 'Lamp room ($1)'));
    expect(changed.location).toBe('Lamp room ($1)');
    expect(changed.notes).toBe('Lamp room ($1), as ever');
    expect(
      made(report, step('chart room', 'Lamp room', { matchCase: true }), { kind: 'importance', to: 5 }),
    ).toMatchObject({
      location: 'Chart room',
    });
  });

  test('whole words alone, also beside letters of other scripts', () => {
    const boats = { ...report, title: 'boat, boathouse, boat-yard, éboat, boat' };
    expect(made(boats, step('boat', 'Ship', { mode: 'words' })).title).toBe(
      'Ship, boathouse, Ship-yard, éboat, Ship',
    );
  });

  test('an expression with its captures, by number and by name', () => {
    const dated = { ...report, title: 'Report 03/2027' };
    expect(made(dated, step('(\\d\\d)/(\\d{4})', '$2-$1', { mode: 'expression' })).title).toBe(
      'Report 2027-03',
    );
    const named = step('(?P<month>\\d\\d)/(?P<year>\\d{4})', '$<year>: $$$<month>', { mode: 'expression' });
    expect(made(dated, named).title).toBe('Report 2027: $03');
  });

  test('an expression that makes others run for ever takes no time', () => {
    const long = { ...report, notes: `${'a'.repeat(50_000)}!` };
    const began = performance.now();
    expect(
      preview(stateWith(long), [{ entryId: long.id }], [step('(a+)+$', 'b', { mode: 'expression' })]).report
        .counts.unchanged,
    ).toBe(1);
    expect(performance.now() - began).toBeLessThan(3000);
  });

  test('what can’t be read is told before anything is done', () => {
    const problem = (find: string, by = '') =>
      batchProblem({ targets: [{ entryId: report.id }], steps: [step(find, by, { mode: 'expression' })] });
    expect(problem('(')).toMatchObject({ kind: 'no-expression', step: 1 });
    expect(problem('(a)', '$2')).toMatchObject({ kind: 'no-expression', reason: 'there is no capture $2' });
    expect(problem('(a)', '$<year>')).toMatchObject({ kind: 'no-expression' });
    expect(problem('(a)', '$1')).toBeUndefined();
  });
});

describe('what a step makes and takes', () => {
  const weekly = series('FREQ=WEEKLY;COUNT=5', { id: 'rota' });
  const moved = event({
    id: 'moved',
    seriesId: 'rota',
    uid: weekly.uid,
    recurrenceId: zoned('2027-03-16T14:00'),
    start: zoned('2027-03-17T09:00'),
    end: zoned('2027-03-17T10:00'),
  });
  const state = stateWith(weekly, moved);
  const after = (
    steps: readonly BatchStep[],
    target: Target = { entryId: 'rota' },
    scope: Scope = 'this',
  ) => {
    const { patch, report: said } = preview(state, [target], steps, scope);
    return { said, next: applyPatch(state, patch) };
  };

  test('a copy in another calendar, to which the later steps are done', () => {
    const { next } = after([
      { kind: 'copy', calendar: 'desk' },
      { kind: 'place', to: 'Boat shed' },
    ]);
    const copies = [...next.entries.values()].filter(({ calendarId }) => calendarId === 'desk');
    expect(copies.map(({ location }) => location)).toEqual(['Boat shed', 'Boat shed']);
    expect(next.entries.get('rota')).toBe(weekly);
  });

  test('a series ends on a date: what comes later goes to the bin, changed occurrences too', () => {
    const { next } = after([{ kind: 'end-series', last: '2027-03-15' }]);
    expect(next.entries.get('rota')!.recurrence!.rules).toEqual(['FREQ=WEEKLY;COUNT=1']);
    expect(next.entries.has('moved')).toBe(false);
    expect(next.bin.has('moved')).toBe(true);
    expect(after([{ kind: 'end-series', last: '2027-05-01' }]).said.counts.unchanged).toBe(1);
    expect(refused(report, { kind: 'end-series', last: '2027-03-15' })).toBe('no-series');
  });

  test('a series becomes single entries, as they were shown', () => {
    const { next } = after([{ kind: 'into-singles' }]);
    const starts = eventsIn(next).map(({ start }) => (start.kind === 'zoned' ? start.local : ''));
    expect(starts.sort()).toEqual([
      '2027-03-09T14:00:00',
      '2027-03-17T09:00:00',
      '2027-03-23T14:00:00',
      '2027-03-30T14:00:00',
      '2027-04-06T14:00:00',
    ]);
    expect([...next.entries.values()].every(({ recurrence, seriesId }) => !recurrence && !seriesId)).toBe(
      true,
    );
    const endless = series('FREQ=WEEKLY', { id: 'endless' });
    expect(refused(endless, { kind: 'into-singles' })).toBe('series-without-end');
  });

  test('one occurrence, the later ones, or all go to the bin', () => {
    const target = { entryId: 'rota', recurrenceKey: '2027-03-23T14:00:00' };
    const dates = ({ entries }: State) => entries.get('rota')?.recurrence;
    expect(dates(after([{ kind: 'delete' }], target).next)!.exceptionDates).toEqual([
      zoned('2027-03-23T14:00'),
    ]);
    expect(dates(after([{ kind: 'delete' }], target, 'later').next)!.rules).toEqual(['FREQ=WEEKLY;COUNT=2']);
    expect(after([{ kind: 'delete' }], target, 'every').next.entries.size).toBe(0);
  });

  test('singles that are alike become a series by the rule that fits most; the others are told', () => {
    const days = ['2027-03-02', '2027-03-09', '2027-03-16', '2027-03-30', '2027-04-06', '2027-04-08'];
    const singles = days.map((day, index) =>
      event({ id: `s${index}`, start: zoned(`${day}T14:00`), end: zoned(`${day}T15:00`) }),
    );
    const other = event({ id: 'other', title: 'Boat check' });
    const before = stateWith(...singles, other);
    const targets = [...singles, other].map(({ id }) => ({ entryId: id }));
    const { patch, report: said } = preview(before, targets, [{ kind: 'into-series' }]);
    const next = applyPatch(before, patch);
    expect(next.entries.get('s0')!.recurrence).toEqual({
      rules: ['FREQ=WEEKLY;COUNT=6;BYDAY=TU'],
      dates: [],
      exceptionDates: [zoned('2027-03-23T14:00')],
    });
    expect([...next.entries.keys()].sort()).toEqual(['other', 's0', 's5']);
    expect(said.rows.filter(({ reason }) => reason === 'fits-no-rule').map(({ key }) => key)).toEqual([
      'other',
      's5',
    ]);
    expect(said.counts.changed).toBe(5);
  });
});

describe('what a batch change leaves alone', () => {
  test('entries of closed calendars, and others’ meetings where their organizer decides', () => {
    const feed = event({ id: 'feed', calendarId: 'rota' });
    const theirs = event({
      id: 'theirs',
      organizer: { address: 'mailto:tobias@fennick.example', parameters: {} },
      attendees: [{ address: 'mailto:juna@fennick.example', parameters: {} }],
    });
    const base = stateWith(feed, theirs);
    const settings = base.settings.get('settings')!;
    const state: State = {
      ...base,
      calendars: new Map([...base.calendars, ['rota', calendar({ id: 'rota', readOnly: true })]]),
      settings: new Map([
        ['settings', { ...settings, addresses: { email: 'Juna@fennick.example', phone: '' } }],
      ]),
    };
    const targets = [{ entryId: 'feed' }, { entryId: 'theirs' }];
    const shift = preview(state, targets, [{ kind: 'shift', days: 1, minutes: 0 }]);
    expect(shift.report.rows.map(({ reason }) => reason)).toEqual(['calendar-closed', 'others-meeting']);
    expect(shift.patch.changes).toEqual([]);
    const filed = preview(state, targets, [{ kind: 'categories', how: 'add', names: ['boat'] }]);
    expect(filed.report.counts).toEqual({ changed: 1, unchanged: 0, impossible: 1 });
    expect(preview(state, targets, [{ kind: 'calendar', calendar: 'rota' }]).report.counts.changed).toBe(0);
  });

  test('where a later step can’t be, none is done', () => {
    const whole = event({ id: 'whole', start: date('2027-03-09'), end: date('2027-03-10') });
    expect(refused(whole, { kind: 'place', to: 'Boat shed' }, { kind: 'trim', minutes: 5 })).toBe(
      'not-timed',
    );
  });

  test('what is as it would be is unchanged, what was taken out is not there, and undo gives all back', () => {
    const [one, two] = [event({ id: 'one', location: 'Boat shed' }), event({ id: 'two' })];
    const state = stateWith(one, two);
    const options = { scopeOf: () => 'this' as const, without: new Set<string>() };
    const targets = [{ entryId: 'one' }, { entryId: 'two' }];
    const steps: BatchStep[] = [{ kind: 'place', to: 'Boat shed' }];
    const { report: said, patch } = previewBatch(state, [{ targets, steps }], options, context());
    expect(said.rows.map(({ outcome }) => outcome)).toEqual(['unchanged', 'changed']);
    expect(said.rows[1]!.changes).toEqual([{ field: 'location', before: '', after: 'Boat shed' }]);
    expect(applyPatch(applyPatch(state, patch), inversePatch(patch))).toEqual(state);
    const without = previewBatch(
      state,
      [{ targets, steps }],
      { ...options, without: new Set(['two']) },
      context(),
    );
    expect(without.report.rows).toHaveLength(1);
  });

  test('nothing to do, nobody to do it to, and a step after all is gone are told', () => {
    expect(batchProblem({ targets: [], steps: [{ kind: 'delete' }] })).toEqual({ kind: 'no-targets' });
    expect(batchProblem({ targets: [{ entryId: 'a' }], steps: [] })).toEqual({ kind: 'no-steps' });
    expect(
      batchProblem({ targets: [{ entryId: 'a' }], steps: [{ kind: 'delete' }, { kind: 'whole-days' }] }),
    ).toEqual({
      kind: 'steps-after',
      step: 'delete',
    });
  });
});
