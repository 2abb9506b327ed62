import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { paths } from './paths.ts';

it('names every address of the router, and no other', () => {
  const router = readFileSync(new URL('router.tsx', import.meta.url), 'utf8');
  const below = [...router.matchAll(/path: '([^'*/][^'*]*)'/g)].map((match) => match[1]!);
  const round = below.indexOf('rounds/:round');
  const routed = below.map((path, index) => (index > round && round >= 0 ? `/rounds/:round/${path}` : `/${path}`));
  // A part that may be left out makes two addresses.
  const told = routed.flatMap((path) => (path.endsWith('?') ? [path.slice(0, -1), path.replace(/\/:[^/]+\?$/, '')] : [path]));
  expect([...paths].sort()).toEqual(['/', ...told].sort());
});
