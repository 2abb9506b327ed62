import { beforeEach, describe, expect, it } from 'vitest';
import { atTheWell } from '../../test/at-the-well.ts';
import { Script } from '../../test/script.ts';
import { bottleDiscarded, bottleFilled } from '../fill/index.ts';
import { extraPlanned } from '../plan/index.ts';
import { saySpares, sparesOf } from './index.ts';

let book: Script;
const { state, purged, fill } = atTheWell(() => book);
const bottle = (id: string) => state().bottles.find((one) => one.id === id)!;
const throwAway = (id: string) => book.atWell(bottleDiscarded, { bottle: id, reason: 'cap-dropped' });

beforeEach(() => {
  book = new Script().plan();
});

describe('a spare', () => {
  it('is counted against what was packed, by its kind', () => {
    purged();
    fill('261123A-MW3-N');
    const spares = () => sparesOf(state(), bottle('261123A-MW3-M'));
    expect(saySpares(spares())).toBe('One spare of this kind was packed and is left.');
    fill('261123A-MW3-M');
    throwAway('261123A-MW3-M');
    expect([spares(), sparesOf(state(), bottle('261123A-MW3-N')).left]).toEqual([{ packed: 1, left: 0 }, 1]);
    expect(saySpares(spares())).toContain('No packed spare of this kind is left');
  });
});

describe('the water that a lab supplies for a blank', () => {
  const blank = '261123A-MW3-M-FR';
  beforeEach(() => {
    book.atWell(extraPlanned, { analysis: 'metals', purpose: 'field-blank' });
    purged();
  });

  it('is still there where its bottle was thrown away empty', () => {
    const { supply } = bottle(blank);
    throwAway(blank);
    expect([supply, bottle(`${blank}2`).supply, bottle(`${blank}2`).supplyWentWith]).toEqual([supply, supply, null]);
  });

  it('is gone with the bottle into which it was poured, and is not asked for once more', () => {
    book.atWell(bottleFilled, { bottle: blank });
    throwAway(blank);
    expect([bottle(`${blank}2`).supply, bottle(`${blank}2`).supplyWentWith]).toEqual([null, blank]);
  });
});
