import { useMemo } from 'react';
import type { Finding } from '@/core/tidy/checks/finding';
import { DAY, MINUTE } from '@/core/time/civil';
import { cityOf, instantToWall } from '@/core/time/zones';
import { useSettings } from '@/store';
import { lengthText, shortDayText, timeText } from '@/ui/dates';
import { checkWords } from '@/ui/words/checks';
import { exchangeWords } from '@/ui/words/exchange';

/** Says why something is a finding, in the person's way of writing times. */
export function useReasons(): (finding: Finding) => string {
  const { homeZone } = useSettings();
  return useMemo(() => {
    const formats = {
      moment: (at: number) => {
        const wall = instantToWall(homeZone, at);
        return `${shortDayText(Math.floor(wall / DAY))}, ${timeText(wall)}`;
      },
      day: shortDayText,
      length: (minutes: number) => lengthText(minutes * MINUTE),
      clock: (minute: number) => timeText(minute * MINUTE),
      size: exchangeWords.attachments.size,
      zone: cityOf,
    };
    return (finding) => checkWords.reason(finding, formats);
  }, [homeZone]);
}
