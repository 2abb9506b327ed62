import { belowMark } from '../../registers/index.ts';
import { base } from '../../units/index.ts';
import { packVolume, purgeTarget, standingWater, waterColumn, withPack } from '../pumping/volume.ts';
import { volumesOut, type PurgeMethod } from './method.ts';

/** Several casing volumes out, and stable readings. */
export const volumes: PurgeMethod<'volumes'> = {
  id: 'volumes',
  title: 'Casing volumes',
  meantFor: 'Monitoring wells with a pump or bailer brought along',
  source: purgeTarget.source,
  needsLevel: true,
  judges: true,
  counts: true,
  aim: (chosen, point, level) => {
    const mark = point.well.measuringPoints.find((candidate) => candidate.name === level?.measuringPoint);
    if (!level || !mark) return null;
    const bottom = chosen.bottom ? base(chosen.bottom) : belowMark(mark, point.well.bottom);
    if (bottom === null) return null;
    const insideDiameter = base(chosen.insideDiameter);
    const column = waterColumn({ bottom, depth: level.depth });
    if (column.value <= 0) return null;
    const standing = standingWater(point.well, mark, { insideDiameter, depth: level.depth, bottom });
    if (!standing) return null;
    const pack = chosen.withPack ? packVolume(point.well, mark, { insideDiameter, depth: level.depth }) : null;
    // Asked for and not to be had: no volume rather than one that is too small.
    if (chosen.withPack && !pack) return null;
    const oneVolume = pack ? withPack({ one: standing, other: pack }) : standing;
    return { of: 'casing', volumes: chosen.volumes, column, oneVolume, target: purgeTarget({ volumes: chosen.volumes, one: oneVolume }) };
  },
  conditions: (_, progress) => volumesOut(progress),
};
