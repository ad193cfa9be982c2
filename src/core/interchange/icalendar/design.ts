import ICAL from 'ical.js';

const text = { defaultType: 'text' };

const several = { multiValue: ',' };

/** How properties are read and written: those of the standard, those of RFC 7986 whose values are texts, and of RFC 9074. */
export const DESIGN = {
  ...ICAL.design.icalendar,
  // Of a conference several features can be named (RFC 7986 6.1 and 6.3).
  param: { ...ICAL.design.icalendar.param, feature: several, display: several },
  property: {
    ...ICAL.design.icalendar.property,
    name: text,
    color: text,
    'x-wr-calname': text,
    'x-orderly-week-trigger': text,
    acknowledged: { defaultType: 'date-time' },
  },
};
