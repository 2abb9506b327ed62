import { PurgeChoice } from '@fonte/core/purge';
import { expect, it } from 'vitest';
import type { z } from 'zod';
import { draftFrom, draftOf, readSetUp, setUpAtFirst, type SetUpDraft } from './setUpDraft.ts';

const ownPump = { name: 'Old Bess', kind: 'submersible' };
const point = { use: 'monitoring', well: { measuringPoints: [{ name: 'North rim' }], ownPump } } as never;
const units = { diameter: ['mm', 0], depth: ['m', 2] } as const;
const around = { asksBottom: false, own: [], ownPump };
const drafted = (change: Partial<SetUpDraft>): SetUpDraft => ({ ...setUpAtFirst(null, point, null, units as never), ...change });
const read = (draft: SetUpDraft) => PurgeChoice.safeParse(readSetUp(draft, around).value);
const lowFlow: Partial<SetUpDraft> = { method: 'low-flow', water: 'container' };

it('takes a drive train as one number, or by its parts, and asks for what is missing of the chosen one', () => {
  const whole = read(drafted({ ...lowFlow, drive: 'whole', holdsInAll: { text: '950', unit: 'mL' }, tubing: { text: '20', unit: 'm' } }));
  expect(whole.data).toMatchObject({ holdsInAll: { text: '950', unit: 'mL' } });
  expect(whole.data).not.toHaveProperty('tubing');
  const parts = read(drafted({ ...lowFlow, holdsInAll: { text: '950', unit: 'mL' }, tubing: { text: '20', unit: 'm' } }));
  expect(parts.error?.issues.map(({ path, message }) => [path.join('.'), message])).toEqual([
    ['tubingInside', 'Enter it, or the whole as one number.'],
  ]);
});

it('has the pump of the well by its name', () => {
  const { data } = read(drafted({ ...lowFlow, drive: 'whole', holdsInAll: { text: '1', unit: 'L' }, pump: 'own' }));
  expect(data).toMatchObject({ pump: 'submersible', pumpNamed: 'Old Bess' });
  expect(draftOf(data!, ownPump)).toMatchObject({ pump: 'own', drive: 'whole' });
  // It was taken out since.
  expect(draftOf(data!, undefined)).toMatchObject({ pump: 'submersible' });
});

it('fills in the whole of a set-up of before, but no depth below another mark and no edition that is past', () => {
  const chosen = {
    method: 'volumes',
    insideDiameter: { text: '52', unit: 'mm' },
    volumes: 5,
    pump: 'bladder',
    intake: { text: '14.6', unit: 'm' },
    water: 'leave',
    criterion: 'two-sets@2026-1',
    parameters: ['ph'],
  } satisfies z.output<typeof PurgeChoice>;
  const earlier = { round: 'r', visit: 'v', at: 0, mark: 'North rim', chosen };
  const from = (mark: string | null) => draftFrom(earlier, { mark, own: [], ownPump });
  expect(from('North rim')).toMatchObject({
    volumes: 5,
    pump: 'bladder',
    intake: { text: '14.6', unit: 'm' },
    water: 'leave',
    parameters: ['ph'],
  });
  expect(from('South rim')).not.toHaveProperty('intake');
  expect(from(null).criterion).toMatch(/^two-sets@2026-(?!1$)/);
  expect(read(drafted(from('North rim'))).success).toBe(true);
});
