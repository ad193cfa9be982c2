import type { ReactNode } from 'react';
import { pageClasses } from '@/ui/pageClasses';
import { useWindowDimensions } from 'react-native';
import { useTheme } from '@/ui/theme/theme';
import { fontFamilies, fontSizes, WIDE } from '@/ui/theme/tokens';

/** So many columns have room on a phone. */
const NARROW = 4;

/** A table of figures: a name, then as many figures beside it as there is room for, the first of them first. */
export function FigureTable({
  label,
  head,
  rows,
}: {
  label: string;
  head: readonly string[];
  rows: readonly { readonly key: string; readonly mark?: ReactNode; readonly cells: readonly string[] }[];
}) {
  const { colours } = useTheme();
  const { width } = useWindowDimensions();
  const most = width < WIDE ? NARROW : head.length;
  return (
    <table className={classes.table} style={{ color: colours.ink }} aria-label={label}>
      <thead>
        <tr>
          {head.slice(0, most).map((name, at) => (
            <th
              key={name}
              scope="col"
              className={at === 0 ? classes.name : classes.figure}
              style={{ color: colours.quietInk, borderColor: colours.line }}
            >
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ key, mark, cells }) => (
          <tr key={key} data-testid="figure-row">
            {cells.slice(0, most).map((cell, at) =>
              at === 0 ? (
                <th key={at} scope="row" className={classes.name} style={{ borderColor: colours.line }}>
                  <span className={classes.marked}>
                    {mark}
                    <span>{cell}</span>
                  </span>
                </th>
              ) : (
                <td key={at} className={classes.figure} style={{ borderColor: colours.line }}>
                  {cell}
                </td>
              ),
            )}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const cell = { padding: '6px 8px', borderBottomWidth: 1, borderBottomStyle: 'solid' } as const;

const classes = pageClasses('figures', {
  table: {
    borderCollapse: 'collapse',
    width: '100%',
    fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
    fontSize: fontSizes.body,
    fontVariantNumeric: 'tabular-nums',
  },
  name: { ...cell, textAlign: 'left', fontWeight: 500 },
  figure: { ...cell, textAlign: 'right', fontWeight: 400, whiteSpace: 'nowrap' },
  marked: { display: 'flex', alignItems: 'center', gap: 8 },
});
