import type { TodoItem } from '@/core/todos/currentTodo';
import { AppIcon } from '@/ui/icons/AppIcon';
import { useTheme } from '@/ui/theme/theme';
import { pageClasses } from '@/ui/pageClasses';
import { fontFamilies, fontSizes } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

/** A small flag with how many to-dos are due on a day; a pointer over it is told which. */
export function DueFlag({ due }: { due: readonly TodoItem[] }) {
  const { colours } = useTheme();
  const titles = due.map(({ todo }) => todo.title || words.entry.noTitle);
  return (
    <span
      aria-hidden
      data-testid="due-flag"
      title={[words.plan.due(due.length), ...titles.slice(0, MOST)].join('\n')}
      className={classes.flag}
      style={{ color: colours.accent }}
    >
      <AppIcon name="flag" size={12} color={colours.accent} />
      {due.length}
    </span>
  );
}

/** So many titles are told. */
const MOST = 8;

const classes = pageClasses('due', {
  flag: {
    display: 'inline-flex',
    alignItems: 'center',
    flexShrink: 0,
    gap: 1,
    fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
    fontSize: fontSizes.small,
    fontWeight: 700,
    fontVariantNumeric: 'tabular-nums',
    lineHeight: '15px',
  },
});
