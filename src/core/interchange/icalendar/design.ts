import ICAL from 'ical.js';

const text = { defaultType: 'text' };

/** How properties are read and written: those of the standard, those of RFC 7986 whose values are texts, and of RFC 9074. */
export const DESIGN = {
  ...ICAL.design.icalendar,
  property: {
    ...ICAL.design.icalendar.property,
    name: text,
    color: text,
    'x-wr-calname': text,
    'x-orderly-week-trigger': text,
    acknowledged: { defaultType: 'date-time' },
  },
};
