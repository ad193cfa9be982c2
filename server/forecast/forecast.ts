import express, { type Router } from 'express';
import { z } from 'zod';
import { FORECAST_DAYS, LONGEST_PLACE } from '@/core/forecast/forecast';
import { isRealDate } from '@/core/time/civil';
import { madeUpForecast } from './madeUpForecast';

const Asked = z.object({
  place: z.string().trim().min(1).max(LONGEST_PLACE),
  from: z.string().refine(isRealDate),
});

/** A stand-in for a weather service: made-up days for whatever place, which it says. The same are asked, the same is answered. */
export function forecast(): Router {
  const router = express.Router();
  router.get('/', (request, response) => {
    const asked = Asked.safeParse(request.query);
    if (!asked.success) {
      response.status(400).json({ error: 'no such place or day' });
      return;
    }
    const { place, from } = asked.data;
    response
      .set('Cache-Control', 'no-store')
      .json({ isSimulated: true, days: madeUpForecast(place, from, FORECAST_DAYS) });
  });
  return router;
}
