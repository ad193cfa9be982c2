import { initialLook } from '@/core/model/look';
import type { State } from '@/core/model/state';
import { words } from '@/ui/words';
import { stateWith } from '../../../../testing/samples';
import { presetName } from './presetName';

const kept = {
  id: 'site',
  name: 'Out on site',
  order: 1,
  fromToday: true,
  look: { ...initialLook, view: 'weeks' as const },
};
const state = (): State => ({ ...stateWith(), presets: new Map([['site', kept]]) });
const problemOf = (name: string, exceptId?: string) =>
  presetName(state, exceptId).safeParse(name).error?.issues[0]?.message;

test('a preset has a name, without the blanks round it', () => {
  expect(presetName(state).parse('  Report period ')).toBe('Report period');
  expect(problemOf('   ')).toBe(words.presets.nameMissing);
});

test('no two presets go by one name, whatever its letters; one may keep its own', () => {
  expect(problemOf(' out on SITE')).toBe(words.presets.nameTaken('out on SITE'));
  expect(problemOf('Out on Site', 'site')).toBeUndefined();
});

test('a name is asked about at the moment in which it is given', () => {
  let now = stateWith();
  const schema = presetName(() => now);
  expect(schema.safeParse('Out on site').success).toBe(true);
  now = state();
  expect(schema.safeParse('Out on site').success).toBe(false);
});
