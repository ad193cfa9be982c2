import { Suspense } from 'react';
import type { PaperTable } from '@/features/print';
import { useBackCloses } from '@/ui/backCloses';
import { later } from '@/ui/later';
import { ModalLayer } from '@/ui/primitives/ModalLayer';
import { webProps } from '@/ui/web';
import { tidyWords } from '@/ui/words/tidy';

const tablePrint = later(() => import('@/features/print').then((module) => module.TablePrint));

/** A table as it is printed, over the page until it is closed. */
export function PaperLayer({
  table,
  failed,
  onClose,
}: {
  table: PaperTable | undefined;
  failed: boolean;
  onClose: () => void;
}) {
  useBackCloses(onClose);
  return (
    <ModalLayer label={tidyWords.print} onClose={onClose}>
      <div
        style={{ display: 'flex', flex: 1, minHeight: 0 }}
        {...webProps({
          onKeyDownCapture: (event) => {
            if (event.key !== 'Escape') return;
            event.stopPropagation();
            onClose();
          },
        })}
      >
        <Suspense fallback={null}>
          <tablePrint.Later table={table} failed={failed} onClose={onClose} />
        </Suspense>
      </div>
    </ModalLayer>
  );
}
