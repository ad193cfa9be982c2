/** A column of the hours: a day, or one calendar's part of it. */
export interface HoursColumn {
  readonly day: number;
  readonly calendarId?: string;
}
