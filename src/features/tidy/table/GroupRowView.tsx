import type { GroupRow, TableQuery } from '@/core/tidy/table/tableQuery';
import { AppIcon } from '@/ui/icons/AppIcon';
import { useTheme } from '@/ui/theme/theme';
import { tidyWords } from '@/ui/words/tidy';
import { type CellNames, groupText } from './cells';
import { sumsText } from './SumsLine';
import { tableClasses } from './tableClasses';

/** A row that gathers others, with what they come to; pressed, it folds. */
export function GroupRowView({
  group,
  index,
  top,
  height,
  query,
  names,
  isActive,
  onFold,
}: {
  group: GroupRow;
  index: number;
  top: number;
  height: number;
  query: TableQuery;
  names: CellNames;
  isActive: boolean;
  onFold: (id: string) => void;
}) {
  const { colours } = useTheme();
  const name = groupText(query.group!, group.value, names, query.periods);
  return (
    <div
      role="row"
      aria-rowindex={index + 2}
      aria-level={1}
      aria-expanded={!group.isFolded}
      data-row={index}
      data-testid="table-group"
      tabIndex={isActive ? 0 : -1}
      className={tableClasses.row}
      onClick={() => onFold(group.id)}
      style={{
        transform: `translateY(${top}px)`,
        height,
        borderColor: colours.line,
        color: colours.ink,
        backgroundColor: colours.page,
        cursor: 'pointer',
      }}
    >
      <div
        role="gridcell"
        className={tableClasses.group}
        aria-label={(group.isFolded ? tidyWords.unfoldGroup : tidyWords.foldGroup)(name)}
      >
        <AppIcon name={group.isFolded ? 'chevron-right' : 'chevron-down'} size={18} color={colours.ink} />
        <span className={tableClasses.cut} style={{ fontWeight: 700 }}>
          {name}
        </span>
        <span className={tableClasses.cut} style={{ color: colours.quietInk, fontSize: 13 }}>
          {sumsText(group.sums).join(' · ')}
        </span>
      </div>
    </div>
  );
}
