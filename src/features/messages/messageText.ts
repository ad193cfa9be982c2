import type { DueReminder } from '@/core/reminders/dueReminders';
import type { RunDown, RunDownEntry } from '@/core/reminders/runDown';
import { hasWayThere } from '@/core/schedule/occurrence';
import { DAY } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { dayText, timeRangeText, timeText } from '@/ui/dates';
import { words } from '@/ui/words';
import { messageWords } from '@/ui/words/messages';

const said = messageWords.runDown;

/** What a message says, and above it what it is about. */
export interface MessageText {
  readonly subject: string;
  readonly body: string;
}

/** The longest text message, in UTF-16 units. */
const LONGEST_TEXT = 300;

/** A reminder as a message. */
export function reminderMessage(
  { occurrence, leave, todoDue, description }: DueReminder,
  zone: string,
): MessageText {
  const { title, startWall, endWall, allDay, location } = occurrence;
  const name = title || words.entry.noTitle;
  const when = todoDue
    ? messageWords.due(dayText(todoDue.day), todoDue.wall === undefined ? '' : timeText(todoDue.wall))
    : messageWords.when(
        dayText(Math.floor(startWall / DAY)),
        allDay ? '' : timeRangeText(startWall, endWall),
      );
  const lines = [
    description ?? name,
    when,
    location,
    leave === undefined ? '' : messageWords.leave(timeText(instantToWall(zone, leave))),
  ];
  return { subject: messageWords.subject(name, when).slice(0, 300), body: lines.filter(Boolean).join('\n') };
}

/** A message in one line, as short as a text message is. */
export const asTextMessage = ({ body }: MessageText): MessageText => ({
  subject: '',
  body: body.replaceAll('\n', ' · ').slice(0, LONGEST_TEXT),
});

const entryLine = ({ occurrence, change }: RunDownEntry): string => {
  const { allDay, startWall, endWall, title, location } = occurrence;
  return [
    allDay ? words.entry.allDayLabel : timeRangeText(startWall, endWall),
    `  ${title || words.entry.noTitle}`,
    location ? said.at(location) : '',
    hasWayThere(occurrence) ? said.leave(timeText(occurrence.ways!.leaveWall)) : '',
    change ? said.changes[change] : '',
  ].join('');
};

/** A run-down as it is mailed, and shown before. */
export function runDownMessage({ day, entries, gaps, gone }: RunDown): MessageText {
  const parts = [
    entries.length > 0 ? entries.map(entryLine) : [said.nothing],
    gaps.length > 0
      ? [said.freeTitle, ...gaps.map(({ startWall, endWall }) => `  ${timeRangeText(startWall, endWall)}`)]
      : [],
    gone.length > 0 ? [said.goneTitle, ...gone.map((title) => `  ${title || words.entry.noTitle}`)] : [],
  ];
  return {
    subject: said.subject(dayText(day)),
    body: parts
      .filter((lines) => lines.length > 0)
      .map((lines) => lines.join('\n'))
      .join('\n\n')
      .slice(0, 8000),
  };
}
