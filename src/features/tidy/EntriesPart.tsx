import { type ReactNode, useState } from 'react';
import { NO_FILTER } from '@/core/model/look';
import type { TidyLook } from '@/core/tidy/tidyLook';
import { usePlanAddress } from '@/features/workspace';
import { useOpenStore } from '@/store';
import { saveTable } from './saveTable';
import { SelectionBar } from './SelectionBar';
import { EntryTable } from './table/EntryTable';
import { useColumns } from './table/useColumns';
import { useSelecting } from './table/useSelecting';
import { useTableWhole } from './table/useTableRows';
import { TableSheet } from './TableSheet';
import { TidyPrint } from './TidyPrint';
import { TidyTools } from './TidyTools';
import type { useTidyAddress } from './useTidyAddress';
import { useTableQuery } from './useTableQuery';

type Show = ReturnType<typeof useTidyAddress>['show'];

const without = (list: readonly string[], one: string): string[] => list.filter((other) => other !== one);
const toggled = (list: readonly string[], one: string): string[] =>
  list.includes(one) ? without(list, one) : [...list, one];

/** All entries in a table, with what narrows it and what is done with those that are selected. */
export function EntriesPart({
  look,
  show,
  presets,
}: {
  look: TidyLook;
  show: Show;
  /** The button of the kept looks. */
  presets: ReactNode;
}) {
  const { store } = useOpenStore();
  const { to } = usePlanAddress();
  const [folded, setFolded] = useState<readonly string[]>([]);
  const [unfolded, setUnfolded] = useState<readonly string[]>([]);
  const [isSheetOpen, openSheet] = useState(false);
  const [isPrinting, setPrinting] = useState(false);
  const query = useTableQuery(look, folded, unfolded);
  const columns = useColumns(look.sort, (sort) => show({ sort }, { quietly: true }));
  const selecting = useSelecting(query);
  const answer = useTableWhole(query);
  const clear = () => {
    to({ filter: NO_FILTER, hidden: [] }, { quietly: true });
    show({ find: '', span: 'all' });
  };
  return (
    <>
      <TidyTools
        look={look}
        show={show}
        problems={answer?.problems ?? []}
        onTable={() => openSheet(true)}
        presets={presets}
      />
      <EntryTable
        query={query}
        columns={columns}
        selecting={selecting}
        onFold={(id) => setFolded(toggled(folded, id))}
        onUnfold={(key) => setUnfolded(toggled(unfolded, key))}
        onClear={clear}
      />
      <SelectionBar query={query} selecting={selecting} total={answer?.sums.entries ?? 0} />
      {isSheetOpen ? (
        <TableSheet
          look={look}
          show={show}
          columns={columns}
          onSave={() => void saveTable(store, query)}
          onPrint={() => {
            openSheet(false);
            setPrinting(true);
          }}
          onClose={() => openSheet(false)}
        />
      ) : null}
      {isPrinting ? (
        <TidyPrint look={look} query={query} columns={columns} onClose={() => setPrinting(false)} />
      ) : null}
    </>
  );
}
