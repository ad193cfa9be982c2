import { FEED_HOST } from '@/core/feeds/feedHost';
import type { Calendar, FeedSource } from '@/core/model/calendar';
import type { Category } from '@/core/model/category';
import type { Settings } from '@/core/model/settings';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import { DAY, parseLocal } from '@/core/time/civil';

/** The works office of Fennick Lights Trust. All of it is made up. */
export const HOME_ZONE = 'Europe/Lisbon';
export const TODAY = '2027-03-09';
const NOW = `${TODAY}T10:20`;

/** The demo's records are as old as this, whenever they are made. */
export const MADE = parseLocal('2026-02-02T08:00');

export type DemoCalendarId =
  'desk' | 'meetings' | 'visits' | 'rota' | 'grants' | 'home' | 'daysoff' | 'boats' | 'inspections';

const calendar = (
  id: DemoCalendarId,
  order: number,
  name: string,
  mark: string,
  colour: Calendar['colour'],
  description: string,
  feed?: string,
): Calendar => ({
  id,
  order,
  name,
  mark,
  colour,
  description,
  created: MADE,
  modified: MADE,
  ...(feed === undefined ? {} : { feed: feedOf(feed) }),
});

/** A feed of the feed host that ships with the server, read shortly before the demo's present. */
const feedOf = (path: string): FeedSource => ({
  address: `http://${FEED_HOST}/${path}`,
  everyMinutes: 1440,
  withReminders: false,
  withAttachments: false,
  tried: READ,
  refreshed: READ,
});

/** When the demo's feeds were read last: two hours before its present. */
const READ = Date.parse(`${TODAY}T08:20:00Z`);

/** The boat bookings have vanished from their host. */
function withTrouble(made: Calendar): Calendar {
  if (made.id !== 'boats' || !made.feed) return made;
  const since = Date.parse('2027-01-14T07:00:00Z');
  return {
    ...made,
    feed: {
      ...made.feed,
      refreshed: since - DAY,
      problem: { code: 'vanished', detail: '410', since },
    },
  };
}

export const calendars: Calendar[] = [
  calendar('desk', 1, 'Desk work', 'DW', 'pine', 'Focused office time, reports, orders'),
  calendar('meetings', 2, 'Meetings', 'ME', 'harbour', 'The weekly works round, one-to-ones, supplier calls'),
  calendar('visits', 3, 'Site visits', 'SV', 'rust', 'Inspections by boat or road, with travel time'),
  calendar('rota', 4, 'Keeper rota', 'KR', 'slate', 'Who keeps which light', 'rota.ics'),
  calendar('grants', 5, 'Grants', 'GR', 'plum', 'Deadlines and report periods'),
  calendar('home', 6, 'Home', 'HO', 'amber', 'Private things'),
  calendar('daysoff', 7, 'Days off', 'DO', 'rose', 'Public and local days off', 'days-off.ics'),
  {
    ...calendar(
      'boats',
      8,
      'Old boat bookings',
      'BB',
      'cocoa',
      'Kept by the harbour until last year',
      'gone.ics',
    ),
    unlisted: true as const,
  },
  {
    ...calendar(
      'inspections',
      9,
      'Inspections',
      'IN',
      'clay',
      'Last summer’s; could be one with Site visits',
    ),
    unlisted: true as const,
  },
].map(withTrouble);

/** Categories that have a colour of their own. */
export const categories: Category[] = [{ id: 'demo-category-deadline', name: 'deadline', colour: 'rust' }];

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
  addresses: { email: 'juna.marsh@fennick.example', phone: '', name: 'Juna Marsh' },
  defaultLengthMinutes: 60,
  weekStart: 1,
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
