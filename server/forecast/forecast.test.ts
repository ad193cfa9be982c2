import express from 'express';
import request from 'supertest';
import { Forecast, FORECAST_DAYS, WEATHERS } from '@/core/forecast/forecast';
import { dateString, parseDate } from '@/core/time/civil';
import { forecast } from './forecast';
import { madeUpForecast } from './madeUpForecast';

const app = express().use('/api/forecast', forecast());
const ask = (query: Record<string, string>) => request(app).get('/api/forecast').query(query);

test('a place has made-up days in a row, always the same, and says that they are made up', async () => {
  const { body } = await ask({ place: 'Gull Point', from: '2027-03-09' }).expect(200);
  const read = Forecast.parse(body);
  expect(read.isSimulated).toBe(true);
  expect(read.days.map(({ date }) => date)).toEqual(
    Array.from({ length: FORECAST_DAYS }, (_, index) => dateString(parseDate('2027-03-09') + index)),
  );
  const again = await ask({ place: ' gull point ', from: '2027-03-09' }).expect(200);
  expect(again.body).toEqual(body);
  const elsewhere = await ask({ place: 'Skerry', from: '2027-03-09' }).expect(200);
  expect(elsewhere.body).not.toEqual(body);
});

test('a day is the same from whichever day it is asked', () => {
  const [later] = madeUpForecast('Fennick', '2027-03-12', 1);
  expect(madeUpForecast('Fennick', '2027-03-09', 4)[3]).toEqual(later);
});

test('over some years every weather but snow comes by the sea, and no night is warmer than its day', () => {
  const days = madeUpForecast('Fennick', '2025-01-01', 1500);
  const seen = new Set(days.map(({ weather }) => weather));
  expect(WEATHERS.filter((each) => !seen.has(each) && each !== 'snow')).toEqual([]);
  expect(days.every(({ high, low }) => low < high)).toBe(true);
});

test.each([
  ['no place', { from: '2027-03-09' }],
  ['an empty place', { place: '  ', from: '2027-03-09' }],
  ['a place beyond measure', { place: 'x'.repeat(201), from: '2027-03-09' }],
  ['no day', { place: 'Fennick' }],
  ['no such day', { place: 'Fennick', from: '2027-02-30' }],
])('%s is refused', async (_, query) => {
  await ask(query as Record<string, string>).expect(400);
});
