import { belowMark } from '../../registers/index.ts';
import { base } from '../../units/index.ts';
import { purgeTarget, standingWater, waterColumn } from '../volume.ts';
import type { PurgeMethod } from './method.ts';

/** Several casing volumes out, and stable readings. */
export const volumes: PurgeMethod<'volumes'> = {
  id: 'volumes',
  title: 'Casing volumes',
  meantFor: 'Monitoring wells with a pump or bailer brought along',
  source: purgeTarget.source,
  needsLevel: true,
  aim: (chosen, point, level) => {
    const mark = point.well.measuringPoints.find((candidate) => candidate.name === level?.measuringPoint);
    if (!level || !mark) return null;
    const bottom = chosen.bottom ? base(chosen.bottom) : belowMark(mark, point.well.bottom);
    if (bottom === null) return null;
    const insideDiameter = base(chosen.insideDiameter);
    const column = waterColumn({ bottom, depth: level.depth });
    if (column.value <= 0) return null;
    const oneVolume = standingWater(point.well, mark, { insideDiameter, depth: level.depth, bottom });
    if (!oneVolume) return null;
    return { insideDiameter, volumes: chosen.volumes, column, oneVolume, target: purgeTarget({ volumes: chosen.volumes, one: oneVolume }) };
  },
};
