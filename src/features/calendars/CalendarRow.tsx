import { useRef, useState, type RefObject } from 'react';
import { StyleSheet, View } from 'react-native';
import { type Calendar, isReadOnly, type Publication } from '@/core/model/calendar';
import { feedState, useFeeds } from '@/features/feeds';
import { useSettings } from '@/store';
import { AppIcon } from '@/ui/icons/AppIcon';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { MenuItem } from '@/ui/primitives/MenuItem';
import { Mark } from '@/ui/primitives/Mark';
import { type Anchor, anchorOf, Popover } from '@/ui/primitives/Popover';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, sizes, space } from '@/ui/theme/tokens';
import { webProps, webStyle } from '@/ui/web';
import { words } from '@/ui/words';
import { exchangeWords } from '@/ui/words/exchange';

/** What can be done to a calendar from its row. */
export type CalendarAction = 'edit' | 'target' | 'export' | 'publish' | 'merge' | 'delete' | 'up' | 'down';

const said = exchangeWords.calendars;

interface CalendarRowProps {
  calendar: Calendar;
  count: number;
  isTarget: boolean;
  /** How far it is dragged, in pixels. */
  offset: number;
  onAction: (action: CalendarAction) => void;
}

/** A calendar of the list: what it is, how it stands with it, and what can be done with it. */
export function CalendarRow({ calendar, count, isTarget, offset, onAction }: CalendarRowProps) {
  const { colours } = useTheme();
  const { homeZone } = useSettings();
  const { refreshAloud } = useFeeds();
  const more = useRef<View>(null);
  const [anchor, setAnchor] = useState<Anchor | null>(null);
  const state = calendar.feed && feedState(calendar.feed, homeZone);
  const isClosed = isReadOnly(calendar);
  const { publication } = calendar;
  const act = (action: CalendarAction) => () => {
    setAnchor(null);
    onAction(action);
  };
  return (
    <View
      role="group"
      aria-label={calendar.name}
      {...webProps({ dataSet: { reorderRow: calendar.id } })}
      style={[
        styles.row,
        { backgroundColor: colours.card, borderColor: colours.line },
        offset === 0
          ? null
          : [
              styles.dragged,
              webStyle({ boxShadow: '0 6px 20px rgba(0,0,0,0.22)' }),
              { transform: [{ translateY: offset }] },
            ],
      ]}
    >
      <RowName
        calendar={calendar}
        onAction={onAction}
        count={count}
        isTarget={isTarget}
        isClosed={isClosed}
        publication={publication}
        state={state}
      />
      <RowActions
        calendar={calendar}
        refreshAloud={refreshAloud}
        act={act}
        more={more}
        setAnchor={setAnchor}
      />
      {anchor ? (
        <RowMenu
          anchor={anchor}
          calendar={calendar}
          isTarget={isTarget}
          onClose={() => setAnchor(null)}
          act={act}
        />
      ) : null}
    </View>
  );
}

/** What else can be done with a calendar. */
function RowMenu({
  anchor,
  calendar,
  isTarget,
  onClose,
  act,
}: {
  anchor: Anchor;
  calendar: Calendar;
  isTarget: boolean;
  onClose: () => void;
  act: (action: CalendarAction) => () => void;
}) {
  const menu: { action: CalendarAction; label: string; isShown: boolean }[] = [
    { action: 'target', label: words.calendars.makeTarget, isShown: !isReadOnly(calendar) && !isTarget },
    { action: 'up', label: said.up, isShown: true },
    { action: 'down', label: said.down, isShown: true },
    { action: 'export', label: `${words.calendars.export} …`, isShown: true },
    { action: 'publish', label: `${exchangeWords.publish.action} …`, isShown: !calendar.feed },
    { action: 'merge', label: `${exchangeWords.merge.action} …`, isShown: true },
    { action: 'delete', label: `${words.calendars.delete} …`, isShown: true },
  ];
  return (
    <Popover anchor={anchor} label={said.more(calendar.name)} onClose={onClose}>
      {menu
        .filter(({ isShown }) => isShown)
        .map(({ action, label }) => (
          <MenuItem
            key={action}
            kind={action === 'delete' ? 'danger' : 'plain'}
            label={label}
            onPress={act(action)}
          />
        ))}
    </Popover>
  );
}

/** What can be done with a calendar. */
function RowActions({
  calendar,
  refreshAloud,
  act,
  more,
  setAnchor,
}: {
  calendar: Calendar;
  refreshAloud: (calendarId: string) => Promise<void>;
  act: (action: CalendarAction) => () => void;
  more: RefObject<View | null>;
  setAnchor: (next: Anchor | null) => void;
}) {
  return (
    <View style={styles.actions}>
      {calendar.feed ? (
        <Button
          icon="refresh"
          iconOnly
          label={exchangeWords.feeds.refreshOf(calendar.name)}
          onPress={() => void refreshAloud(calendar.id)}
        />
      ) : null}
      <Button
        icon="pencil-outline"
        iconOnly
        label={words.calendars.edit(calendar.name)}
        onPress={act('edit')}
      />
      <Button
        ref={more}
        icon="dots-vertical"
        iconOnly
        label={said.more(calendar.name)}
        onPress={() => setAnchor(anchorOf(more.current))}
      />
    </View>
  );
}

interface RowNameProps {
  calendar: Calendar;
  onAction: (action: CalendarAction) => void;
  count: number;
  isTarget: boolean;
  isClosed: boolean;
  publication: Publication | undefined;
  state: { text: string; isProblem: boolean } | undefined;
}

/** What a calendar is called, and how it stands with it. */
function RowName({ calendar, onAction, count, isTarget, isClosed, publication, state }: RowNameProps) {
  const { colours } = useTheme();
  return (
    <View style={styles.name}>
      <View
        role="button"
        tabIndex={0}
        aria-label={said.move(calendar.name)}
        {...webProps({
          dataSet: { reorder: '' },
          onKeyDown: (event) => {
            if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
            event.preventDefault();
            event.stopPropagation();
            onAction(event.key === 'ArrowUp' ? 'up' : 'down');
          },
        })}
        style={[styles.handle, webStyle({ touchAction: 'none', cursor: 'grab' })]}
      >
        <AppIcon name="drag-vertical" size={20} color={colours.quietInk} />
      </View>
      <Mark mark={calendar.mark} colour={calendar.colour} />
      <View style={styles.shrink}>
        <AppText size="large" weight="700" numberOfLines={1}>
          {calendar.name}
        </AppText>
        <AppText size="small" tone="quiet" numberOfLines={2}>
          {[
            words.calendars.entries(count),
            isTarget ? words.calendars.target : '',
            calendar.unlisted ? said.put : '',
            isClosed && !calendar.feed ? said.closed : '',
            calendar.countsAsFree ? said.countsFree : '',
            publication
              ? exchangeWords.publish.levelSays(exchangeWords.publish.levels[publication.level])
              : '',
            calendar.description,
          ]
            .filter(Boolean)
            .join(' · ')}
        </AppText>
        {state ? (
          <AppText size="small" tone={state.isProblem ? 'error' : 'quiet'} numberOfLines={3}>
            {state.text}
          </AppText>
        ) : null}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: space(2),
    padding: space(3),
    paddingLeft: space(1),
    borderWidth: hairline,
    borderRadius: corner,
  },
  dragged: { zIndex: 5 },
  name: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(2),
    flexGrow: 1,
    flexBasis: 200,
    flexShrink: 1,
  },
  handle: { width: 28, height: sizes.target, alignItems: 'center', justifyContent: 'center' },
  shrink: { flexShrink: 1, paddingLeft: space(1) },
  actions: { flexDirection: 'row', gap: space(2), paddingLeft: space(2) },
});
