import { initialLook, NO_FILTER } from '@/core/model/look';
import type { PeriodSet } from '@/core/model/periodSet';
import type { ViewPreset } from '@/core/model/viewPreset';

/** Reports of the trust go by 4-4-5 weeks from the first Monday of the year. */
export const periodSets: PeriodSet[] = [
  {
    id: 'report-periods',
    name: 'Report periods',
    order: 1,
    rule: { kind: 'pattern', pattern: '4-4-5', start: '2027-01-04' },
  },
];

/** Ways of looking that the works office keeps. */
export const presets: ViewPreset[] = [
  {
    id: 'preset-report',
    name: 'Report period',
    order: 1,
    fromToday: true,
    look: { ...initialLook, view: 'weeks', periodSetId: 'report-periods', hidden: ['home', 'rota'] },
  },
  {
    id: 'preset-site',
    name: 'Out on site',
    order: 2,
    fromToday: false,
    look: {
      ...initialLook,
      view: 'weeks',
      weekCount: 4,
      detail: 'full',
      hidden: ['desk', 'meetings', 'rota', 'grants', 'home'],
    },
  },
  {
    id: 'preset-online',
    name: 'Online calls',
    order: 3,
    fromToday: true,
    look: { ...initialLook, view: 'agenda', filter: { ...NO_FILTER, meeting: 'online' } },
  },
];
