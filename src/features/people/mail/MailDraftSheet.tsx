import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { blankFields } from '@/core/change/eventFields';
import { lengthOfNew } from '@/core/change/calendarDefaults';
import type { EventFields } from '@/core/model/entry';
import { linkInMail, timesInMail, titleOfSubject } from '@/core/people/fromMail/timesInMail';
import { guestOf } from '@/core/people/guests';
import { personOfAddress } from '@/core/people/peopleInOrder';
import { dateString, DAY, HOUR, MINUTE } from '@/core/time/civil';
import { instantOf, zonedAt } from '@/core/time/eventTime';
import { instantToWall } from '@/core/time/zones';
import { readPicked } from '@/features/attachments';
import { useGrammar } from '@/features/line';
import { workspace } from '@/features/workspace';
import { ZoneField } from '@/features/zones';
import { useNow, usePeople, useSettings, useWritableCalendars } from '@/store';
import { dayText, timeRangeText, writesDayFirst } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { RadioList } from '@/ui/primitives/RadioList';
import { Sheet } from '@/ui/primitives/Sheet';
import { TextField } from '@/ui/primitives/TextField';
import { words } from '@/ui/words';
import { invitationWords } from '@/ui/words/invitations';
import { type DraftMail, makeFromMail } from './mailDraft';

const said = invitationWords.fromMail;
const LONGEST_TEXT = 100_000;

/** Makes a draft of a mail: its times to choose from on the writer's clock, who wrote it, its link, its files, and its words. */
export function MailDraftSheet({ mail }: { mail: DraftMail }) {
  const router = useRouter();
  const settings = useSettings();
  const { homeZone } = settings;
  const calendars = useWritableCalendars();
  const people = usePeople();
  const grammar = useGrammar();
  const now = useNow();
  const writer = personOfAddress(people, mail.from.address);
  const [text, setText] = useState(mail.text.slice(0, LONGEST_TEXT));
  const [title, setTitle] = useState(titleOfSubject(mail.subject));
  const [zone, setZone] = useState(writer?.zone ?? homeZone);
  const [chosen, setChosen] = useState('0');
  const target = calendars.find(({ id }) => id === settings.targetCalendarId) ?? calendars[0];
  const minutes = lengthOfNew(target, settings);
  const written = mail.date ?? Math.floor(now / HOUR) * HOUR;
  const times = useMemo(() => {
    if (!grammar) return undefined;
    const nowWall = instantToWall(zone, written);
    return timesInMail(text, grammar.parseEntryLine, {
      nowWall,
      zone,
      selectedDay: Math.floor(nowWall / DAY),
      defaultLength: minutes * MINUTE,
      calendars: [],
      weekStart: settings.weekStart,
      dayFirst: writesDayFirst(),
    });
  }, [grammar, text, zone, written, minutes, settings.weekStart]);
  const time = times?.[Number(chosen)];
  const inWords = (start: number, end: number): string => {
    const [from, until] = [start, end].map((instant) => instantToWall(homeZone, instant));
    return `${dayText(Math.floor(from! / DAY))}, ${timeRangeText(from!, until!)}`;
  };
  const draft = async () => {
    if (!target) return;
    const nextHour = Math.ceil(now / HOUR) * HOUR;
    const start = time?.start ?? zonedAt(nextHour, homeZone);
    const end = time?.end ?? zonedAt(nextHour + minutes * MINUTE, homeZone);
    const { address, name } = mail.from;
    const guest =
      address === ''
        ? undefined
        : guestOf(writer ?? { name: name || address, kind: 'colleague', addresses: [address] }, true);
    const picked = await readPicked(
      mail.files.map(
        ({ name: file, type, bytes }) => new File([bytes as BlobPart], file || said.file, { type }),
      ),
    );
    const blank = blankFields(target.id, start, end);
    const fields: EventFields = {
      ...blank,
      title: title.trim(),
      location: time?.location ?? '',
      notes: text.trim(),
      url: linkInMail(text),
      ...(guest ? { attendees: [guest] } : {}),
      ...(/^\S{1,500}$/.test(mail.id)
        ? { answersMail: { id: mail.id, subject: mail.subject.slice(0, 1000) } }
        : {}),
      ...(picked.attachments.length > 0 ? { attachments: [...picked.attachments] } : {}),
    };
    makeFromMail(null);
    workspace.edit({ fields, before: blank, panel: 'full', changed: true, pending: picked.files });
    const day = Math.floor(instantToWall(homeZone, instantOf(start, homeZone)) / DAY);
    router.navigate({ pathname: '/', params: { date: dateString(day) } });
  };
  return (
    <Sheet
      title={said.title}
      closeLabel={words.actions.cancel}
      onClose={() => makeFromMail(null)}
      go={{
        label: said.go,
        onPress: () => void draft(),
        disabled: text.trim() === '' && title.trim() === '',
      }}
    >
      {mail.from.address === '' ? null : (
        <AppText>{said.from(writer?.name ?? (mail.from.name || mail.from.address))}</AppText>
      )}
      <TextField
        label={said.entryTitle}
        value={title}
        onChangeText={setTitle}
        maxLength={1000}
        testID="mail-title"
      />
      <TextField
        label={said.words}
        value={text}
        onChangeText={(next) => {
          setChosen('0');
          setText(next);
        }}
        maxLength={LONGEST_TEXT}
        multiline
        testID="mail-words"
      />
      <ZoneField label={said.zone} value={zone} onChange={setZone} testID="mail-zone" />
      {times && times.length > 0 ? (
        <RadioList
          label={said.times}
          choices={times.map((found, index) => ({
            value: String(index),
            label: inWords(instantOf(found.start, zone), instantOf(found.end, zone)),
            hint: `“${found.words}”`,
          }))}
          value={chosen}
          onChange={setChosen}
        />
      ) : (
        <AppText tone="quiet" role="status">
          {times ? said.noTimes : ''}
        </AppText>
      )}
      {mail.files.length > 0 ? <AppText tone="quiet">{said.files(mail.files.length)}</AppText> : null}
    </Sheet>
  );
}
