import { context, stateWith } from '../../../testing/samples';
import { initialLook, type Look } from '../model/look';
import type { State } from '../model/state';
import { changeSettings } from './calendarChanges';
import { applyPatch, inversePatch, type Patch } from './patch';
import {
  deletePeriodSet,
  deletePreset,
  periodSetsInOrder,
  presetsInOrder,
  reorderPreset,
  savePeriodSet,
  savePreset,
} from './presetChanges';

const look: Look = { ...initialLook, view: 'weeks', hidden: ['home'] };
const made = context();
const keep = (state: State, name: string): State =>
  applyPatch(state, savePreset(state, undefined, { name, look, fromToday: true }, made));
const three = keep(keep(keep(stateWith(), 'Month end'), 'Site weeks'), 'Home');
const names = (state: State) => presetsInOrder(state).map(({ name }) => name);
const idOf = (state: State, name: string) => presetsInOrder(state).find((preset) => preset.name === name)!.id;

test('presets are kept in the order in which they are made, and can be put in another', () => {
  expect(names(three)).toEqual(['Month end', 'Site weeks', 'Home']);
  const patch = reorderPreset(three, idOf(three, 'Home'), -1, made) as Patch;
  const moved = applyPatch(three, patch);
  expect(names(moved)).toEqual(['Month end', 'Home', 'Site weeks']);
  expect(names(applyPatch(moved, inversePatch(patch)))).toEqual(names(three));
  expect(reorderPreset(three, idOf(three, 'Month end'), -1, made)).toBeUndefined();
});

test('a preset is renamed and kept anew in its place', () => {
  const id = idOf(three, 'Site weeks');
  const again = applyPatch(
    three,
    savePreset(three, id, { name: 'Boats', look: { ...look, view: 'year' }, fromToday: false }, made),
  );
  expect(names(again)).toEqual(['Month end', 'Boats', 'Home']);
  expect(again.presets.get(id)).toMatchObject({ look: { view: 'year' }, fromToday: false });
});

test('the start preset that is deleted is start preset no more, and undo brings both back', () => {
  const id = idOf(three, 'Home');
  const started = applyPatch(three, changeSettings(three, { startPresetId: id }, made));
  const patch = deletePreset(started, id, made) as Patch;
  const without = applyPatch(started, patch);
  expect(names(without)).toEqual(['Month end', 'Site weeks']);
  expect(without.settings.get('settings')!.startPresetId).toBeUndefined();
  const back = applyPatch(without, inversePatch(patch));
  expect(names(back)).toEqual(names(three));
  expect(back.settings.get('settings')!.startPresetId).toBe(id);
  expect(deletePreset(without, id, made)).toBeUndefined();
});

test('period sets are made, changed and deleted', () => {
  const state = stateWith();
  const rule = { kind: 'pattern' as const, pattern: '4-4-5' as const, start: '2027-01-04' };
  const one = applyPatch(state, savePeriodSet(state, undefined, { name: 'Report periods', rule }, made));
  const [set] = periodSetsInOrder(one);
  expect(set).toMatchObject({ name: 'Report periods', rule });
  const renamed = applyPatch(one, savePeriodSet(one, set!.id, { name: 'Reports', rule }, made));
  expect(periodSetsInOrder(renamed).map(({ name }) => name)).toEqual(['Reports']);
  const none = applyPatch(renamed, deletePeriodSet(renamed, set!.id, made) as Patch);
  expect(periodSetsInOrder(none)).toEqual([]);
});
