import { event, FENNICK, series } from '../../../../testing/samples';
import { carry, JUNA, Office, officeContext, round, SALMA, UID, wording } from '../../../../testing/office';
import { giveAnswer } from './answering';
import { waitingFor } from './waitingFor';

const before = Date.parse('2027-03-01T12:00Z');
const kinds = ({ state }: Office, now = before) => waitingFor(state, now, FENNICK).map(({ kind }) => kind);

it('an invitation waits until it is answered, and what is called off until it is taken out', () => {
  const [juna, salma] = [new Office(JUNA, round()), new Office(SALMA)];
  juna.tell();
  expect(kinds(juna)).toEqual([]);
  carry(juna, salma);
  expect(kinds(salma)).toEqual(['invitation']);
  salma.do(giveAnswer(salma.state, UID, { answer: 'declined', comment: '' }, wording, officeContext()));
  expect(kinds(salma)).toEqual([]);
  juna.remove(...juna.events);
  expect(kinds(juna)).toEqual(['untold']);
  juna.tell();
  carry(juna, salma);
  expect(kinds(salma)).toEqual(['called-off']);
});

it('what is over needs no answer: a single entry at its end, a series at the end of its last date', () => {
  const [juna, salma] = [new Office(JUNA, round()), new Office(SALMA)];
  juna.tell();
  carry(juna, salma);
  const [first] = salma.events;
  expect(first!.recurrence).toBeDefined();
  const ends = series('FREQ=WEEKLY;COUNT=3', {
    ...first,
    recurrence: { rules: ['FREQ=WEEKLY;COUNT=3'], dates: [], exceptionDates: [] },
  });
  salma.put(ends);
  expect(kinds(salma, Date.parse('2027-03-23T14:59Z'))).toEqual(['invitation']);
  expect(kinds(salma, Date.parse('2027-03-23T15:01Z'))).toEqual([]);
  salma.put(event({ ...first, recurrence: undefined }));
  expect(kinds(salma, Date.parse('2027-03-09T14:59Z'))).toEqual(['invitation']);
  expect(kinds(salma, Date.parse('2027-03-09T15:01Z'))).toEqual([]);
});
