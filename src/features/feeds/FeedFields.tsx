import { FEED_INTERVALS, type FeedOptions } from '@/core/model/calendar';
import { SelectField } from '@/ui/primitives/PlatformField';
import { ToggleRow } from '@/ui/primitives/ToggleRow';
import { exchangeWords } from '@/ui/words/exchange';

const said = exchangeWords.feeds;

export const USUAL_FEED: FeedOptions = { everyMinutes: 1440, withReminders: false, withAttachments: false };

const PARTS = ['withReminders', 'withAttachments'] as const;

export function FeedFields({
  options,
  onChange,
}: {
  options: FeedOptions;
  onChange: (options: FeedOptions) => void;
}) {
  return (
    <>
      <SelectField
        label={said.every}
        value={String(options.everyMinutes)}
        options={FEED_INTERVALS.map((minutes) => ({
          value: String(minutes),
          label: said.intervals[minutes],
        }))}
        onChange={(value) => {
          const everyMinutes = FEED_INTERVALS.find((minutes) => String(minutes) === value);
          if (everyMinutes) onChange({ ...options, everyMinutes });
        }}
        testID="feed-interval"
      />
      <ToggleRow
        label={said.parts}
        choices={PARTS.map((value) => ({ value, label: said[value] }))}
        values={PARTS.filter((part) => options[part])}
        onChange={(values) =>
          onChange({
            ...options,
            withReminders: values.includes('withReminders'),
            withAttachments: values.includes('withAttachments'),
          })
        }
      />
    </>
  );
}
