import express, { type Router } from 'express';
import { htmlPage } from '../htmlPage';
import { plainPageHeaders } from '../plainPageHeaders';
import { Token } from '../secrets';

/** The stand-in for rooms of online meetings: whoever has the address of one sees that it is one. Nothing is kept of it. */
export function meetingPages(): Router {
  const router = express.Router();
  router.use(plainPageHeaders("'self'"));
  router.get('/:token', (request, response) => {
    if (!Token.safeParse(request.params.token).success) {
      response.status(404).type('text').send('There is no meeting at this address.');
      return;
    }
    response
      .set('Cache-Control', 'no-store')
      .type('html')
      .send(
        htmlPage({
          title: 'Online meeting',
          body: `<h1>Online meeting</h1>
<p role="note"><strong>Simulated.</strong> A stand-in for a room in which people see and hear each other: whoever has this address would be in it now. Nothing is carried, and nobody listens.</p>`,
        }),
      );
  });
  return router;
}
