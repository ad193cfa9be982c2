import express, { type Router } from 'express';
import { z } from 'zod';
import { LONGEST_BUSY_DAYS } from '@/core/people/directory';
import { writeFreeBusy } from '@/core/people/busy/freeBusyFile';
import { writeCards } from '@/core/people/vcard/writeCards';
import { DAY } from '@/core/time/civil';
import { busyTimesIn, depthOf, inDirectory } from '../../demo/busyTimes';

const Range = z
  .object({ from: z.coerce.number().int(), until: z.coerce.number().int() })
  .refine(({ from, until }) => until > from && until - from <= LONGEST_BUSY_DAYS * DAY);

/**
 * A stand-in for the directory of an office: made-up colleagues and rooms as cards (RFC 6350), and the busy times of each
 * (RFC 5545 3.6.4) as deep as they let them be seen.
 */
export function directory(now: () => number): Router {
  const router = express.Router();
  let cards: string | undefined;
  router.get('/', (_request, response) => {
    cards ??= writeCards([...inDirectory.values()]);
    response.set('Cache-Control', 'no-store').type('text/vcard; charset=utf-8').send(cards);
  });
  router.get('/busy/:end', (request, response) => {
    const person = inDirectory.get(request.params.end);
    const range = Range.safeParse(request.query);
    if (!person || !range.success) {
      response
        .status(person ? 400 : 404)
        .json({ error: person ? 'no such range' : 'nobody is at this address' });
      return;
    }
    const { from, until } = range.data;
    const spans = { start: from, end: until };
    const text = writeFreeBusy(
      {
        range: spans,
        depth: depthOf(person),
        spans: busyTimesIn(person, spans),
        ...(person.workingPattern && person.zone
          ? { workingPattern: person.workingPattern, zone: person.zone }
          : {}),
      },
      now(),
      { address: person.addresses[0] ?? '', uid: person.id },
    );
    response.set('Cache-Control', 'no-store').type('text/calendar; charset=utf-8').send(text);
  });
  return router;
}
