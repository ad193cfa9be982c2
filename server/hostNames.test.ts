import express from 'express';
import http, { type IncomingMessage } from 'node:http';
import { hostNames, namesOf } from './hostNames';

test('a request that names no host is refused', async () => {
  const app = express();
  app.use(hostNames('127.0.0.1'));
  app.get('/', (_request, response) => void response.send('here'));
  // HTTP/1.0 allows it; a server of Node.js refuses others before they come here.
  const server = http.createServer({ requireHostHeader: false }, app);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : 0;
  const ask = (headers: Record<string, string>) =>
    new Promise<number | undefined>((resolve, reject) => {
      const asked = http.request({ host: '127.0.0.1', port, headers, setHost: false });
      asked.on('response', (answer: IncomingMessage) => {
        answer.resume();
        resolve(answer.statusCode);
      });
      asked.on('error', reject).end();
    });
  expect(await ask({})).toBe(421);
  expect(await ask({ host: 'localhost' })).toBe(200);
  await new Promise((resolve) => server.close(resolve));
});

test('a server that listens everywhere knows the names of its machine, another only its own', () => {
  expect([...namesOf('192.0.2.7')].sort()).toEqual(['127.0.0.1', '192.0.2.7', '[::1]', 'localhost']);
  expect(namesOf('2001:db8::7').has('[2001:db8::7]')).toBe(true);
  expect(namesOf('0.0.0.0').has('192.0.2.7')).toBe(false);
  expect(namesOf('0.0.0.0').size).toBeGreaterThan(3);
});
