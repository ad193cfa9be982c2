import { useRef, useState } from 'react';
import type { View } from 'react-native';
import { SNOOZES, snoozeTrigger } from '@/core/reminders/snoozes';
import type { ReminderTrigger } from '@/core/model/reminder';
import { useOpenStore, useSettings } from '@/store';
import { Button } from '@/ui/primitives/Button';
import { MenuItem } from '@/ui/primitives/MenuItem';
import { type Anchor, anchorOf, Popover } from '@/ui/primitives/Popover';
import { words } from '@/ui/words';
import { reminderWords } from '@/ui/words/reminders';
import type { Heard } from './useHeardReminders';

const said = reminderWords.due;

/** Puts a reminder off: for some minutes, or until something. What is over already is not offered. */
export function SnoozeMenu({
  heard,
  onSnooze,
}: {
  heard: Heard;
  onSnooze: (trigger: ReminderTrigger) => void;
}) {
  const button = useRef<View>(null);
  const [anchor, setAnchor] = useState<Anchor>();
  const { clock } = useOpenStore();
  const { homeZone, workingPattern } = useSettings();
  const title = heard.entry.title || words.entry.noTitle;
  return (
    <>
      <Button
        ref={button}
        icon="bell-sleep-outline"
        label={said.snoozeOf(title)}
        shown={said.snooze}
        onPress={() => setAnchor(anchorOf(button.current))}
      />
      {anchor ? (
        <Popover anchor={anchor} label={said.snoozeOf(title)} onClose={() => setAnchor(undefined)}>
          {SNOOZES.flatMap((choice) => {
            const trigger = snoozeTrigger(choice, heard, clock(), workingPattern, homeZone);
            if (!trigger) return [];
            return (
              <MenuItem
                key={choice}
                label={said.snoozes[choice]}
                onPress={() => {
                  setAnchor(undefined);
                  onSnooze(trigger);
                }}
              />
            );
          })}
        </Popover>
      ) : null}
    </>
  );
}
