import { type ReactNode, useEffect, useState } from 'react';
import { createPortal } from 'react-dom';
import type { PrintOptions } from './printOptions';

/** The sheets as the printer sees them: beside the application, which is left out of print. */
export function PrintedSheets({
  paper,
  isAcross,
  children,
}: Pick<PrintOptions, 'paper' | 'isAcross'> & { children: ReactNode }) {
  const [host] = useState(() => {
    const made = document.createElement('div');
    made.className = 'printed-sheets';
    return made;
  });
  useEffect(() => {
    const style = document.createElement('style');
    style.textContent = `
      .print-sheet { margin-bottom: 24px; box-shadow: 0 1px 6px rgba(0,0,0,.3); }
      .printed-sheets { position: absolute; left: 0; top: 0; height: 0; overflow: hidden; visibility: hidden; }
      @page { size: ${paper} ${isAcross ? 'landscape' : 'portrait'}; margin: 0; }
      @media print {
        html, body { height: auto !important; overflow: visible !important; background: #fff !important; }
        body > :not(.printed-sheets) { display: none !important; }
        .printed-sheets { position: static; height: auto; overflow: visible; visibility: visible; }
        .printed-sheets .print-sheet { margin: 0; box-shadow: none; break-after: page; break-inside: avoid;
          -webkit-print-color-adjust: exact; print-color-adjust: exact; }
        .printed-sheets .print-sheet:last-child { break-after: auto; }
      }`;
    document.head.append(style);
    document.body.append(host);
    return () => {
      style.remove();
      host.remove();
    };
  }, [host, paper, isAcross]);
  return createPortal(children, host);
}
