import { MOST_DAYS } from '@/core/layout/views';
import type { Look } from '@/core/model/look';
import type { PlanAddress } from '@/features/workspace';
import { usePeriodSets } from '@/store';
import { SelectField } from '@/ui/primitives/PlatformField';
import { words } from '@/ui/words';
import { shownPeriod } from '../usePlanRange';

type Choices = readonly { value: string; label: string }[];

const numbers = (from: number, to: number): number[] =>
  Array.from({ length: to - from + 1 }, (_, index) => from + index);

/** What a view shows without periods, by its value; `now` is the one that is chosen. */
function plainChoices({ view, dayCount, weekCount }: PlanAddress): { choices: Choices; now: string } | null {
  switch (view) {
    case 'days':
      return {
        choices: numbers(2, MOST_DAYS).map((count) => ({
          value: String(count),
          label: words.plan.dayCount(count),
        })),
        now: String(dayCount),
      };
    case 'weeks':
      return {
        choices: [
          { value: '0', label: words.look.month },
          ...numbers(2, 8).map((count) => ({ value: String(count), label: words.look.weekCount(count) })),
        ],
        now: String(weekCount),
      };
    case 'agenda':
      return { choices: [{ value: 'all', label: words.look.endless }], now: 'all' };
    case 'year':
      return { choices: [{ value: 'all', label: words.look.calendarYear }], now: 'all' };
    case 'day':
    case 'workdays':
    case 'week':
    case 'lanes':
      return null;
  }
}

/** How far a view reaches: so many days or weeks, or a period of a set that it can show. */
export function RangeField({
  address,
  onChange,
}: {
  address: PlanAddress;
  onChange: (look: Partial<Look>) => void;
}) {
  const sets = usePeriodSets().filter((set) => shownPeriod(address.view, set, address.day));
  const plain = plainChoices(address);
  if (!plain) return null;
  const isPeriod = sets.some(({ id }) => id === address.periodSetId);
  return (
    <SelectField
      label={words.look.range}
      value={isPeriod ? address.periodSetId! : plain.now}
      options={[
        ...plain.choices,
        ...sets.map(({ id, name }) => ({ value: id, label: words.look.periods(name) })),
      ]}
      onChange={(value) => {
        if (sets.some(({ id }) => id === value)) onChange({ periodSetId: value });
        else
          onChange({
            periodSetId: undefined,
            ...(address.view === 'days' ? { dayCount: Number(value) } : {}),
            ...(address.view === 'weeks' ? { weekCount: Number(value) as Look['weekCount'] } : {}),
          });
      }}
    />
  );
}
