import { textTable, type Mapping } from '@fonte/core/read';
import { describe, expect, it } from 'vitest';
import { readOf, score, type Score } from './strangers/score.ts';
import { trueFiles } from './strangers/truth.ts';
import { typedOut } from './strangers/typed-out.ts';

/*
 * Reports that somebody made who had not seen the reader, each with what is true of it (`strangers/reports/README.md`). Read without an answer to
 * any question. `npx tsx server/test/strangers/show.ts` prints each file; the floors below only rise.
 */
const floors = { right: 500, of: 504, answered: 502, typed: 378 };
/** What a person would answer to what a file asks, where its truth says it. */
const answers: Readonly<Record<string, Mapping>> = { 'en-x03-sheets-superseded.xlsx': { columns: {}, sheets: ['Results'] } };
/** Read though a person may ask: a blank parts thousands (ISO 80000-1), also where one number of a file has it. */
const silentKnown = ['fr-04'];

describe('reports of strangers', async () => {
  const scores: Score[] = [];
  for (const truth of trueFiles) {
    const read = await readOf(truth.file);
    const draft = 'draft' in read ? read.draft : null;
    const one = score(truth, draft?.results ?? [], draft);
    scores.push(one);

    it(`${truth.file} is never read to another number`, () => expect(one.wrong).toEqual([]));

    it(`${truth.file} is ${{ read: 'read', ask: 'asked about', refuse: 'refused' }[truth.fileMust]}`, () => {
      if (truth.fileMust === 'refuse') expect(draft === null || draft.refusal !== null).toBe(true);
      if (truth.fileMust === 'ask')
        expect(draft === null || draft.refusal !== null || draft.status !== null || draft.questions.length > 0).toBe(true);
      if (truth.fileMust === 'read') expect(draft?.refusal ?? null).toBeNull();
      if (!silentKnown.some((name) => truth.file.startsWith(name))) expect(one.silent).toEqual([]);
    });
  }

  it('are read to nearly all of their rows before anything is asked', () => {
    const sum = (of: (one: Score) => number) => scores.reduce((all, one) => all + of(one), 0);
    expect(sum((one) => one.of)).toBe(floors.of);
    expect(sum((one) => one.right)).toBeGreaterThanOrEqual(floors.right);
    expect(sum((one) => one.silent.length)).toBeLessThanOrEqual(silentKnown.length);
    expect(Math.max(...scores.map((one) => one.questions))).toBeLessThanOrEqual(6);
  });

  it('are read to more of them once they are answered, and to no other number', async () => {
    let right = scores.filter(({ file }) => !answers[file]).reduce((all, one) => all + one.right, 0);
    for (const truth of trueFiles.filter(({ file }) => answers[file])) {
      const read = await readOf(truth.file, answers[truth.file]);
      if (!('draft' in read)) throw new Error(`${truth.file}: ${read.refusal.code}`);
      const one = score(truth, read.draft.results, read.draft);
      expect([one.wrong, one.silent]).toEqual([[], []]);
      right += one.right;
    }
    expect(right).toBeGreaterThanOrEqual(floors.answered);
  });

  it('are read as well where blanks stand between their columns, and to no other number', async () => {
    let right = 0;
    // What is broken stays so; of two blocks under one heading the marks were other ones.
    for (const truth of trueFiles.filter(({ file, fileMust }) => file.endsWith('.csv') && fileMust !== 'refuse')) {
      const read = await readOf(truth.file, undefined, textTable(new TextEncoder().encode(typedOut(truth.file))));
      const one = score(truth, 'draft' in read ? read.draft.results : [], 'draft' in read ? read.draft : null);
      expect([truth.file, one.wrong]).toEqual([truth.file, []]);
      if (!silentKnown.some((name) => truth.file.startsWith(name))) expect([truth.file, one.silent]).toEqual([truth.file, []]);
      right += one.right;
    }
    expect(right).toBeGreaterThanOrEqual(floors.typed);
  }, 120_000);
});
