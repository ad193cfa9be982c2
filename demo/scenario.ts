import type { Calendar } from '@/core/model/calendar';
import type { Settings } from '@/core/model/settings';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import { parseLocal } from '@/core/time/civil';

/** The works office of Fennick Lights Trust. All of it is made up. */
export const HOME_ZONE = 'Europe/Lisbon';
export const TODAY = '2027-03-09';
export const NOW = `${TODAY}T10:20`;

/** The demo's records are as old as this, whenever they are made. */
export const MADE = parseLocal('2026-02-02T08:00');

export type DemoCalendarId = 'desk' | 'meetings' | 'visits' | 'rota' | 'grants' | 'home' | 'daysoff';

const calendar = (
  id: DemoCalendarId,
  order: number,
  name: string,
  mark: string,
  colour: Calendar['colour'],
  description: string,
): Calendar => ({ id, order, name, mark, colour, description, created: MADE, modified: MADE });

export const calendars: Calendar[] = [
  calendar('desk', 1, 'Desk work', 'DW', 'pine', 'Focused office time, reports, orders'),
  calendar('meetings', 2, 'Meetings', 'ME', 'harbour', 'The weekly works round, one-to-ones, supplier calls'),
  calendar('visits', 3, 'Site visits', 'SV', 'rust', 'Inspections by boat or road, with travel time'),
  calendar('rota', 4, 'Keeper rota', 'KR', 'slate', 'Who keeps which light'),
  calendar('grants', 5, 'Grants', 'GR', 'plum', 'Deadlines and report periods'),
  calendar('home', 6, 'Home', 'HO', 'amber', 'Private things'),
  calendar('daysoff', 7, 'Days off', 'DO', 'rose', 'Public and local days off'),
];

const office = (place: 'office' | 'home' | 'travel' = 'office') => ({
  spans: [
    { from: 8 * 60 + 30, to: 12 * 60 + 30 },
    { from: 13 * 60 + 30, to: 17 * 60 },
  ],
  place,
});

/** A five-day week; Wednesdays on the road, Fridays at home, late Thursdays. */
export const settings: Settings = {
  id: 'settings',
  homeZone: HOME_ZONE,
  homeLabel: 'Fennick',
  zoneRails: [{ zone: 'America/Halifax', label: 'Halifax' }],
  targetCalendarId: 'meetings',
  defaultLengthMinutes: 60,
  demoNow: NOW,
  workingPattern: {
    weekdays: [
      office(),
      office(),
      office('travel'),
      {
        spans: [
          { from: 8 * 60, to: 12 * 60 + 30 },
          { from: 13 * 60 + 30, to: 17 * 60 + 30 },
        ],
        place: 'office',
      },
      office('home'),
      ...standardWorkingPattern.weekdays.slice(5),
    ],
    exceptions: {},
  },
};
