import { initialSettings } from '../model/initialSettings';
import { calendar, context, event, stateWith } from '../../../testing/samples';
import { mendState } from './mendState';
import { applyPatch } from './patch';

test('calendars that entries name and that are gone are made anew, each with a colour and mark of its own', () => {
  const whole = stateWith(
    event({ id: 'a', calendarId: 'lost' }),
    event({ id: 'b', calendarId: 'gone' }),
    event({ id: 'c', calendarId: 'meetings' }),
  );
  const { patch, mended } = mendState(whole, context(), 'Found again')!;
  const after = applyPatch(whole, patch);
  expect(mended).toEqual({ calendars: 2, unknownZone: undefined });
  expect(after.calendars.get('lost')).toMatchObject({ name: 'Found again 1', mark: 'FA' });
  expect(after.calendars.get('gone')).toMatchObject({ name: 'Found again 2' });
  expect(new Set([...after.calendars.values()].map(({ mark }) => mark)).size).toBe(after.calendars.size);
  expect(new Set([...after.calendars.values()].map(({ colour }) => colour)).size).toBe(after.calendars.size);
  expect(mendState(after, context(), 'Found again')).toBeUndefined();
});

test('a home zone that is not known gives way, and unknown rails go; what else is set stays', () => {
  const settings = {
    ...initialSettings('Nowhere/Atlantis'),
    weekStart: 3,
    zoneRails: [
      { zone: 'Nowhere/Avalon', label: 'Avalon' },
      { zone: 'Europe/Oslo', label: 'Oslo' },
    ],
  };
  const state = {
    ...stateWith(event()),
    calendars: new Map([['meetings', calendar()]]),
    settings: new Map([['settings', settings]]),
  };
  const { patch, mended } = mendState(state, context(), 'Found again')!;
  expect(mended).toEqual({ calendars: 0, unknownZone: 'Nowhere/Atlantis' });
  expect(applyPatch(state, patch).settings.get('settings')).toEqual({
    ...settings,
    homeZone: context().zone,
    zoneRails: [{ zone: 'Europe/Oslo', label: 'Oslo' }],
  });
});
