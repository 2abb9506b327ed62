import { levelRead } from '@fonte/core/level';
import { describe, expect, it } from 'vitest';
import { depthOf, draftOfLevel, freshLevel, levelInstead, readLevel, type LevelDraft } from './levelDraft.ts';

const draft = (by: Partial<LevelDraft['by']>, more: Partial<LevelDraft> = {}): LevelDraft => {
  const fresh = freshLevel('Rim', 'm');
  return { ...fresh, water: 'static', ...more, by: { ...fresh.by, ...by } };
};
const m = (text: string) => ({ text, unit: 'm' as const });

describe('a level as it is typed', () => {
  it('is what stands on the tape, with nothing of another tape', () => {
    const { value, problems } = readLevel(draft({ tool: 'steel', hold: m('9'), cut: m('1.488'), at: m('7') }), false);
    expect(problems).toEqual([]);
    expect(value).toEqual({
      measuringPoint: 'Rim',
      depth: m('7.512'),
      by: { tool: 'steel', hold: m('9'), cut: m('1.488') },
      water: 'static',
    });
    expect(levelRead.payload.safeParse(value).success).toBe(true);
  });

  it('is nothing while a number is missing, and says which', () => {
    const typing = draft({ tool: 'steel', hold: m('9') });
    expect(depthOf(typing)).toBeNull();
    expect(readLevel(typing, false).problems.map(({ path }) => path)).toEqual(['by.cut']);
  });

  it('carries its reason only while it is asked about', () => {
    const typed = draft({}, { depth: m('7.4'), kept: 'read twice' });
    expect(readLevel(typed, true).value).toMatchObject({ kept: 'read twice' });
    expect(readLevel(typed, false).value).not.toHaveProperty('kept');
  });

  it('is corrected by what stood on the tape, and its depth follows', () => {
    const written = levelRead.payload.parse(readLevel(draft({ tool: 'steel', hold: m('9'), cut: m('1.488') }), false).value);
    const typed = draftOfLevel(written, written.depth);
    expect(levelInstead(typed)).toMatchObject({ depth: m('7.512'), by: { tool: 'steel', hold: m('9'), cut: m('1.488') } });
    const mended = { ...typed, by: { ...typed.by, cut: m('1.588') } };
    expect(levelInstead(mended)).toMatchObject({ depth: m('7.412'), by: { cut: m('1.588') } });
    // Off an electric tape the depth is all there is.
    const plain = draftOfLevel({ measuringPoint: 'Rim', depth: m('7.4'), water: 'static' }, m('7.4'));
    expect(levelInstead(plain)).toEqual({ measuringPoint: 'Rim', depth: m('7.4'), water: 'static', kept: '' });
  });

  it('of a well that flows stands above the mark', () => {
    expect(depthOf(draft({ tool: 'flowing', head: m('0.42') }))).toEqual(m('-0.42'));
  });
});
