import { useMemo, useRef } from 'react';
import { create } from 'zustand';
import { LARGEST_FILE, type FileRefusal } from '@/core/interchange/icalendar/problems';
import type { CalendarFile } from '@/core/interchange/icalendar/calendarFile';
import { calendarFiles, useOpenStore, useSettings } from '@/store';

/** How far an import has come. */
export type ImportStep =
  | { kind: 'idle' }
  | { kind: 'reading'; name: string; done: number; total: number }
  | { kind: 'refused'; name: string; reason: FileRefusal | 'failed' }
  | { kind: 'preview'; name: string; file: CalendarFile }
  | { kind: 'saving'; name: string };

export const useImportStep = create<{ step: ImportStep }>()(() => ({ step: { kind: 'idle' } }));
const setStep = (step: ImportStep): void => useImportStep.setState({ step });

/** Reads a file in the engine, step by step; nothing changes until the person says where it goes. */
export function useImport() {
  const { clock, store } = useOpenStore();
  const { homeZone } = useSettings();
  const running = useRef(0);
  return useMemo(
    () => ({
      async read(file: File): Promise<void> {
        const run = ++running.current;
        setStep({ kind: 'reading', name: file.name, done: 0, total: 0 });
        if (file.size > LARGEST_FILE)
          return setStep({ kind: 'refused', name: file.name, reason: 'too-large' });
        try {
          const bytes = new Uint8Array(await file.arrayBuffer());
          const result = await calendarFiles().read(
            bytes,
            {
              zone: homeZone,
              now: clock(),
              calendars: [...store.getSnapshot().state.calendars.values()].map(({ id, name }) => ({
                id,
                name,
              })),
            },
            async (done, total) => {
              const goesOn = running.current === run && useImportStep.getState().step.kind === 'reading';
              if (goesOn) setStep({ kind: 'reading', name: file.name, done, total });
              return goesOn;
            },
          );
          if (running.current !== run || 'cancelled' in result) return;
          setStep(
            'refused' in result
              ? { kind: 'refused', name: file.name, reason: result.refused }
              : { kind: 'preview', name: file.name, file: result.file },
          );
        } catch {
          setStep({ kind: 'refused', name: file.name, reason: 'failed' });
        }
      },
      saving: (name: string) => setStep({ kind: 'saving', name }),
      close: () => setStep({ kind: 'idle' }),
    }),
    [clock, store, homeZone],
  );
}
