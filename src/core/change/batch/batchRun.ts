import { FIELD_NAMES, type FieldName } from '../../fields/eventFields';
import { isReadOnly } from '../../model/calendar';
import type { CalendarEvent } from '../../model/entry';
import type { State } from '../../model/state';
import { isWholeSeries, standing } from '../editEach';
import type { ChangeContext, Patch } from '../patch';
import { editTarget } from '../scopes';
import { sameValue } from '../seriesLike';
import { isRefusal, type Refusal } from '../shift';
import { eventAt, isRecurring, masterOf, type Scope, type Target, targetKey } from '../target';
import { UnitOfWork } from '../unitOfWork';
import { type BatchStep, LAST_STEPS, type StepKind } from '../../model/batchStep';
import {
  applyStep,
  type EventStep,
  isEventStep,
  ORGANIZERS_STEPS,
  type StepTools,
  stepTools,
} from './eventSteps';
import { intoSeries } from './intoSeries';
import { ExpressionError, replacerOf } from './replaceText';
import { copyStep, deleteStep, endSeriesStep, type Left, singlesStep } from './seriesSteps';

/** What becomes of a chosen entry. */
export const OUTCOMES = ['changed', 'unchanged', 'impossible'] as const;
export type Outcome = (typeof OUTCOMES)[number];

/** A field before and after. */
export interface FieldChange {
  readonly field: FieldName;
  readonly before: unknown;
  readonly after: unknown;
}

/** What a batch change does to one of the chosen, or why it can't. */
export interface BatchRow {
  /** The `targetKey` of what was chosen; of a series whose every occurrence changes, of one of those chosen. */
  readonly key: string;
  readonly title: string;
  readonly calendarId: string;
  readonly outcome: Outcome;
  readonly reason?: Refusal;
  /** Which occurrences change, where it is one of a series. */
  readonly scope?: Scope;
  readonly changes: readonly FieldChange[];
  /** What is done beside fields that change: it is copied, goes to the bin, ends, becomes a series or single entries. */
  readonly deeds: readonly StepKind[];
}

/** What a batch change would do. */
export interface BatchReport {
  readonly rows: readonly BatchRow[];
  readonly counts: Readonly<Record<Outcome, number>>;
}

/** How a batch change is done. */
export interface BatchOptions {
  /** Which occurrences of a series change where one of them was chosen, by the id of the series. */
  readonly scopeOf: (seriesId: string) => Scope;
  /** Keys of targets that were taken out. */
  readonly without?: ReadonlySet<string>;
}

/** Why a batch change can't be done at all. */
export type BatchProblem =
  | { readonly kind: 'no-targets' }
  | { readonly kind: 'no-steps' }
  /** A step after which nothing is left stands before another. */
  | { readonly kind: 'steps-after'; readonly step: StepKind }
  | { readonly kind: 'no-expression'; readonly step: number; readonly reason: string };

/** What is wrong with steps or targets, if it is; found before anything is done. */
export function batchProblem(
  targets: readonly Target[],
  steps: readonly BatchStep[],
): BatchProblem | undefined {
  if (steps.length === 0) return { kind: 'no-steps' };
  if (targets.length === 0) return { kind: 'no-targets' };
  for (const [index, step] of steps.entries()) {
    if (LAST_STEPS.includes(step.kind) && index < steps.length - 1)
      return { kind: 'steps-after', step: step.kind };
    if (step.kind !== 'replace') continue;
    try {
      replacerOf(step);
    } catch (error) {
      if (!(error instanceof ExpressionError)) throw error;
      return { kind: 'no-expression', step: index + 1, reason: error.reason };
    }
  }
  return undefined;
}

/** The fields in which an event differs from what it was, as a person sees them. */
const fieldChanges = (before: CalendarEvent, after: CalendarEvent): FieldChange[] =>
  FIELD_NAMES.filter((field) => field !== 'timedMinutes' && !sameValue(before[field], after[field])).map(
    (field) => ({ field, before: before[field], after: after[field] }),
  );

/** Steps that follow each other and are done to a target at once, or one that is done by itself. */
type Part = readonly EventStep[] | Exclude<BatchStep, EventStep>;

function partsOf(steps: readonly BatchStep[]): Part[] {
  const parts: Part[] = [];
  for (const step of steps) {
    const last = parts.at(-1);
    if (!isEventStep(step)) parts.push(step);
    else if (Array.isArray(last)) parts[parts.length - 1] = [...(last as EventStep[]), step];
    else parts.push([step]);
  }
  return parts;
}

/**
 * A batch change while it is worked out, so many of its targets at a time: what it does to each, and in the end one patch.
 * Nothing of the state changes before that is committed. The order of the targets does not matter.
 */
export class BatchRun {
  private readonly work: UnitOfWork;
  private readonly parts: readonly Part[];
  private readonly queue: readonly Target[];
  private readonly tools: StepTools;
  private readonly rows: BatchRow[] = [];
  private readonly own: string | undefined;
  private at = 0;

  constructor(
    private readonly state: State,
    targets: readonly Target[],
    private readonly steps: readonly BatchStep[],
    private readonly options: BatchOptions,
    private readonly context: ChangeContext,
  ) {
    this.work = new UnitOfWork(state, context);
    this.parts = partsOf(steps);
    const chosen = targets.filter((target) => !options.without?.has(targetKey(target)));
    const inOrder = chosen.sort((a, b) => (targetKey(a) < targetKey(b) ? -1 : 1));
    this.queue = standing(state, inOrder, (target) => this.scopeAt(target));
    this.tools = stepTools(state, context.zone);
    const email = state.settings.get('settings')?.addresses?.email.trim().toLowerCase();
    this.own = email === '' ? undefined : email;
  }

  /** How many targets there are in all, and how many are done. */
  get progress(): { readonly done: number; readonly all: number } {
    return { done: this.at, all: this.queue.length };
  }

  /** Does the next targets; whether any are left. */
  advance(count: number): boolean {
    const end = Math.min(this.queue.length, this.at + count);
    for (; this.at < end; this.at++) this.rows.push(this.one(this.queue[this.at]!));
    return this.at < this.queue.length;
  }

  /** What it does, and the patch that does it: once all targets are done. */
  result(name?: string): { readonly report: BatchReport; readonly patch: Patch } {
    const rows = this.steps.at(-1)?.kind === 'into-series' ? this.joined() : this.rows;
    const counts = { changed: 0, unchanged: 0, impossible: 0 };
    for (const { outcome } of rows) counts[outcome]++;
    const summary = {
      what: name === undefined ? ('entries-batch' as const) : ('entries-by-recipe' as const),
      count: counts.changed,
      ...(name === undefined ? {} : { name }),
      ...(counts.impossible > 0 ? { left: counts.impossible } : {}),
    };
    return { report: { rows, counts }, patch: this.work.patch(summary) };
  }

  private scopeAt(target: Target): Scope {
    if (isWholeSeries(this.state, target)) return 'every';
    const master = masterOf(this.state, target);
    return master?.recurrence ? this.options.scopeOf(master.id) : 'this';
  }

  /** Does all parts to one target: all of them, or where one can't be done none. */
  private one(target: Target): BatchRow {
    const scope = this.scopeAt(target);
    const shown = eventAt(this.work.state, target, this.context);
    const row = {
      key: targetKey(target),
      title: shown?.title ?? '',
      calendarId: shown?.calendarId ?? '',
      ...(isRecurring(this.state, target) ? { scope } : {}),
      changes: [] as readonly FieldChange[],
      deeds: [] as readonly StepKind[],
    };
    const refuse = (reason: Refusal): BatchRow => ({ ...row, outcome: 'impossible', reason });
    if (!shown) return refuse('entry-missing');
    const closed = this.closed(shown);
    if (closed) return refuse(closed);
    const draft = new UnitOfWork(this.work.state, this.context);
    const deeds: StepKind[] = [];
    const changes: FieldChange[] = [];
    let targets: readonly Target[] = [target];
    for (const part of this.parts) {
      const left: Target[] = [];
      for (const each of targets) {
        const done = this.part(draft, each, part, scope, changes, deeds);
        if (isRefusal(done)) return refuse(done);
        left.push(...done);
      }
      targets = left;
    }
    const drafted = draft.changes();
    if (drafted.length === 0) return { ...row, outcome: 'unchanged' };
    this.work.add(drafted);
    return { ...row, outcome: 'changed', changes, deeds };
  }

  private part(
    draft: UnitOfWork,
    target: Target,
    part: Part,
    scope: Scope,
    changes: FieldChange[],
    deeds: StepKind[],
  ): Left {
    if (!('kind' in part)) return this.edit(draft, target, part, scope, changes);
    const note = (left: Left): Left => {
      deeds.push(part.kind);
      return left;
    };
    switch (part.kind) {
      case 'copy':
        return note(copyStep(draft, target, part));
      case 'delete':
        return note(deleteStep(draft, target, scope));
      case 'end-series': {
        const before = draft.changes().length;
        const left = endSeriesStep(draft, target, part);
        return draft.changes().length > before ? note(left) : left;
      }
      case 'into-singles':
        return note(singlesStep(draft, target, part));
      case 'into-series':
        // Done to all of them together, in the end.
        return [target];
    }
  }

  /** Edits what stands at a target by steps, one upon the other. What they leave as it was is not touched. */
  private edit(
    draft: UnitOfWork,
    target: Target,
    steps: readonly EventStep[],
    scope: Scope,
    changes: FieldChange[],
  ): Left {
    let found: readonly FieldChange[] = [];
    const editing = (before: CalendarEvent): CalendarEvent | Refusal => {
      let after = before;
      for (const step of steps) {
        const made = applyStep(after, step, this.tools);
        if (isRefusal(made)) return made;
        after = made;
      }
      found = fieldChanges(before, after);
      return after;
    };
    const edited = editTarget(draft.state, target, scope, editing, this.context);
    if (isRefusal(edited)) return edited;
    if (found.length === 0) return [target];
    draft.add(edited.changes);
    changes.push(...found);
    return [edited.landed ?? target];
  }

  /** Why an entry can't be changed, whatever is done to it. */
  private closed(event: CalendarEvent): Refusal | undefined {
    const isCopied = this.steps[0]?.kind === 'copy';
    if (isReadOnly(this.state.calendars.get(event.calendarId)) && !isCopied) return 'calendar-closed';
    if (isCopied || !this.isOthers(event)) return undefined;
    return this.steps.some(({ kind }) => ORGANIZERS_STEPS.has(kind)) ? 'others-meeting' : undefined;
  }

  /** Whether somebody else invites to it, as far as one's own address is known. */
  private isOthers({ organizer, attendees = [] }: CalendarEvent): boolean {
    const address = (uri: string): string => uri.replace(/^mailto:/i, '').toLowerCase();
    return (
      this.own !== undefined &&
      organizer !== undefined &&
      address(organizer.address) !== this.own &&
      attendees.some((attendee) => address(attendee.address) === this.own)
    );
  }

  /** Makes series of what is left, and says of each what became of it. */
  private joined(): BatchRow[] {
    const able = this.rows.filter(({ outcome }) => outcome !== 'impossible');
    const joined = intoSeries(
      this.work,
      able.map(({ key }) => ({ entryId: key })),
    );
    return this.rows.map((row): BatchRow => {
      if (row.outcome === 'impossible') return row;
      if (joined.has(row.key)) return { ...row, outcome: 'changed', deeds: [...row.deeds, 'into-series'] };
      return row.outcome === 'changed' ? row : { ...row, outcome: 'impossible', reason: 'fits-no-rule' };
    });
  }
}

/** Works a batch change out at once. */
export function previewBatch(
  state: State,
  targets: readonly Target[],
  steps: readonly BatchStep[],
  options: BatchOptions,
  context: ChangeContext,
): { readonly report: BatchReport; readonly patch: Patch } {
  const run = new BatchRun(state, targets, steps, options, context);
  run.advance(Infinity);
  return run.result();
}
