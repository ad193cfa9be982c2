import { useMemo } from 'react';
import type { ColumnMapping } from '@/core/interchange/csv/columns';
import type { DateOrder } from '@/core/interchange/csv/dates';
import { filesLeft } from '@/features/workspace';
import { calendarFiles, useOpenStore, useSettings } from '@/store';
import { readBackup, readFiles, stepAfter, titleOf } from './importReaders';
import { runImport, stopRunning } from './importRun';
import { type ImportedFile, setStep, useImportStep } from './importStep';

/** Reads files in a worker, step by step; nothing changes until the person says where it goes. */
export function useImport() {
  const { clock, store } = useOpenStore();
  const { homeZone, defaultLengthMinutes } = useSettings();
  return useMemo(
    () => ({
      /** Reads calendar files, tables, archives of these, or one backup. */
      async read(given: readonly File[]): Promise<void> {
        const files = await filesLeft(given);
        const [first] = files;
        if (!first) return;
        await runImport(first.name, async (goesOn) => {
          if (files.length === 1 && /\.json$/i.test(first.name)) return readBackup(first);
          const calendars = [...store.getSnapshot().state.calendars.values()];
          const gathered = await readFiles(files, { zone: homeZone, now: clock(), calendars }, goesOn);
          // What was read has arrived in this task: it is shown in the next one.
          await new Promise((resolve) => setTimeout(resolve));
          return gathered && stepAfter(gathered);
        });
      },
      /** Takes a table's entries, its columns being confirmed, and goes on. */
      async takeTable(mapping: ColumnMapping, dateOrder: DateOrder): Promise<void> {
        const { step } = useImportStep.getState();
        if (step.kind !== 'table') return;
        const { name, read, gathered } = step;
        await runImport(name, async () => {
          const options = { mapping, dateOrder, zone: homeZone, defaultLengthMinutes, now: clock() };
          const { events, todos, problems } = await calendarFiles().readTableEvents(read.table, options);
          const part: ImportedFile = {
            name,
            title: titleOf(name),
            description: '',
            colour: undefined,
            preserved: undefined,
            events,
            todos,
            files: new Map(),
            problems: problems.map((problem) => ({ form: 'csv' as const, ...problem })),
          };
          return stepAfter({ ...gathered, parts: [...gathered.parts, part] });
        });
      },
      saving: () => setStep({ kind: 'saving' }),
      close: () => {
        setStep({ kind: 'idle' });
        void stopRunning();
      },
    }),
    [clock, store, homeZone, defaultLengthMinutes],
  );
}
