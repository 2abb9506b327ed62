import { beforeEach, expect, it } from 'vitest';
import { atTheWell } from '../../test/at-the-well.ts';
import { handing, Script } from '../../test/script.ts';
import { handedOver } from '../custody/index.ts';
import { analysisAdded } from '../plan/index.ts';
import { comparedByHand } from '../read/index.ts';
import { editionsOn } from './index.ts';

let book: Script;
const { state, misfit, purged, fill } = atTheWell(() => book);
const vials = ['261123A-MW3-VA', '261123A-MW3-VB', '261123A-MW3-VC'];
const stages = () => vials.map((id) => state().bottles.find((bottle) => bottle.id === id)?.stage);
const compared = (outcome: 'meets' | 'over' | 'cannot-tell', set = '261123A-MW3-V') => ({ set, outcome, words: 'Benzene 0.2 µg/L' });

beforeEach(() => {
  // An edition in which Fonte had no values of solvents.
  book = new Script().plan(undefined, { editions: { ...editionsOn('2026-11-23'), bottles: 'bottles@2026-5' } });
  book.atWell(analysisAdded, { analysis: 'volatiles' });
  purged();
  vials.forEach((id) => fill(id));
  book.write(handedOver, handing(vials));
});

it('waits for a person where Fonte has no values: all vials of a sample at once', () => {
  expect(stages()).toEqual(['handed-over', 'handed-over', 'handed-over']);
  expect(state().handSamples).toMatchObject([{ set: '261123A-MW3-V', pointName: 'Tannery 3', given: null }]);
  expect(state().verdict).toBeNull();
  book.write(comparedByHand, compared('over'));
  expect(stages()).toEqual(['judged', 'judged', 'judged']);
  expect(state().verdict?.byHand).toMatchObject([{ given: { outcome: 'over' } }]);
  expect(state().verdict?.gaps.byHand).toBe(0);
});

it('can be compared anew, and taken back', () => {
  book.write(comparedByHand, compared('meets'));
  const second = book.write(comparedByHand, compared('over'));
  expect(state().handSamples.map(({ given }) => given?.outcome)).toEqual(['over']);
  book.correct(second, 'read the wrong line');
  expect(state().handSamples.map(({ given }) => given?.outcome)).toEqual(['meets']);
});

it('takes no word of a sample that it reads itself, nor of none of this round', () => {
  const refusal = (set: string) => misfit(book.make(comparedByHand, compared('meets', set)));
  expect(refusal('261123A-MW3-N')).toMatchObject({ path: 'payload.set', message: expect.stringMatching(/read from its report/) });
  expect(refusal('X-1')?.message).toMatch(/X-1 is not in this round/);
});
