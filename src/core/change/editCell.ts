import { BatchStep } from '../model/batchStep';
import type { Entry } from '../model/entry';
import type { State } from '../model/state';
import { applyStep, isEventStep, stepTools } from './batch/eventSteps';
import { editEach, madeOfEach } from './editEach';
import type { ChangeResult } from './eventFields';
import type { ChangeContext } from './patch';
import type { Refusal } from './shift';
import type { Target } from './target';
import { namesIn } from '../fields/nameList';

/** The plain values of an entry that are written where they stand. */
export const CELLS = ['title', 'place', 'category', 'calendar', 'availability', 'visibility'] as const;
export type Cell = (typeof CELLS)[number];

/** The step that writes into a cell; undefined for a text that its field can't hold. Titles are written by themselves. */
function stepOf(cell: Exclude<Cell, 'title'>, text: string): BatchStep | undefined {
  const written = {
    place: { kind: 'place', to: text.trim() },
    category: { kind: 'categories', how: 'set', names: namesIn(text) },
    calendar: { kind: 'calendar', calendar: text },
    availability: { kind: 'availability', to: text },
    visibility: { kind: 'visibility', to: text },
  }[cell];
  return BatchStep.safeParse(written).data;
}

/** What is written into a cell, in an event. */
function written(
  event: Entry,
  cell: Cell,
  text: string,
  state: State,
  context: ChangeContext,
): Entry | Refusal {
  if (cell === 'title') return { ...event, title: text.trim() };
  const step = stepOf(cell, text);
  return step && isEventStep(step) ? applyStep(event, step, stepTools(state, context.zone)) : event;
}

/** Writes into one plain value of an entry: a series as a whole, an occurrence alone. */
export function editCell(
  state: State,
  target: Target,
  cell: Cell,
  text: string,
  context: ChangeContext,
): ChangeResult {
  const edited = editEach(
    state,
    [target],
    'this',
    (event) => written(event, cell, text, state, context),
    context,
  );
  const name = state.entries.get(target.entryId)?.title;
  return madeOfEach(edited, { what: 'entry-changed', name });
}
