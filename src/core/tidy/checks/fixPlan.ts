import { sameValue } from '../../change/seriesLike';
import type { BatchStep } from '../../model/batchStep';
import type { Finding, FixPart } from './finding';

/**
 * The fixes of some findings as one batch change: each entry stands in one part. What goes to the bin is not changed first,
 * and a step that two findings propose is done once.
 */
export function fixPlan(findings: readonly Pick<Finding, 'fix'>[]): FixPart[] {
  const stepsOf = new Map<string, BatchStep[]>();
  for (const { fix = [] } of findings)
    for (const { keys, steps } of fix)
      for (const key of keys) {
        const known = stepsOf.get(key) ?? [];
        stepsOf.set(key, [
          ...known,
          ...steps.filter((step) => !known.some((other) => sameValue(other, step))),
        ]);
      }
  const parts = new Map<string, { keys: string[]; steps: readonly BatchStep[] }>();
  for (const [key, all] of stepsOf) {
    const gone = all.find(({ kind }) => kind === 'delete');
    const steps = gone ? [gone] : all;
    const id = JSON.stringify(steps);
    const part = parts.get(id);
    if (part) part.keys.push(key);
    else parts.set(id, { keys: [key], steps });
  }
  return [...parts.values()];
}
