import { useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { renewAddress, saveShare, type ShareFields } from '@/core/change/sharing/shareChanges';
import { sameValue } from '@/core/change/seriesLike';
import { type Calendar, isReadOnly } from '@/core/model/calendar';
import {
  ACTING,
  type Acting,
  groupOfShare,
  type Share,
  SHARE_DEPTHS,
  type ShareDepth,
} from '@/core/model/share';
import { accessByGroups, accessOf, allowsChanges, type Sharer } from '@/core/people/sharing/access';
import { SecretPage } from '@/features/publish';
import { useCommands } from '@/features/workspace';
import { newSecret, useCalendars, useOpenStore, useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Check } from '@/ui/primitives/Check';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { Mark } from '@/ui/primitives/Mark';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space, WIDE } from '@/ui/theme/tokens';
import { sharingWords as said } from '@/ui/words/sharing';
import { SeenPlan } from './SeenPlan';
import { SideHead } from '../SideHead';

const NOTHING: ShareFields = { depths: {}, mayChange: [] };

/** What a colleague or a group sees of each calendar: chosen, looked at as they see it, and kept. */
export function SharingPage({ id, onClose }: { id: string; onClose: () => void }) {
  const state = useSnapshot((snapshot) => snapshot.state);
  const { commit, context } = useCommands();
  const { store } = useOpenStore();
  const calendars = useCalendars();
  const person = state.people.get(id);
  const group = groupOfShare({ id });
  const kept = state.shares.get(id);
  const [fields, setFields] = useState<ShareFields>(() => fieldsOf(kept));
  const room = useWindowDimensions().width >= WIDE ? 440 : 300;
  const [isSeen, setSeen] = useState(false);
  const name = person?.name ?? group;
  if (name === undefined) return null;
  const sharer: Sharer = person ?? { id, groups: [] };
  const isSaved = sameValue(fieldsOf(kept), fields);
  const acts = [...state.shares.values()].find((share) => share.acting && share.id !== id);
  const save = () => commit(saveShare(store.getSnapshot().state, id, name, fields, context()));
  return (
    <View role="region" aria-label={said.seesTitle(name)} style={styles.page} testID="sharing">
      <SideHead title={said.seesTitle(name)} onClose={onClose} />
      {person ? (
        <ActingField
          name={name}
          other={acts && state.people.get(acts.id)?.name}
          acting={fields.acting}
          onChange={(acting) => {
            const { acting: _, ...rest } = fields;
            setFields(acting ? { ...rest, acting } : rest);
          }}
        />
      ) : null}
      {fields.acting ? null : (
        <View style={styles.calendars}>
          {calendars.map((calendar) => (
            <CalendarDepth
              room={room}
              key={calendar.id}
              calendar={calendar}
              fields={fields}
              byGroups={
                hasGroupShare(state.shares, sharer)
                  ? accessByGroups(state, sharer, calendar.id).depth
                  : undefined
              }
              onChange={setFields}
            />
          ))}
        </View>
      )}
      <View style={styles.actions}>
        <Button
          kind="primary"
          label={isSaved ? said.kept : said.save}
          disabled={isSaved}
          onPress={save}
          testID="keep-share"
        />
        <Button
          icon="calendar-blank-outline"
          label={said.asSeen(name)}
          selected={isSeen}
          onPress={() => setSeen(!isSeen)}
        />
      </View>
      {isSeen ? <SeenPlan name={name} seen={accessOf(state, sharer, fields)} /> : null}
      {person ? <OwnAddress share={kept} name={name} /> : null}
    </View>
  );
}

const fieldsOf = (share: Share | undefined): ShareFields =>
  share
    ? {
        depths: share.depths,
        mayChange: share.mayChange,
        ...(share.acting ? { acting: share.acting } : {}),
      }
    : NOTHING;

const hasGroupShare = (shares: ReadonlyMap<string, Share>, { groups }: Sharer): boolean =>
  [...shares.values()].some((share) => groups.includes(groupOfShare(share) ?? ''));

/** Whether somebody acts for the person, and how. */
function ActingField({
  name,
  other,
  acting,
  onChange,
}: {
  name: string;
  /** Who does now. */
  other: string | undefined;
  acting: Acting | undefined;
  onChange: (acting: Acting | undefined) => void;
}) {
  return (
    <View style={styles.acting}>
      <ChoiceRow
        label={said.acting}
        choices={(['no', ...ACTING] as const).map((value) => ({ value, label: said.actings[value] }))}
        value={acting ?? 'no'}
        onChange={(value) => onChange(value === 'no' ? undefined : value)}
      />
      {acting ? (
        <AppText size="small" tone="quiet">
          {[said.actingAbout(name), other === undefined ? '' : said.takesFrom(other)].join(' ').trim()}
        </AppText>
      ) : null}
    </View>
  );
}

/** How much is seen of one calendar, and whether it may be changed. */
function CalendarDepth({
  room,
  calendar,
  fields: { depths, mayChange, ...rest },
  byGroups,
  onChange,
}: {
  /** How wide its choices may be. */
  room: number;
  calendar: Calendar;
  fields: ShareFields;
  /** What their groups see; undefined where they are in none that sees something. */
  byGroups: ShareDepth | undefined;
  onChange: (fields: ShareFields) => void;
}) {
  const { colours } = useTheme();
  const { id, name } = calendar;
  const own = depths[id];
  const value = own ?? (byGroups === undefined ? 'nothing' : 'groups');
  const choices = byGroups === undefined ? SHARE_DEPTHS : (['groups', ...SHARE_DEPTHS] as const);
  const others = mayChange.filter((each) => each !== id);
  const choose = (depth: ShareDepth | 'groups') => {
    const { [id]: _, ...without } = depths;
    const isNone = depth === 'groups' || (depth === 'nothing' && byGroups === undefined);
    onChange({
      ...rest,
      depths: isNone ? without : { ...without, [id]: depth },
      mayChange: depth !== 'groups' && allowsChanges(depth) ? mayChange : others,
    });
  };
  return (
    <View role="group" aria-label={name} style={[styles.calendar, { borderColor: colours.line }]}>
      <View style={styles.name}>
        <Mark mark={calendar.mark} colour={calendar.colour} />
        <AppText weight="700" style={styles.grow}>
          {name}
        </AppText>
      </View>
      <ChoiceRow
        hideLabel
        label={said.depth(name)}
        room={room}
        choices={choices.map((depth) => ({ value: depth, label: said.depths[depth] }))}
        value={value}
        onChange={choose}
      />
      {value === 'groups' && byGroups ? (
        <AppText size="small" tone="quiet">
          {said.byGroups(byGroups)}
        </AppText>
      ) : null}
      {own && allowsChanges(own) ? (
        isReadOnly(calendar) ? (
          <AppText size="small" tone="quiet">
            {said.closed}
          </AppText>
        ) : (
          <Check
            label={said.mayChangeIn(name)}
            checked={mayChange.includes(id)}
            onChange={(may) => onChange({ ...rest, depths, mayChange: may ? [...others, id] : others })}
          >
            <AppText>{said.mayChange}</AppText>
          </Check>
        )
      ) : null}
    </View>
  );
}

/** The address at which a colleague finds what they see. */
function OwnAddress({ share, name }: { share: Share | undefined; name: string }) {
  const { store } = useOpenStore();
  const { commit, context } = useCommands();
  if (!share?.address)
    return (
      <AppText size="small" tone="quiet">
        {said.addressLater}
      </AppText>
    );
  return (
    <View style={styles.address}>
      <SecretPage token={share.address.token} />
      <Button
        label={said.renew}
        onPress={() => {
          const patch = renewAddress(store.getSnapshot().state, share.id, name, newSecret, context());
          if (patch) commit(patch);
        }}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  page: { gap: space(4) },
  grow: { flex: 1, minWidth: 0 },
  acting: { gap: space(2) },
  calendars: { gap: space(3) },
  calendar: { gap: space(2), borderWidth: hairline, borderRadius: corner, padding: space(3) },
  name: { flexDirection: 'row', alignItems: 'center', gap: space(2) },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
  address: { gap: space(3), alignItems: 'flex-start' },
});
