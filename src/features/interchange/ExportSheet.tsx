import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { isFilterEmpty } from '@/core/schedule/entryFilter';
import { chosenEntries } from '@/core/schedule/exportChoice';
import type { EntryFilter } from '@/core/model/look';
import { dateString, isRealDate, parseDate } from '@/core/time/civil';
import { useCommands } from '@/features/workspace';
import { useCalendars, useDaysQuery, useEngineAnswer, useNowWall, useOpenStore, useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { DateField } from '@/ui/primitives/dates/DateField';
import { SelectField } from '@/ui/primitives/PlatformField';
import { Sheet } from '@/ui/primitives/Sheet';
import { ToggleRow } from '@/ui/primitives/ToggleRow';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { exchangeWords } from '@/ui/words/exchange';
import { EXPORT_FORMS, exportEntries, type ExportForm } from './files';

const said = exchangeWords.export;
const ALL = '';
const DAY_MS = 86_400_000;

/** What of the look of Plan can be taken over into a file. */
export interface ExportLook {
  readonly filter: EntryFilter;
  readonly filterText: string;
  readonly hidden: readonly string[];
  readonly firstDay: number;
}

/** Saves entries as a calendar file or a table: of one calendar or all, as filtered, of a range of days. */
export function ExportSheet({
  calendarId,
  look,
  onClose,
}: {
  calendarId?: string | undefined;
  look?: ExportLook | undefined;
  onClose: () => void;
}) {
  const { store } = useOpenStore();
  const calendars = useCalendars();
  const { context, refuse } = useCommands();
  const entries = useSnapshot(({ state }) => state.entries);
  const today = Math.floor(useNowWall() / DAY_MS);
  const canFilter = look !== undefined && (!isFilterEmpty(look.filter) || look.hidden.length > 0);
  const [form, setForm] = useState<ExportForm>('ics');
  const [which, setWhich] = useState(calendarId ?? ALL);
  const [options, setOptions] = useState<readonly string[]>(canFilter ? ['filter', 'files'] : ['files']);
  const [from, setFrom] = useState(() => dateString(look?.firstDay ?? today));
  const [to, setTo] = useState(() => dateString((look?.firstDay ?? today) + 27));
  const isFiltered = canFilter && options.includes('filter');
  const hasRange = options.includes('range');
  const isDate = (text: string) => /^\d{4}-\d\d-\d\d$/.test(text) && isRealDate(text);
  const isRangeRight = isDate(from) && isDate(to) && from <= to;
  const query = useDaysQuery({
    hiddenCalendarIds: isFiltered ? look.hidden : [],
    ...(isFiltered ? { filter: look.filter } : {}),
  });
  const range = useEngineAnswer(
    [
      'days',
      {
        ...query,
        unlistedCalendarIds: [],
        firstDay: isRangeRight ? parseDate(from) : 0,
        endDay: isRangeRight ? parseDate(to) + 1 : 1,
      },
    ],
    { enabled: hasRange && isRangeRight },
  );
  const occurring = useMemo(
    () => new Set((range.data?.occurrences ?? []).flatMap(({ entryId, key }) => [entryId, key])),
    [range.data],
  );
  const events = useMemo(
    () =>
      chosenEntries(entries.values(), {
        calendarId: which || undefined,
        ...(isFiltered ? { hiddenCalendarIds: look.hidden, filter: look.filter } : {}),
        ...(hasRange ? { occurring } : {}),
      }),
    [entries, which, isFiltered, look, hasRange, occurring],
  );
  const hasFiles = events.some(({ attachments }) => attachments);
  const isReady = !hasRange || (isRangeRight && range.data !== undefined && !range.isPlaceholderData);
  const go = async () => {
    try {
      const calendar = calendars.find(({ id }) => id === which);
      const withFiles = options.includes('files');
      await exportEntries(store, events, calendar, { form, withFiles, now: context().now });
      onClose();
    } catch {
      refuse(words.data.saveFailed);
    }
  };
  return (
    <Sheet
      title={said.title}
      closeLabel={words.actions.cancel}
      onClose={onClose}
      go={{ label: said.go, onPress: () => void go(), disabled: !isReady || events.length === 0 }}
    >
      <ChoiceRow
        label={said.form}
        choices={EXPORT_FORMS.map((value) => ({ value, label: said.forms[value] }))}
        value={form}
        onChange={setForm}
      />
      <AppText size="small" tone="quiet">
        {said.formHint}
      </AppText>
      <SelectField
        label={said.which}
        value={which}
        options={[
          { value: ALL, label: said.all },
          ...calendars.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={setWhich}
        testID="export-calendar"
      />
      <ToggleRow
        label={words.actions.more}
        choices={[
          ...(canFilter ? [{ value: 'filter', label: said.filtered(look.filterText) }] : []),
          { value: 'range', label: said.range },
          ...(form === 'ics' && hasFiles ? [{ value: 'files', label: said.withFiles }] : []),
        ]}
        values={options}
        onChange={setOptions}
      />
      {hasRange ? (
        <>
          <View style={styles.range}>
            <DateField label={said.from} value={from} onChange={setFrom} />
            <DateField
              label={said.to}
              value={to}
              onChange={setTo}
              error={isRangeRight ? undefined : said.rangeWrong}
            />
          </View>
          <AppText size="small" tone="quiet">
            {said.rangeHint}
          </AppText>
        </>
      ) : null}
      <AppText weight="700" role="status">
        {isReady ? said.found(events.length) : ''}
      </AppText>
    </Sheet>
  );
}

const styles = StyleSheet.create({ range: { flexDirection: 'row', gap: space(3) } });
