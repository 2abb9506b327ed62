import { describe, expect, it } from 'vitest';
import { parameter, parameterIds } from '../parameters/index.ts';
import { readReport, textTable, typedMapping, typedSheet, unitsToType, type TypedResult } from './index.ts';

const bottles = new Map([['A', { name: 'All', parameters: parameterIds, filledOn: '2026-11-23' }]]);
const read = (results: readonly TypedResult[]) => {
  const found = readReport(textTable(new TextEncoder().encode(typedSheet(results))), bottles, typedMapping);
  if ('refusal' in found) throw new Error(found.refusal.code);
  return found.draft;
};

describe('a sheet that is typed in', () => {
  const all = parameterIds.flatMap((id) => unitsToType(id).map((unit) => ({ id, unit })));

  it('has units for every parameter', () => {
    expect(parameterIds.filter((id) => unitsToType(id).length === 0)).toEqual([]);
  });

  it.each(all)('is read back as it was typed: $id in $unit', ({ id, unit }) => {
    const draft = read([{ bottle: 'A', parameter: id, result: '<6,5', unit, reportingLimit: '0,5' }]);
    expect(draft.unread).toEqual([]);
    expect(draft.results).toMatchObject([{ bottle: 'A', parameter: id, form: 'below', written: { result: '<6,5', unit } }]);
  });

  it('keeps nitrogen and the ion apart: 10 mg/L as N is 44.27 mg/L of nitrate, by molar masses', () => {
    const draft = read([
      { bottle: 'A', parameter: 'nitrate', result: '10', unit: 'mg/L N', reportingLimit: '' },
      { bottle: 'A', parameter: 'nitrite', result: '10', unit: 'mg/L NO2', reportingLimit: '' },
      { bottle: 'A', parameter: 'iron', result: '0.34', unit: 'mg/L', reportingLimit: '' },
    ]);
    expect(draft.results.map(({ value }) => Number(value!.toFixed(2)))).toEqual([44.27, 10, 340]);
  });

  it('cannot be made to say something else by what is typed', () => {
    const draft = read([{ bottle: 'A', parameter: 'iron', result: '3","x\nA,lead,1,mg/L', unit: 'mg/L', reportingLimit: '' }]);
    expect([draft.results, draft.unreadCount]).toEqual([[], 1]);
    expect(parameter('iron').unit).toBe('ug/L');
  });
});
