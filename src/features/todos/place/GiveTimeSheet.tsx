import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { ownBusy } from '@/core/people/busy/ownBusy';
import { DAY, dateString, isRealDate, MINUTE, parseDate } from '@/core/time/civil';
import { clockOfMinute, minuteOfClock } from '@/core/time/clockTime';
import { instantToWall, wallToInstant } from '@/core/time/zones';
import type { TodoItem } from '@/core/todos/currentTodo';
import { useCommands } from '@/features/workspace';
import { useDays, useNowWall, useSettings } from '@/store';
import { lengthText } from '@/ui/dates';
import { FormDate } from '@/ui/forms/FormDate';
import { FormField } from '@/ui/forms/FormField';
import { FormText } from '@/ui/forms/FormText';
import { useFormOf } from '@/ui/forms/useFormOf';
import { AppText } from '@/ui/primitives/AppText';
import { TimeField } from '@/ui/primitives/dates/TimeField';
import { Sheet } from '@/ui/primitives/Sheet';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { todoWords } from '@/ui/words/todos';
import { type Proposal, usePlacing } from './usePlacing';
import { rangesOverlap } from '@/core/time/eventTime';

const said = todoWords.time;
const { problems } = todoWords;
const LONGEST = 1440;
/** Its gap is looked for in so many days. */
const HORIZON = 14;

const TimeForm = z.object({
  date: z.string().refine(isRealDate, problems.date),
  from: z.string().refine((text) => minuteOfClock(text) !== undefined, problems.time),
  minutes: z
    .string()
    .trim()
    .refine((text) => /^\d+$/.test(text) && Number(text) >= 1 && Number(text) <= LONGEST, problems.minutes),
});
type Typed = z.input<typeof TimeForm>;

/** Gives one to-do a time: the first gap that suits it is proposed. */
export function GiveTimeSheet({ item, onClose }: { item: TodoItem; onClose: () => void }) {
  const proposal = usePlacing([item.key], HORIZON, true);
  return proposal.placing || proposal.failed ? (
    <TimeSheet item={item} proposal={proposal} onClose={onClose} />
  ) : null;
}

function TimeSheet({ item, proposal, onClose }: { item: TodoItem; proposal: Proposal; onClose: () => void }) {
  const { homeZone, defaultLengthMinutes } = useSettings();
  const nowWall = useNowWall(homeZone);
  const commands = useCommands();
  const work = proposal.works.find(({ key }) => key === item.key);
  const [start] = useState((): Typed => {
    const piece = proposal.placing?.pieces[0];
    const wall = piece ? instantToWall(homeZone, piece.start) : nowWall;
    const minutes = piece ? (piece.end - piece.start) / MINUTE : defaultLengthMinutes;
    return {
      date: dateString(Math.floor(wall / DAY)),
      from: clockOfMinute(Math.floor((wall % DAY) / MINUTE)),
      minutes: String(Math.min(LONGEST, minutes)),
    };
  });
  const { control, typed, submit } = useFormOf(TimeForm, start);
  const span = spanOf(typed, homeZone);
  const day = isRealDate(typed.date) ? parseDate(typed.date) : Math.floor(nowWall / DAY);
  const { answer } = useDays(day, day + 2);
  const over = span
    ? ownBusy(answer?.occurrences ?? []).find((busy) => rangesOverlap(busy, span))
    : undefined;
  const left = work && span ? work.minutes - (span.end - span.start) / MINUTE : 0;
  const notes = [
    over ? said.over(over.title || words.entry.noTitle) : '',
    work && span && span.end > work.due ? said.late : '',
    item.todo.estimate !== undefined && left > 0 ? said.left(lengthText(left * MINUTE)) : '',
  ].filter(Boolean);
  const give = () =>
    submit((form) => {
      const times = spanOf(form, homeZone);
      if (times && commands.giveTime([{ key: item.key, ...times }])) onClose();
    });
  return (
    <Sheet
      title={said.title}
      closeLabel={words.actions.cancel}
      onClose={onClose}
      go={{ label: said.go, onPress: give }}
    >
      <AppText weight="700">{item.todo.title || words.entry.noTitle}</AppText>
      <FormDate control={control} name="date" label={said.day} testID="time-day" />
      <View style={styles.row}>
        <FormField control={control} name="from">
          {({ value, onChange }, problem) => (
            <TimeField
              label={said.from}
              value={value}
              onChange={onChange}
              error={problem}
              testID="time-from"
            />
          )}
        </FormField>
        <View style={styles.minutes}>
          <FormText control={control} name="minutes" label={said.minutes} maxLength={4} onSubmit={give} />
        </View>
      </View>
      <View role="status">
        {notes.map((note) => (
          <AppText key={note} tone="quiet">
            {note}
          </AppText>
        ))}
      </View>
    </Sheet>
  );
}

/** The half-open instants that a form says; undefined for one that says none. */
function spanOf(typed: Typed, zone: string): { start: number; end: number } | undefined {
  const read = TimeForm.safeParse(typed).data;
  if (!read) return undefined;
  const wall = parseDate(read.date) * DAY + minuteOfClock(read.from)! * MINUTE;
  const start = wallToInstant(zone, wall);
  return { start, end: start + Number(read.minutes) * MINUTE };
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: space(3), flexWrap: 'wrap' },
  minutes: { width: 140 },
});
