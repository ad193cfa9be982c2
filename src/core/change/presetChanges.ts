import { PeriodSet, type PeriodRule } from '../model/periodSet';
import type { State } from '../model/state';
import { type PresetLook, ViewPreset } from '../model/viewPreset';
import { parseKept } from '../model/unknownFields';
import { inOrder, nextOrder, placedAt } from './order';
import { type Change, type ChangeContext, makePatch, type Patch, put, remove } from './patch';

/** The presets in the person's order: the first is `G` `1`. */
export const presetsInOrder = (state: State): ViewPreset[] => inOrder(state.presets.values());

/** The period sets in the order in which they were made. */
export const periodSetsInOrder = (state: State): PeriodSet[] => inOrder(state.periodSets.values());

/** What a person says of a preset. */
export interface PresetFields extends Readonly<PresetLook> {
  readonly name: string;
  readonly fromToday: boolean;
}

/** Another preset that goes by a name already; letters large or small are the same. */
export const presetNamed = (state: State, name: string, exceptId?: string): ViewPreset | undefined =>
  [...state.presets.values()].find(
    (preset) => preset.id !== exceptId && preset.name.trim().toLowerCase() === name.trim().toLowerCase(),
  );

/** Keeps a look under a name, or changes the preset of that id. */
export function savePreset(
  state: State,
  id: string | undefined,
  fields: PresetFields,
  context: ChangeContext,
): Patch {
  const before = id === undefined ? undefined : state.presets.get(id);
  const preset = parseKept(ViewPreset, {
    ...before,
    id: before?.id ?? context.newId(),
    order: before?.order ?? nextOrder(state.presets.values()),
    ...fields,
  });
  return makePatch(context, { what: 'preset-saved', count: 1, name: preset.name }, [
    put(state, 'presets', preset),
  ]);
}

/** Puts a preset one place earlier or later; undefined where there is none. */
export function reorderPreset(
  state: State,
  id: string,
  direction: 1 | -1,
  context: ChangeContext,
): Patch | undefined {
  const presets = presetsInOrder(state);
  const at = presets.findIndex((preset) => preset.id === id);
  const moved = presets[at];
  const changes = placedAt(presets, id, at + direction).map((preset) => put(state, 'presets', preset));
  if (!moved || changes.length === 0) return undefined;
  return makePatch(context, { what: 'presets-changed', count: 1, name: moved.name }, changes);
}

/** Deletes a preset; if Plan opened with it, it opens as at first. */
export function deletePreset(state: State, id: string, context: ChangeContext): Patch | undefined {
  const preset = state.presets.get(id);
  if (!preset) return undefined;
  const settings = state.settings.get('settings');
  const changes: Change[] = [remove('presets', preset)];
  if (settings?.startPresetId === id)
    changes.push(put(state, 'settings', { ...settings, startPresetId: undefined }));
  return makePatch(context, { what: 'preset-deleted', count: 1, name: preset.name }, changes);
}

/** Makes a period set, or changes the one of that id. */
export function savePeriodSet(
  state: State,
  id: string | undefined,
  fields: { readonly name: string; readonly rule: PeriodRule },
  context: ChangeContext,
): Patch {
  const before = id === undefined ? undefined : state.periodSets.get(id);
  const set = parseKept(PeriodSet, {
    ...before,
    id: before?.id ?? context.newId(),
    order: before?.order ?? nextOrder(state.periodSets.values()),
    ...fields,
  });
  return makePatch(context, { what: 'period-set-saved', count: 1, name: set.name }, [
    put(state, 'periodSets', set),
  ]);
}

/** Deletes a period set. Presets that name it stay, and show weeks or months in its place. */
export function deletePeriodSet(state: State, id: string, context: ChangeContext): Patch | undefined {
  const set = state.periodSets.get(id);
  if (!set) return undefined;
  return makePatch(context, { what: 'period-set-deleted', count: 1, name: set.name }, [
    remove('periodSets', set),
  ]);
}
