import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { paths } from './paths.ts';

it('names every address of the router, and no other', () => {
  const router = readFileSync(new URL('router.tsx', import.meta.url), 'utf8');
  const below = [...router.matchAll(/path: '([^'*/][^'*]*)'/g)].map((match) => match[1]!);
  const round = below.indexOf('rounds/:round');
  const routed = below.map((path, index) => (index > round && round >= 0 ? `/rounds/:round/${path}` : `/${path}`));
  expect([...paths].sort()).toEqual(['/', ...routed].sort());
});
