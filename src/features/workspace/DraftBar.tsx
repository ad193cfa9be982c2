import { StyleSheet, View } from 'react-native';
import { DAY } from '@/core/time/civil';
import { wallOf } from '@/core/time/eventTime';
import { shortDayText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { type Editing, useWorkspace, workspace } from './workspace';

const titleOf = ({ fields, typed }: Editing): string =>
  (typeof typed?.title === 'string' ? typed.title : fields.title).trim() || words.entry.noTitle;

/** What was being written when something else was begun: to go on with, or to throw away. */
export function DraftBar() {
  const { colours } = useTheme();
  const aside = useWorkspace((state) => state.aside);
  const latest = aside.at(-1);
  if (!latest) return null;
  const title = titleOf(latest);
  return (
    <View
      role="region"
      aria-label={words.editor.unfinished}
      testID="draft-bar"
      style={[styles.bar, { backgroundColor: colours.accentTint, borderColor: colours.accent }]}
    >
      <AppText numberOfLines={1} style={styles.text}>
        <AppText weight="700">{`${words.editor.unfinished}: ${title}`}</AppText>
        {` · ${shortDayText(Math.floor(wallOf(latest.fields.start) / DAY))}`}
        {aside.length > 1 ? ` ${words.reminder.others(aside.length - 1)}` : ''}
      </AppText>
      <Button
        label={words.editor.goOnWith(title)}
        shown={words.editor.goOn}
        onPress={() => workspace.takeUp(latest)}
      />
      <Button
        icon="close"
        iconOnly
        kind="quiet"
        label={words.editor.throwAway(title)}
        onPress={() => workspace.throwAway(latest)}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  bar: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(2),
    borderWidth: hairline,
    borderRadius: corner,
    paddingLeft: space(3),
    marginBottom: space(1),
  },
  text: { flex: 1 },
});
