import { expect, it } from 'vitest';
import { isAdded } from './many.ts';

const points = ['N01', 'N02', 'N05', 'N12'].map((code) => ({ value: code, label: `Well ${code}, Água ${code}` }));
const offered = (typed: string, chosen: string[]) => points.filter((one) => isAdded(typed, one, chosen)).map(({ value }) => value);

it('offers what is typed and not chosen: Enter never takes a chosen one out', () => {
  expect([offered('N05', ['N01', 'N02']), offered('n0', ['N01']), offered('N01', ['N01']), offered(' agua n12 ', [])]).toEqual([
    ['N05'],
    ['N02', 'N05'],
    [],
    ['N12'],
  ]);
});

it('chooses each of them by typing it', () => {
  const chosen: string[] = [];
  for (const code of ['N01', 'N02', 'N05', 'N12']) chosen.push(...offered(code, chosen).slice(0, 1));
  expect(chosen).toEqual(['N01', 'N02', 'N05', 'N12']);
});
