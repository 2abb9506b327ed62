import { z } from 'zod';
import { doing } from '../endpoints/index.ts';
import { carriers } from '../roles/index.ts';

export const askIntake = doing('/api/rounds/:round/hand-overs/:entry/intake', {
  summary: 'Send a hand-over to the lab’s desk and write its answer down. Asking again brings the answer that is there',
  by: carriers,
  answer: z.object({ answered: z.literal(true) }),
});
