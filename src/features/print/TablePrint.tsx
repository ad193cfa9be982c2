import { type ReactNode, useMemo, useState } from 'react';
import { ScrollView, StyleSheet } from 'react-native';
import { PAPER_NAMES, type PaperName, sheetSize } from '@/core/layout/paper';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { ToggleRow } from '@/ui/primitives/ToggleRow';
import { PaperTheme } from '@/ui/theme/theme';
import { space } from '@/ui/theme/tokens';
import { printWords } from '@/ui/words/print';
import type { FlowBlock } from './flowBlocks';
import { FlowSheets } from './FlowSheets';
import { classes } from './printClasses';
import { PrintStage } from './PrintStage';
import { printArea } from './SheetFrame';

/** A table as it is printed. */
export interface PaperTable {
  readonly title: string;
  /** What is left out, and what is summed, in words. */
  readonly about: string;
  /** A picture above the rows, as wide as the sheet has room. */
  readonly picture?: (width: number) => ReactNode;
  /** How much of the width each column takes, beside the others. */
  readonly columns: readonly { readonly label: string; readonly width: number }[];
  /** A heading stands alone in its row. */
  readonly rows: readonly {
    readonly key: string;
    readonly cells: readonly string[];
    readonly isHeading?: boolean;
  }[];
}

const SIDEWAYS = 'isAcross';

/** A table on paper: as many sheets as it needs, its head on each. */
export function TablePrint({
  table,
  failed,
  onClose,
}: {
  /** Undefined while it is worked out. */
  table: PaperTable | undefined;
  failed: boolean;
  onClose: () => void;
}) {
  const [paper, setPaper] = useState<PaperName>('A4');
  const [isAcross, setAcross] = useState(true);
  const sheets = useMemo(() => {
    if (!table) return null;
    const whole = table.columns.reduce((sum, { width }) => sum + width, 0);
    const row = (cells: readonly string[], className: string | undefined) => (
      <div className={className} role="row">
        {cells.map((cell, at) => (
          <div
            key={at}
            className={classes.cell}
            style={{ width: `${(100 * table.columns[at]!.width) / whole}%` }}
          >
            {cell}
          </div>
        ))}
      </div>
    );
    const sheet = sheetSize(paper, isAcross);
    const rows: FlowBlock[] = table.rows.map(({ key, cells, isHeading }) =>
      isHeading
        ? {
            key,
            keepsWithNext: true,
            content: <div className={classes.agendaDay}>{cells.join(' · ')}</div>,
          }
        : { key, keepsWithNext: false, content: row(cells, classes.row) },
    );
    const picture = table.picture?.(printArea(sheet, false).width);
    return (
      <FlowSheets
        blocks={
          picture
            ? [
                {
                  key: 'picture',
                  keepsWithNext: true,
                  isAbove: true,
                  content: <PaperTheme>{picture}</PaperTheme>,
                },
                ...rows,
              ]
            : rows
        }
        head={row(
          table.columns.map(({ label }) => label),
          classes.rowHead,
        )}
        sheet={sheet}
        title={table.title}
        about={table.about}
      />
    );
  }, [table, paper, isAcross]);
  return (
    <PrintStage
      paper={paper}
      isAcross={isAcross}
      sheets={sheets}
      isReady={table !== undefined}
      failed={failed}
      onClose={onClose}
      fields={
        <ScrollView contentContainerStyle={styles.fields}>
          <ChoiceRow
            label={printWords.paper}
            choices={PAPER_NAMES.map((value) => ({ value, label: value }))}
            value={paper}
            onChange={setPaper}
          />
          <ToggleRow
            label={printWords.with}
            choices={[{ value: SIDEWAYS, label: printWords.switches.isAcross }]}
            values={isAcross ? [SIDEWAYS] : []}
            onChange={(values) => setAcross(values.includes(SIDEWAYS))}
          />
        </ScrollView>
      }
    />
  );
}

const styles = StyleSheet.create({ fields: { padding: space(3), gap: space(4) } });
