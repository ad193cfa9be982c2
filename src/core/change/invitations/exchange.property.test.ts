import fc from 'fast-check';
import {
  JUNA,
  SALMA,
  TOBIAS,
  UID,
  officeContext,
  wording,
  guest,
  Office,
  round,
  carry,
} from '../../../../testing/office';
import type { CalendarEvent } from '../../model/entry';
import { Invitation, type Letter } from '../../model/invitation';
import { answerFor } from '../../people/invitations/answers';
import { ownAnswerOf } from '../../people/invitations/guest';
import { dateKey, isAt } from '../../people/invitations/itipMessage';
import { asTold, onDate, SHARED_WITH_GUESTS } from '../../people/invitations/sharedFields';
import type { Audience } from '../../people/invitations/telling';
import { DAY, HOUR } from '../../time/civil';
import { atWall, wallOf } from '../../time/eventTime';
import { askHowItStands, giveAnswer } from './answering';
import { remindGuests } from './tellGuests';

/** Dates that were changed so far: each has an id of its own. */
let changedDates = 0;

test('whatever is changed and answered, and whichever letters are lost, doubled or late: in the end both say the same', () => {
  const step = fc.oneof(
    {
      weight: 2,
      arbitrary: fc.record({ kind: fc.constant('move' as const), hours: fc.integer({ min: -3, max: 3 }) }),
    },
    fc.record({
      kind: fc.constant('rename' as const),
      title: fc.constantFrom('Works round', 'Round', 'Tide talk'),
    }),
    {
      weight: 2,
      arbitrary: fc.record({
        kind: fc.constant('date' as const),
        week: fc.nat(5),
        hours: fc.integer({ min: 0, max: 4 }),
      }),
    },
    fc.record({ kind: fc.constant('leave' as const), week: fc.nat(5) }),
    fc.record({ kind: fc.constant('further' as const), day: fc.nat(20) }),
    fc.record({ kind: fc.constant('guests' as const), has: fc.boolean() }),
    {
      weight: 4,
      arbitrary: fc.record({
        kind: fc.constant('tell' as const),
        audience: fc.constantFrom<Audience>('all', 'touched'),
      }),
    },
    {
      weight: 4,
      arbitrary: fc.record({
        kind: fc.constant('answer' as const),
        answer: fc.constantFrom('accepted' as const, 'declined' as const, 'tentative' as const),
        week: fc.option(fc.nat(5), { nil: undefined }),
      }),
    },
    fc.record({ kind: fc.constant('ask' as const) }),
    {
      weight: 6,
      arbitrary: fc.record({
        kind: fc.constant('mail' as const),
        at: fc.nat(10),
        how: fc.constantFrom('carry' as const, 'carry' as const, 'lose' as const, 'double' as const),
      }),
    },
  );
  const standing = ({ state }: Office) => [
    [...state.entries.values()],
    [...state.invitations.values()].map((invitation) => ({
      ...invitation,
      answers: invitation.answers.filter(({ isOutdated }) => !isOutdated),
    })),
  ];
  const dateOf = (office: Office, week: number) => {
    const master = office.events.find(({ recurrenceId }) => !recurrenceId);
    return master?.recurrence && atWall(master.start, wallOf(master.start) + 7 * week * DAY);
  };
  fc.assert(
    fc.property(fc.array(step, { minLength: 3, maxLength: 30 }), (steps) => {
      const [juna, salma] = [new Office(JUNA, round()), new Office(SALMA)];
      let bag: Letter[] = [];
      const collect = () => {
        const posted = [...juna.posted(), ...salma.posted()];
        for (const letter of posted) sent.set(letter.id, letter);
        bag.push(...posted);
      };
      const sent = new Map<string, Letter>();
      let hasLost = false;
      const deliver = (letter: Letter) =>
        [juna, salma].forEach((office) => letter.to.includes(office.address) && office.receive(letter));
      for (const one of steps) {
        const master = juna.events.find(({ recurrenceId }) => !recurrenceId)!;
        const left = new Set(master.recurrence!.exceptionDates.map(dateKey));
        switch (one.kind) {
          case 'move': {
            const by = one.hours * HOUR;
            const shifted = (time: CalendarEvent['start']) => atWall(time, wallOf(time) + by);
            juna.put(
              ...juna.events.map((each) => ({
                ...each,
                start: shifted(each.start),
                end: shifted(each.end),
                ...(each.recurrenceId ? { recurrenceId: shifted(each.recurrenceId) } : {}),
                ...(each.recurrence
                  ? {
                      recurrence: {
                        ...each.recurrence,
                        exceptionDates: each.recurrence.exceptionDates.map(shifted),
                        dates: each.recurrence.dates.map(shifted),
                      },
                    }
                  : {}),
              })),
            );
            break;
          }
          case 'rename':
            juna.put({ ...master, title: one.title });
            break;
          case 'date': {
            const recurrenceId = dateOf(juna, one.week)!;
            if (left.has(dateKey(recurrenceId))) break;
            const known = juna.events.find((each) => dateKey(each.recurrenceId) === dateKey(recurrenceId));
            const base = known ?? {
              ...onDate(master, recurrenceId),
              recurrenceId,
              id: `date-${++changedDates}`,
              seriesId: master.id,
            };
            juna.put({
              ...base,
              start: atWall(recurrenceId, wallOf(recurrenceId) + one.hours * HOUR),
              end: atWall(recurrenceId, wallOf(recurrenceId) + (one.hours + 1) * HOUR),
              attendees: master.attendees!,
            });
            break;
          }
          case 'leave': {
            const date = dateOf(juna, one.week)!;
            if (left.has(dateKey(date))) break;
            juna.remove(
              ...juna.events.filter(
                ({ recurrenceId }) => recurrenceId && dateKey(recurrenceId) === dateKey(date),
              ),
            );
            const recurrence = master.recurrence!;
            juna.put({
              ...master,
              recurrence: { ...recurrence, exceptionDates: [...recurrence.exceptionDates, date] },
            });
            break;
          }
          case 'further': {
            const date = atWall(master.start, wallOf(master.start) + one.day * DAY + HOUR / 2);
            const recurrence = master.recurrence!;
            if (!recurrence.dates.some((each) => dateKey(each) === dateKey(date)))
              juna.put({ ...master, recurrence: { ...recurrence, dates: [...recurrence.dates, date] } });
            break;
          }
          case 'guests':
            juna.put(
              ...juna.events.map((each) => ({
                ...each,
                attendees: [guest(TOBIAS), ...(one.has ? [guest(SALMA)] : [])],
              })),
            );
            break;
          case 'tell':
            juna.tell(one.audience);
            break;
          case 'answer': {
            const recurrenceId = one.week === undefined ? undefined : dateOf(salma, one.week);
            salma.do(
              giveAnswer(
                salma.state,
                UID,
                { answer: one.answer, comment: '', ...(recurrenceId ? { recurrenceId } : {}) },
                wording,
                officeContext(),
              ),
            );
            break;
          }
          case 'ask':
            salma.do(askHowItStands(salma.state, UID, wording, officeContext()));
            break;
          case 'mail': {
            collect();
            const letter = bag[one.at % Math.max(1, bag.length)];
            if (!letter) break;
            if (one.how !== 'double') bag = bag.filter((each) => each !== letter);
            if (one.how === 'lose') hasLost = true;
            else deliver(letter);
          }
        }
        for (const office of [juna, salma])
          for (const invitation of office.state.invitations.values()) Invitation.parse(invitation);
      }
      // In the end all is told, sent once more, and answered once more as it was answered.
      collect();
      bag.forEach(deliver);
      juna.tell();
      const master = juna.events.find(({ recurrenceId }) => !recurrenceId)!;
      const isInvited = master.attendees!.some((each) => isAt(each, [SALMA]));
      carry(juna, salma);
      if (!isInvited) {
        // Nobody can know of what was lost and is not sent again.
        const known = salma.state.invitations.get(UID);
        expect(hasLost || !known || known.isCancelled).toBe(true);
        return;
      }
      juna.do(remindGuests(juna.state, UID, [guest(SALMA)], '', wording, officeContext()));
      carry(juna, salma);
      const { answers } = salma.state.invitations.get(UID)!;
      for (const { answer, recurrenceId, isOutdated } of [...answers].sort((a, b) => a.at - b.at))
        if (!isOutdated && answer !== 'delegated')
          salma.do(
            giveAnswer(
              salma.state,
              UID,
              { answer, comment: '', ...(recurrenceId ? { recurrenceId } : {}) },
              wording,
              officeContext(),
            ),
          );
      carry(juna, salma);
      const kept = salma.state.invitations.get(UID)!;
      const told = new Map(juna.events.map((each) => [dateKey(each.recurrenceId), asTold(each)]));
      const came = new Map(kept.events.map((each) => [dateKey(each.recurrenceId), each]));
      expect([...came.keys()].sort()).toEqual([...told.keys()].sort());
      for (const [key, one] of told) {
        const other = came.get(key)!;
        for (const field of SHARED_WITH_GUESTS)
          if (field !== 'recurrence') expect([key, field, other[field]]).toEqual([key, field, one[field]]);
        const dates = (each: CalendarEvent) => [
          each.recurrence?.rules,
          each.recurrence?.dates.map(dateKey).sort(),
          each.recurrence?.exceptionDates.map(dateKey).sort(),
        ];
        expect(dates(other)).toEqual(dates(one));
        const answered = answerFor(juna.state.invitations.get(UID)!.answers, SALMA, one.recurrenceId);
        const own = ownAnswerOf(kept, other, [SALMA]);
        expect([key, answered && !answered.isOutdated ? answered.answer : 'needs-action']).toEqual([
          key,
          own,
        ]);
      }
      expect(kept.isBehind).toBeUndefined();
      // What comes late changes nothing any more; an answer to an earlier time may be noted as one.
      const settled = [juna, salma].map(standing);
      [...sent.values()].reverse().forEach(deliver);
      expect([juna, salma].map(standing)).toEqual(settled);
    }),
    { numRuns: 120 },
  );
});
