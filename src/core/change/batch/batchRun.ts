import { type EntryFieldName, fieldsOf, valueOf } from '../../fields/fieldsOf';
import { isReadOnly } from '../../model/calendar';
import type { Entry } from '../../model/entry';
import type { State } from '../../model/state';
import { isWholeSeries, standing } from '../editEach';
import type { ChangeContext, Patch } from '../patch';
import { editTarget } from '../scopes';
import { sameValue } from '../seriesLike';
import { isRefusal, type Refusal } from '../shift';
import { entryAt, isRecurring, masterOf, type Scope, type Target, targetKey } from '../target';
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
import {
  asSeriesStep,
  copyStep,
  deleteStep,
  doneStep,
  endSeriesStep,
  type Left,
  singlesStep,
} from './seriesSteps';
import { plainAddress } from '../../model/emailAddress';

/** What becomes of a chosen entry. */
export type Outcome = 'changed' | 'unchanged' | 'impossible';

/** A field before and after. */
export interface FieldChange {
  readonly field: EntryFieldName;
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

/** Steps, and what they are done to. */
export interface BatchPart {
  readonly targets: readonly Target[];
  readonly steps: readonly BatchStep[];
}

/** What is wrong with steps or targets, if it is; found before anything is done. */
export function batchProblem({ targets, steps }: BatchPart): BatchProblem | undefined {
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

/** What follows from other fields, and is not said by itself. */
const FOLLOWING: ReadonlySet<EntryFieldName> = new Set<EntryFieldName>([
  'timedMinutes',
  'hasStart',
  'isNeverDue',
]);

/** The fields in which an entry differs from what it was, as a person sees them. */
const fieldChanges = (before: Entry, after: Entry): FieldChange[] =>
  fieldsOf(before.kind).names.flatMap((field) => {
    const [old, next] = [valueOf(before, field), valueOf(after, field)];
    return FOLLOWING.has(field) || sameValue(old, next) ? [] : [{ field, before: old, after: next }];
  });

/** Steps that follow each other and are done to a target at once, or one that is done by itself. */
type Deed = readonly EventStep[] | Exclude<BatchStep, EventStep>;

function deedsOf(steps: readonly BatchStep[]): Deed[] {
  const deeds: Deed[] = [];
  for (const step of steps) {
    const last = deeds.at(-1);
    if (!isEventStep(step)) deeds.push(step);
    else if (Array.isArray(last)) deeds[deeds.length - 1] = [...(last as EventStep[]), step];
    else deeds.push([step]);
  }
  return deeds;
}

/** A part while it is done, and what became of its targets so far. */
interface Job {
  readonly steps: readonly BatchStep[];
  readonly deeds: readonly Deed[];
  readonly rows: BatchRow[];
}

/**
 * A batch change while it is worked out, so many of its targets at a time: what it does to each, and in the end one patch.
 * Nothing of the state changes before that is committed. Parts follow each other; the order of a part's targets does not
 * matter.
 */
export class BatchRun {
  private readonly work: UnitOfWork;
  private readonly jobs: readonly Job[];
  private readonly queue: readonly { readonly target: Target; readonly job: Job }[];
  private readonly tools: StepTools;
  private readonly own: string | undefined;
  private at = 0;

  constructor(
    private readonly state: State,
    parts: readonly BatchPart[],
    private readonly options: BatchOptions,
    private readonly context: ChangeContext,
  ) {
    this.work = new UnitOfWork(state, context);
    this.jobs = parts.map(({ steps }) => ({ steps, deeds: deedsOf(steps), rows: [] }));
    this.queue = parts.flatMap(({ targets }, index) => {
      const chosen = targets.filter((target) => !options.without?.has(targetKey(target)));
      const inOrder = chosen.sort((a, b) => (targetKey(a) < targetKey(b) ? -1 : 1));
      const job = this.jobs[index]!;
      return standing(state, inOrder, (target) => this.scopeAt(target)).map((target) => ({ target, job }));
    });
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
    for (; this.at < end; this.at++) {
      const { target, job } = this.queue[this.at]!;
      job.rows.push(this.one(target, job));
    }
    return this.at < this.queue.length;
  }

  /** What it does, and the patch that does it: once all targets are done. */
  result(name?: string): { readonly report: BatchReport; readonly patch: Patch } {
    const rows = this.jobs.flatMap((job) =>
      job.steps.at(-1)?.kind === 'into-series' ? this.joined(job.rows) : job.rows,
    );
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

  /** Does all steps of its part to one target: all of them, or where one can't be done none. */
  private one(target: Target, { steps, deeds: all }: Job): BatchRow {
    const scope = this.scopeAt(target);
    const shown = entryAt(this.work.state, target, this.context);
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
    const closed = this.closed(shown, steps);
    if (closed) return refuse(closed);
    const draft = new UnitOfWork(this.work.state, this.context);
    const deeds: StepKind[] = [];
    const changes: FieldChange[] = [];
    let targets: readonly Target[] = [target];
    for (const deed of all) {
      const left: Target[] = [];
      for (const each of targets) {
        const done = this.deed(draft, each, deed, scope, changes, deeds);
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

  private deed(
    draft: UnitOfWork,
    target: Target,
    deed: Deed,
    scope: Scope,
    changes: FieldChange[],
    deeds: StepKind[],
  ): Left {
    if (!('kind' in deed)) return this.edit(draft, target, deed, scope, changes);
    const note = (left: Left): Left => {
      deeds.push(deed.kind);
      return left;
    };
    switch (deed.kind) {
      case 'copy':
        return note(copyStep(draft, target, deed));
      case 'delete':
        return note(deleteStep(draft, target, scope));
      case 'done':
      case 'as-series':
      case 'end-series': {
        const before = draft.changes().length;
        const left =
          deed.kind === 'done'
            ? doneStep(draft, target, deed)
            : deed.kind === 'end-series'
              ? endSeriesStep(draft, target, deed)
              : asSeriesStep(draft, target);
        return draft.changes().length > before ? note(left) : left;
      }
      case 'into-singles':
        return note(singlesStep(draft, target, deed));
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
    const editing = (before: Entry): Entry | Refusal => {
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
  private closed(event: Entry, steps: readonly BatchStep[]): Refusal | undefined {
    const isCopied = steps[0]?.kind === 'copy';
    if (isReadOnly(this.state.calendars.get(event.calendarId)) && !isCopied) return 'calendar-closed';
    if (isCopied || !this.isOthers(event)) return undefined;
    return steps.some(({ kind }) => ORGANIZERS_STEPS.has(kind)) ? 'others-meeting' : undefined;
  }

  /** Whether somebody else invites to it, as far as one's own address is known. */
  private isOthers({ organizer, attendees = [] }: Entry): boolean {
    return (
      this.own !== undefined &&
      organizer !== undefined &&
      plainAddress(organizer.address) !== this.own &&
      attendees.some((attendee) => plainAddress(attendee.address) === this.own)
    );
  }

  /** Makes series of what is left, and says of each what became of it. */
  private joined(rows: readonly BatchRow[]): BatchRow[] {
    const able = rows.filter(({ outcome }) => outcome !== 'impossible');
    const joined = intoSeries(
      this.work,
      able.map(({ key }) => ({ entryId: key })),
    );
    return rows.map((row): BatchRow => {
      if (row.outcome === 'impossible') return row;
      if (joined.has(row.key)) return { ...row, outcome: 'changed', deeds: [...row.deeds, 'into-series'] };
      return row.outcome === 'changed' ? row : { ...row, outcome: 'impossible', reason: 'fits-no-rule' };
    });
  }
}

/** Works a batch change out at once. */
export function previewBatch(
  state: State,
  parts: readonly BatchPart[],
  options: BatchOptions,
  context: ChangeContext,
): { readonly report: BatchReport; readonly patch: Patch } {
  const run = new BatchRun(state, parts, options, context);
  run.advance(Infinity);
  return run.result();
}
