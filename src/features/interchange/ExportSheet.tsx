import { todosWithin } from '@/core/todos/currentTodo';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { isFilterEmpty } from '@/core/schedule/entryFilter';
import { chosenEntries } from '@/core/schedule/exportChoice';
import type { EntryFilter } from '@/core/model/look';
import { dateString, DAY, isRealDate, parseDate } from '@/core/time/civil';
import { useCommands } from '@/features/workspace';
import { useCalendars, useDaysQuery, useEngineAnswer, useNowWall, useOpenStore, useSnapshot } from '@/store';
import { FormDate } from '@/ui/forms/FormDate';
import { FormField } from '@/ui/forms/FormField';
import { FormSelect } from '@/ui/forms/FormSelect';
import { useFormOf } from '@/ui/forms/useFormOf';
import { AppText } from '@/ui/primitives/AppText';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { Sheet } from '@/ui/primitives/Sheet';
import { ToggleRow } from '@/ui/primitives/ToggleRow';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { exportingWords } from '@/ui/words/exporting';
import { EXPORT_FORMS, exportEntries } from './files';

const said = exportingWords;
const ALL = '';

/** What of the look of Plan can be taken over into a file. */
interface ExportLook {
  readonly filter: EntryFilter;
  readonly filterText: string;
  readonly hidden: readonly string[];
  readonly firstDay: number;
}

const isDate = (text: string) => /^\d{4}-\d\d-\d\d$/.test(text) && isRealDate(text);
const isRange = (from: string, to: string): boolean => isDate(from) && isDate(to) && from <= to;

/** What goes into a file, and as what. */
const ExportChoice = z
  .object({
    form: z.enum(EXPORT_FORMS),
    calendarId: z.string(),
    options: z.array(z.enum(['filter', 'range', 'files'])),
    from: z.string(),
    to: z.string(),
  })
  .refine(({ options, from, to }) => !options.includes('range') || isRange(from, to), {
    path: ['to'],
    message: said.rangeWrong,
  });

interface ExportSheetProps {
  calendarId?: string | undefined;
  look?: ExportLook | undefined;
  onClose: () => void;
}

/** Saves entries as a calendar file or a table: of one calendar or all, as filtered, of a range of days. */
export function ExportSheet({ calendarId, look, onClose }: ExportSheetProps) {
  const { store } = useOpenStore();
  const calendars = useCalendars();
  const { context, refuse } = useCommands();
  const entries = useSnapshot(({ state }) => state.entries);
  const today = Math.floor(useNowWall() / DAY);
  const canFilter = look !== undefined && (!isFilterEmpty(look.filter) || look.hidden.length > 0);
  const { control, typed, submit } = useFormOf(ExportChoice, {
    form: 'ics',
    calendarId: calendarId ?? ALL,
    options: canFilter ? ['filter', 'files'] : ['files'],
    from: dateString(look?.firstDay ?? today),
    to: dateString((look?.firstDay ?? today) + 27),
  });
  const { form, calendarId: which, options, from, to } = typed;
  const isFiltered = canFilter && options.includes('filter');
  const hasRange = options.includes('range');
  const isRangeRight = isRange(from, to);
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
    () =>
      new Set([
        ...(range.data?.occurrences ?? []).flatMap(({ entryId, key }) => [entryId, key]),
        ...todosWithin({ entries }, range.data),
      ]),
    [range.data, entries],
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
  const go = () =>
    submit(async (chosen) => {
      try {
        const calendar = calendars.find(({ id }) => id === chosen.calendarId);
        const withFiles = chosen.options.includes('files');
        await exportEntries(store, events, calendar, { form: chosen.form, withFiles, now: context().now });
        onClose();
      } catch {
        refuse(words.data.saveFailed);
      }
    });
  return (
    <Sheet
      title={said.title}
      closeLabel={words.actions.cancel}
      onClose={onClose}
      go={{ label: said.go, onPress: go, disabled: !isReady || events.length === 0 }}
    >
      <FormField control={control} name="form">
        {({ value, onChange }) => (
          <ChoiceRow
            label={said.form}
            choices={EXPORT_FORMS.map((offered) => ({ value: offered, label: said.forms[offered] }))}
            value={value}
            onChange={onChange}
          />
        )}
      </FormField>
      <AppText size="small" tone="quiet">
        {said.formHint}
      </AppText>
      <FormSelect
        control={control}
        name="calendarId"
        label={said.which}
        options={[
          { value: ALL, label: said.all },
          ...calendars.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        testID="export-calendar"
      />
      <FormField control={control} name="options">
        {({ value, onChange }) => (
          <ToggleRow
            label={words.actions.more}
            choices={[
              ...(canFilter ? [{ value: 'filter' as const, label: said.filtered(look.filterText) }] : []),
              { value: 'range' as const, label: said.range },
              ...(form === 'ics' && hasFiles ? [{ value: 'files' as const, label: said.withFiles }] : []),
            ]}
            values={value}
            onChange={onChange}
          />
        )}
      </FormField>
      {hasRange ? (
        <>
          <View style={styles.range}>
            <FormDate control={control} name="from" label={said.from} />
            <FormDate
              control={control}
              name="to"
              label={said.to}
              problem={isRangeRight ? undefined : said.rangeWrong}
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
