import type { Words } from '../findings/index.ts';

export const tapAsks: Words = {
  'start-protocol': ({ title }) => `Start the protocol: ${title}`,
  'next-step': ({ say }) => String(say),
};
