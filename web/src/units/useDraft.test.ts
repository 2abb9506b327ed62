import { expect, it } from 'vitest';
import { keptDraft } from './useDraft.ts';

const fresh = { value: { name: '', visits: [] as string[] }, id: 'new' };
const kept = (value: unknown) => JSON.stringify({ value, id: 'old' });

it('brings back what was typed, with the id of the entry it will become', () => {
  expect(keptDraft(kept({ name: 'Monday', visits: ['a'] }), fresh)).toEqual({ value: { name: 'Monday', visits: ['a'] }, id: 'old' });
  expect(keptDraft(kept('ran dry'), { value: '', id: 'new' })).toEqual({ value: 'ran dry', id: 'old' });
});

it('takes from the empty form what an earlier version of it did not keep', () => {
  expect(keptDraft(kept({ name: 'Monday' }), fresh)).toEqual({ value: { name: 'Monday', visits: [] }, id: 'old' });
});

it('begins anew with what is no draft', () => {
  for (const text of [null, 'no json', '[]', 'null', '{"id":"x"}', kept(['a']), kept(7)])
    expect(keptDraft(text, fresh), String(text)).toEqual(fresh);
});
