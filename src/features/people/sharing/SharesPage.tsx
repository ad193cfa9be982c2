import { Pressable, StyleSheet, View } from 'react-native';
import { groupShareId } from '@/core/model/share';
import { accessOf } from '@/core/people/sharing/access';
import { useSnapshot } from '@/store';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Mark } from '@/ui/primitives/Mark';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, sizes, space } from '@/ui/theme/tokens';
import { sharingWords as said } from '@/ui/words/sharing';
import { hueOf, initialsOf } from '../personMark';
import { shareSummary } from './shareSummary';
import { SideHead } from '../SideHead';

/** Who sees what of one's own, colleagues and groups: each leads to where that is chosen. */
export function SharesPage({ onShow, onClose }: { onShow: (id: string) => void; onClose: () => void }) {
  const state = useSnapshot((snapshot) => snapshot.state);
  const colleagues = [...state.people.values()]
    .filter(({ kind }) => kind === 'colleague')
    .sort((a, b) => a.name.localeCompare(b.name));
  const groups = [...new Set(colleagues.flatMap((person) => person.groups))].sort((a, b) =>
    a.localeCompare(b),
  );
  return (
    <View role="region" aria-label={said.title} style={styles.page} testID="shares">
      <SideHead title={said.title} onClose={onClose} />
      <AppText size="small" tone="quiet">
        {said.about}
      </AppText>
      {state.shares.size === 0 ? <AppText>{said.nobody}</AppText> : null}
      <Rows
        title={said.colleagues}
        rows={colleagues.map((person) => ({
          id: person.id,
          name: person.name,
          mark: initialsOf(person),
          hue: hueOf(person),
          text: shareSummary(
            accessOf(state, person),
            state.calendars,
            state.shares.get(person.id)?.acting !== undefined,
          ),
        }))}
        onShow={onShow}
      />
      <Rows
        title={said.groups}
        rows={groups.map((name) => ({
          id: groupShareId(name),
          name,
          mark: initialsOf({ name }),
          hue: hueOf({ name }),
          text: `${said.members(colleagues.filter((person) => person.groups.includes(name)).length)} · ${shareSummary(
            accessOf(state, { id: '', groups: [name] }),
            state.calendars,
            false,
          )}`,
        }))}
        onShow={onShow}
      />
    </View>
  );
}

interface Row {
  readonly id: string;
  readonly name: string;
  readonly mark: string;
  readonly hue: string;
  readonly text: string;
}

function Rows({
  title,
  rows,
  onShow,
}: {
  title: string;
  rows: readonly Row[];
  onShow: (id: string) => void;
}) {
  const { colours } = useTheme();
  if (rows.length === 0) return null;
  return (
    <View role="group" aria-label={title} style={styles.group}>
      <TitleText level={3} size="body">
        {title}
      </TitleText>
      <View style={[styles.rows, { borderColor: colours.line, backgroundColor: colours.card }]}>
        {rows.map(({ id, name, mark, hue, text }) => (
          <Pressable
            key={id}
            role="button"
            aria-label={`${said.choose(name)}. ${text}`}
            onPress={() => onShow(id)}
            style={[styles.row, { borderColor: colours.line }]}
          >
            <Mark mark={mark} colour={hue} />
            <View style={styles.grow}>
              <AppText weight="700">{name}</AppText>
              <AppText size="small" tone="quiet">
                {text}
              </AppText>
            </View>
          </Pressable>
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  page: { gap: space(3) },
  grow: { flex: 1, minWidth: 0 },
  group: { gap: space(2) },
  rows: { borderWidth: hairline, borderBottomWidth: 0, borderRadius: corner },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(3),
    paddingHorizontal: space(3),
    paddingVertical: space(2),
    minHeight: sizes.touchTarget + space(2),
    borderBottomWidth: hairline,
  },
});
