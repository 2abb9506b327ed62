import { expect, it } from 'vitest';
import { analysisIds } from '../bottles/index.ts';
import { instrumentFor } from '../prepare/index.ts';
import { pointKindIds, pointKind } from '../registers/index.ts';
import { protocolsFor } from '../tap/index.ts';
import { stepsFor } from '../tap/where.ts';
import { tapPoint, wellPoint } from '../../test/script.ts';
import { instrumentsFor } from './needs.ts';

const date = '2026-11-30';

it('nothing that a protocol asks to measure comes as a surprise after the van has left', () => {
  let asked = 0;
  for (const kind of pointKindIds)
    for (const analysis of analysisIds) {
      const point = { ...(pointKind(kind).type === 'well' ? wellPoint : tapPoint), kind };
      const listed = instrumentsFor({ visits: [{ id: 'v', point, analyses: [analysis] }], date });
      for (const protocol of protocolsFor([analysis], point))
        for (const { act } of stepsFor(protocol, point)) {
          const needs = act.type === 'measure' || act.type === 'constant' ? instrumentFor(act.parameter) : null;
          if (!needs) continue;
          asked += 1;
          const found = listed.find((one) => one.kind === needs);
          // With the range that is read: its checks are those of the list.
          expect(found?.of, `${analysis} at ${kind}: ${protocol.id}`).toContain((act as { parameter: string }).parameter);
        }
    }
  expect(asked).toBeGreaterThan(50);
});
