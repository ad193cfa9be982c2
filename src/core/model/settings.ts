import { z } from 'zod';
import { DEGREES, LONGEST_PLACE } from '../forecast/forecast';

/** Where a working day is spent. */
export const WORKPLACES = ['office', 'home', 'travel'] as const;
export type Workplace = (typeof WORKPLACES)[number];

/** Minutes of a day that are worked. */
export const WorkingSpan = z.object({
  /** Minutes of the wall clock, half-open. */
  from: z.number().int().min(0).max(1440),
  to: z.number().int().min(0).max(1440),
});

export type WorkingSpan = z.infer<typeof WorkingSpan>;

/** One weekday of the working pattern. No spans: a day off. */
export const WorkingDay = z.object({ spans: z.array(WorkingSpan), place: z.enum(WORKPLACES) });
export type WorkingDay = z.infer<typeof WorkingDay>;

/** Hours and place for each weekday, Monday first, with exceptions by date. */
export const WorkingPattern = z.object({
  weekdays: z.array(WorkingDay).length(7),
  exceptions: z.record(z.string(), WorkingDay),
});
export type WorkingPattern = z.infer<typeof WorkingPattern>;

/** Colours that can be chosen whatever the system's scheme, and the hours of a clock: to twelve, or to 23. */
export const COLOUR_SCHEMES = ['light', 'dark'] as const;
export const HOUR_CYCLES = ['h23', 'h12'] as const;

/** A further column of hours in another zone, under a name of the person's own. */
export const ZoneRail = z.object({ zone: z.string().min(1), label: z.string().trim().min(1).max(24) });
export type ZoneRail = z.infer<typeof ZoneRail>;

/** The most zone rails beside the home zone's. */
export const MOST_ZONE_RAILS = 3;

/** When no reminder is heard; what falls due then comes afterwards. */
export const QuietTimes = z.object({
  /** Minutes of the day, over midnight where the end is before the start. */
  hours: WorkingSpan.optional(),
  /** Whether only the working hours are not quiet. */
  onlyWorkingHours: z.boolean(),
  /** Calendars whose reminders are heard at any time. */
  exceptCalendarIds: z.array(z.string()),
});
export type QuietTimes = z.infer<typeof QuietTimes>;

/** Where messages of the person's own go. */
const OwnAddresses = z.object({
  email: z.string().max(254).default(''),
  phone: z.string().max(40).default(''),
  /** What others are told that one is called. */
  name: z.string().max(200).optional(),
});
type OwnAddresses = z.infer<typeof OwnAddresses>;

/** The day's run-down by e-mail: at which minute of the day, and on which ISO weekdays. */
export const RunDownTimes = z.object({
  minute: z.number().int().min(0).max(1439),
  weekdays: z.array(z.number().int().min(1).max(7)),
});
export type RunDownTimes = z.infer<typeof RunDownTimes>;

/** The weather in the day heads: of which places, in which degrees, and which category is outdoors. */
export const WeatherSettings = z.object({
  degrees: z.enum(DEGREES),
  home: z.string().max(LONGEST_PLACE),
  office: z.string().max(LONGEST_PLACE),
  outdoors: z.string().optional(),
});
export type WeatherSettings = z.infer<typeof WeatherSettings>;

export const Settings = z.object({
  id: z.literal('settings'),
  homeZone: z.string().min(1),
  /** What the home zone is called; its city otherwise. */
  homeLabel: z.string().trim().max(24).optional(),
  zoneRails: z.array(ZoneRail).max(MOST_ZONE_RAILS).default([]),
  /** The calendar that new entries go to. */
  targetCalendarId: z.string().optional(),
  workingPattern: WorkingPattern,
  /** The day that weeks begin with, an ISO weekday. */
  weekStart: z.number().int().min(1).max(7).default(1),
  defaultLengthMinutes: z.number().int().min(5).max(1440),
  /** The colours; the system's if not chosen. */
  colourScheme: z.enum(COLOUR_SCHEMES).optional(),
  /** How times are written; as is usual in the person's language and region if not chosen. */
  hourCycle: z.enum(HOUR_CYCLES).optional(),
  /** The preset that Plan opens with. */
  startPresetId: z.string().optional(),
  /** A second calendar system whose dates stand in the day heads (Unicode CLDR name, as Intl takes it). */
  secondCalendarSystem: z.string().optional(),
  /** What was chosen in the entry line where words could be meant in two ways, by the pattern of the words. */
  lineHabits: z.record(z.string().max(40), z.string().max(40)).optional(),
  quiet: QuietTimes.optional(),
  /** Whether reminders with a sound are heard. */
  reminderSound: z.literal(true).optional(),
  addresses: OwnAddresses.optional(),
  runDown: RunDownTimes.optional(),
  /** Whether every entry with people is held online, too: it has a meeting room of its own. */
  onlineWithGuests: z.literal(true).optional(),
  /** Whether invitations that were declined leave no trace; struck through otherwise. */
  dropsDeclined: z.literal(true).optional(),
  /** Not there where no weather is shown. */
  weather: WeatherSettings.optional(),
  /** The wall time that the demo's clock starts from, while the demo data is used. */
  demoNow: z.string().optional(),
});
export type Settings = z.infer<typeof Settings>;
