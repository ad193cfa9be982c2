import { useRouter } from 'expo-router';
import { changeSettings } from '@/core/change/calendarChanges';
import type { Calendar } from '@/core/model/calendar';
import { colleagueOfLane } from '@/core/people/busy/colleagueOccurrences';
import { PLACE_PATHS, useCommands, usePlanAddress } from '@/features/workspace';
import { useOpenStore, useSettings } from '@/store';
import { MenuItem } from '@/ui/primitives/MenuItem';
import { type Anchor, Popover } from '@/ui/primitives/Popover';
import { words } from '@/ui/words';
import type { Showing } from './showing';

/** What can be done with a calendar from its chip. */
export function ChipMenu({
  calendar,
  anchor,
  calendars,
  hidden,
  onHiddenChange,
  onClose,
}: Showing & {
  calendar: Calendar;
  anchor: Anchor;
  onClose: () => void;
}) {
  const router = useRouter();
  const { store } = useOpenStore();
  const { context, commit } = useCommands();
  const { targetCalendarId } = useSettings();
  const { address, to } = usePlanAddress();
  const act = (action: () => void) => () => {
    action();
    onClose();
  };
  const colleague = colleagueOfLane(calendar.id);
  if (colleague !== undefined)
    return (
      <Popover anchor={anchor} label={calendar.name} onClose={onClose}>
        <MenuItem
          label={words.chips.colleaguePage}
          onPress={act(() => router.push({ pathname: PLACE_PATHS.people, params: { who: colleague } }))}
        />
        <MenuItem
          label={words.chips.colleagueOut}
          onPress={act(() =>
            to({
              colleagues: address.colleagues.filter((id) => id !== colleague),
              hidden: hidden.filter((id) => id !== calendar.id),
            }),
          )}
        />
      </Popover>
    );
  const onlyOne = calendars.length - hidden.length === 1 && !hidden.includes(calendar.id);
  const onAlone = () => onHiddenChange(calendars.filter(({ id }) => id !== calendar.id).map(({ id }) => id));
  const onAll = () => onHiddenChange([]);
  const isTarget = targetCalendarId === calendar.id;
  return (
    <Popover anchor={anchor} label={calendar.name} onClose={onClose}>
      <MenuItem
        label={onlyOne ? words.chips.all : words.chips.alone}
        onPress={act(onlyOne ? onAll : onAlone)}
      />
      {onlyOne ? null : <MenuItem label={words.chips.all} onPress={act(onAll)} />}
      <MenuItem
        disabled={isTarget}
        label={isTarget ? words.chips.isTarget : words.chips.target}
        onPress={act(() =>
          commit(changeSettings(store.getSnapshot().state, { targetCalendarId: calendar.id }, context())),
        )}
      />
      <MenuItem
        label={words.chips.details}
        onPress={act(() => router.push({ pathname: PLACE_PATHS.setup, params: { calendar: calendar.id } }))}
      />
    </Popover>
  );
}
