import { Fragment, useLayoutEffect, useRef, useState } from 'react';
import { paginate, type SheetSize } from '@/core/layout/paper';
import type { DayRange } from '@/core/layout/views';
import type { ReactNode } from 'react';
import { printWords } from '@/ui/words/print';
import type { FlowBlock } from './flowBlocks';
import { classes } from './printClasses';
import { printArea, SheetFrame } from './SheetFrame';

/** Measures blocks as they will be printed, and parts them into pages. */
function usePages(
  blocks: readonly FlowBlock[],
  area: { readonly width: number; readonly height: number },
  onPages: ((pages: number) => void) | undefined,
) {
  const measure = useRef<HTMLDivElement>(null);
  const [measured, setMeasured] = useState<{
    blocks: readonly FlowBlock[];
    heights: number[];
    head: number;
  }>();
  useLayoutEffect(() => {
    const box = measure.current;
    if (!box) return;
    const [top, ...rest] = [...box.children].map((child) => (child as HTMLElement).offsetHeight);
    setMeasured({ blocks, heights: rest, head: top ?? 0 });
  }, [blocks, area.width]);
  const isMeasured = measured?.blocks === blocks;
  const pages = isMeasured
    ? paginate(
        blocks.map(({ keepsWithNext }, index) => ({ height: measured.heights[index] ?? 0, keepsWithNext })),
        area.height - measured.head,
      )
    : [];
  const count = pages.length;
  useLayoutEffect(() => {
    if (isMeasured) onPages?.(count);
  }, [isMeasured, count, onPages]);
  return { measure, pages };
}

interface FlowSheetsProps {
  blocks: readonly FlowBlock[];
  /** What stands at the top of every page. */
  head?: ReactNode;
  sheet: SheetSize;
  title: string;
  about: string;
  /** The days whose months stand small in the head of each page. */
  months?: DayRange | undefined;
  /** How many pages stand before these. */
  before?: number;
  /** Hears how many pages these are. */
  onPages?: (pages: number) => void;
}

/** Blocks of print over as many sheets as they need: measured first, then dealt out so that none is cut. */
export function FlowSheets({
  blocks,
  head,
  sheet,
  title,
  about,
  months,
  before = 0,
  onPages,
}: FlowSheetsProps) {
  const area = printArea(sheet, months !== undefined);
  const { measure, pages } = usePages(blocks, area, onPages);
  return (
    <>
      <div
        ref={measure}
        aria-hidden
        className={classes.sheet}
        style={{ position: 'absolute', visibility: 'hidden', width: area.width, height: 'auto' }}
      >
        <div>{head}</div>
        {blocks.map(({ key, content }) => (
          <div key={key}>{content}</div>
        ))}
      </div>
      {pages.length === 0 && blocks.length === 0 ? (
        <SheetFrame sheet={sheet} title={title} about={about} months={months} page={1} pages={1}>
          <div style={{ margin: `0 ${sheet.margin}px` }}>{printWords.nothing}</div>
        </SheetFrame>
      ) : null}
      {pages.map(({ from, to }, index) => (
        <SheetFrame
          key={from}
          sheet={sheet}
          title={title}
          about={about}
          months={months}
          page={before + index + 1}
          pages={before + pages.length}
        >
          <div style={{ margin: `0 ${sheet.margin}px` }}>
            {blocks.slice(from, to).map(({ key, content, isAbove }, at) => (
              <Fragment key={key}>
                {at === 0 && !isAbove ? head : null}
                <div data-testid="print-block">{content}</div>
                {isAbove ? head : null}
              </Fragment>
            ))}
          </div>
        </SheetFrame>
      ))}
    </>
  );
}
