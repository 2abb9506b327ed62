import { z } from 'zod';
import { reading } from '../endpoints/index.ts';
import { members } from '../roles/index.ts';
import { SampleOfRecord } from './samples.ts';

export const sampleRecord = reading('/api/samples', {
  summary: 'What became of every analysis that was planned, from a day on, oldest first',
  by: members,
  query: z.object({ from: z.iso.date() }),
  answer: z.array(SampleOfRecord),
});
