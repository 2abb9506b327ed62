import { bottomBelow } from '../../registers/index.ts';
import { base, showNumber } from '../../units/index.ts';
import type { Computed } from '../../working/index.ts';
import { casingVolume, waterColumn } from '../volume.ts';
import type { PurgeMethod } from './method.ts';

const source = 'Three or more casing volumes: US EPA Region 4, groundwater sampling procedure; common practice';

/** `volumes` times one volume, in m³. */
export function purgeTarget(one: Computed, volumes: number): Computed {
  const value = one.value * volumes;
  return {
    value,
    unit: 'm3',
    working: {
      formula: 'to remove = volumes · one volume',
      inputs: [
        { symbol: 'n', name: 'volumes', value: volumes, unit: '1', decimals: 0 },
        { symbol: 'V', name: 'one volume', value: one.value * 1000, unit: 'L', decimals: 2 },
      ],
      steps: [...one.working.steps, `${volumes} · ${showNumber(one.value * 1000, 2)} L = ${showNumber(value * 1000, 1)} L`],
      source,
    },
  };
}

/** Several casing volumes out, and stable readings. */
export const volumes: PurgeMethod<'volumes'> = {
  id: 'volumes',
  title: 'Casing volumes',
  meantFor: 'Monitoring wells with a pump or bailer brought along',
  source,
  needsLevel: true,
  aim: (chosen, point, level) => {
    const mark = point.well.measuringPoints.find((candidate) => candidate.name === level?.measuringPoint);
    if (!level || !mark) return null;
    const insideDiameter = base(chosen.insideDiameter);
    const column = waterColumn({ bottom: bottomBelow(mark, point.well), depth: level.depth });
    const oneVolume = casingVolume({ insideDiameter, column: Math.max(0, column.value) });
    return { insideDiameter, volumes: chosen.volumes, column, oneVolume, target: purgeTarget(oneVolume, chosen.volumes) };
  },
};
