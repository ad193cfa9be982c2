import fc from 'fast-check';
import type { WorkingDay } from '@/core/model/settings';
import { setupWords } from '@/ui/words/setup';
import { dayOfDraft, draftOfDay, workingDayForm } from './workingDayDraft';

const office = (...spans: [number, number][]): WorkingDay => ({
  place: 'office',
  spans: spans.map(([from, to]) => ({ from, to })),
});
const before = office([510, 750], [810, 1020]);

test('a day is shown as it is kept, and kept as it is shown', () => {
  expect(draftOfDay(before)).toEqual({
    place: 'office',
    spans: [
      { from: '08:30', to: '12:30' },
      { from: '13:30', to: '17:00' },
    ],
  });
  const days = fc
    .uniqueArray(fc.integer({ min: 0, max: 1440 }), { minLength: 2, maxLength: 8 })
    .map((minutes) => {
      const sorted = minutes.sort((a, b) => a - b);
      return office(
        ...Array.from({ length: Math.floor(sorted.length / 2) }, (_, index): [number, number] => [
          sorted[2 * index]!,
          sorted[2 * index + 1]!,
        ]),
      );
    });
  fc.assert(fc.property(days, (day) => expect(dayOfDraft(draftOfDay(day), before)).toEqual({ day })));
});

test('midnight ends a day, hours come in order, and a day that is not worked keeps its place', () => {
  const late = {
    place: 'travel' as const,
    spans: [
      { from: '18:00', to: '00:00' },
      { from: '07:00', to: '09:30' },
    ],
  };
  expect(dayOfDraft(late, before)).toEqual({
    day: {
      place: 'travel',
      spans: [
        { from: 420, to: 570 },
        { from: 1080, to: 1440 },
      ],
    },
  });
  expect(dayOfDraft({ ...late, place: 'off' }, before)).toEqual({ day: { place: 'office', spans: [] } });
  expect(draftOfDay(office()).place).toBe('off');
});

test.each([
  ['backwards', [{ from: '12:00', to: '08:00' }]],
  ['backwards', [{ from: '12:00', to: '12:00' }]],
  ['time', [{ from: '', to: '12:00' }]],
  [
    'overlap',
    [
      { from: '08:00', to: '12:30' },
      { from: '12:00', to: '17:00' },
    ],
  ],
] as const)('%s hours are not kept', (problem, spans) => {
  expect(dayOfDraft({ place: 'office', spans }, before)).toEqual({ problem });
});

test('the form of a day says the day once its hours can be kept, else what is wrong with them together', () => {
  const form = workingDayForm(before);
  const spans = [
    { from: '13:00', to: '17:00' },
    { from: '08:00', to: '12:00' },
  ];
  expect(form.parse({ place: 'home', spans })).toEqual({
    place: 'home',
    spans: [
      { from: 480, to: 720 },
      { from: 780, to: 1020 },
    ],
  });
  const { error } = form.safeParse({ place: 'home', spans: [{ from: '12:00', to: '08:00' }] });
  expect(error?.issues.map(({ path, message }) => [path, message])).toEqual([
    [['hours'], setupWords.working.problems.backwards],
  ]);
  expect(form.parse({ place: 'off', spans: [{ from: '', to: '' }] })).toEqual({
    place: before.place,
    spans: [],
  });
});
