import { useGlobalSearchParams, useRouter } from 'expo-router';
import { useMemo } from 'react';
import { useWindowDimensions } from 'react-native';
import { VIEWS, type ViewRange } from '@/core/layout/views';
import { DAY, dateString, isRealDate, parseDate } from '@/core/time/civil';
import { instantToWall, isKnownZone } from '@/core/time/zones';
import { useOpenStore, useSettings } from '@/store';
import { WIDE } from '@/ui/theme/tokens';

/** What Plan shows, as its address says: the view, the selected day, how many days, hidden calendars, the zone. */
export interface PlanAddress extends ViewRange {
  readonly hidden: readonly string[];
  /** The zone that the hours are shown in: the home zone, or another for a look. */
  readonly zone: string;
}

const one = (value: string | string[] | undefined): string | undefined =>
  Array.isArray(value) ? value[0] : value;

const isDate = (text: string | undefined): text is string =>
  !!text && /^\d{4}-\d{2}-\d{2}$/.test(text) && isRealDate(text);

/** Reads Plan's address and changes it. What the address leaves out has a default that fits the screen. */
export function usePlanAddress() {
  const parameters = useGlobalSearchParams();
  const router = useRouter();
  const { clock } = useOpenStore();
  const { homeZone } = useSettings();
  const { width } = useWindowDimensions();
  const view = one(parameters.view);
  const date = one(parameters.date);
  const days = one(parameters.days);
  const hide = one(parameters.hide);
  const asked = one(parameters.zone);

  const address = useMemo((): PlanAddress => {
    const zone = asked !== undefined && isKnownZone(asked) ? asked : homeZone;
    const today = Math.floor(instantToWall(zone, clock()) / DAY);
    return {
      view: VIEWS.find((name) => name === view) ?? (width >= WIDE ? 'workdays' : 'days'),
      day: isDate(date) ? parseDate(date) : today,
      dayCount: Math.min(14, Math.max(2, Math.trunc(Number(days)) || 3)),
      hidden: hide ? hide.split(',') : [],
      zone,
    };
  }, [view, date, days, hide, asked, width, homeZone, clock]);

  const change = useMemo(
    () => ({
      to(changes: Partial<PlanAddress>) {
        router.setParams({
          ...(changes.view === undefined ? {} : { view: changes.view }),
          ...(changes.day === undefined ? {} : { date: dateString(changes.day) }),
          ...(changes.dayCount === undefined ? {} : { days: String(changes.dayCount) }),
          ...(changes.hidden === undefined ? {} : { hide: changes.hidden.join(',') || undefined }),
          ...(changes.zone === undefined
            ? {}
            : { zone: changes.zone === homeZone ? undefined : changes.zone }),
        });
      },
    }),
    [router, homeZone],
  );
  return { address, to: change.to };
}
