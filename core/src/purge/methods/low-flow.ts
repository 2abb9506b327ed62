import { base } from '../../units/index.ts';
import { purgeTarget } from '../pumping/volume.ts';
import { driveTrainOf, type DriveTrain } from '../pumping/gear.ts';
import { levelRead, volumesOut, type PurgeAim, type PurgeMethod } from './method.ts';

/** The level may fall so little, in m, where nobody says another figure. Source: EPA/540/S-95/504 (1996). */
export const classicDrawdown = 0.1;
/** Flows that the low-flow school pumps at, in m³/s: 100 to 500 mL/min. Source: EPA/540/S-95/504 (1996). */
export const classicFlow = { least: 0.1e-3 / 60, most: 0.5e-3 / 60 } as const;
/** Two levels while pumping that are no further apart than this, in m, stand still. Common practice: what a tape tells. */
export const still = 0.01;

/** What pump, tubing and cell hold has to be out before a reading is one of the well. */
const driveTrainAim = (typed: DriveTrain): PurgeAim => {
  const one = driveTrainOf(typed);
  return { of: 'drive-train', volumes: 1, column: null, oneVolume: one, target: purgeTarget({ volumes: 1, one }) };
};

/** Pumped so slowly that the level hardly falls, and stable readings. */
export const lowFlow: PurgeMethod<'low-flow'> = {
  id: 'low-flow',
  title: 'Low flow',
  meantFor: 'Monitoring wells; the intake in the screen, 100–500 mL/min, the level hardly falls',
  source: 'EPA/540/S-95/504 (1996); US EPA Region 1, EQASOP-GW4, rev. 4 (2017)',
  needsLevel: true,
  judges: true,
  counts: true,
  aim: (chosen) => driveTrainAim(chosen),
  conditions: (chosen, progress) => {
    const { levels, atRest, provenFrom } = progress;
    const most = base(chosen.mostDrawdown);
    // What the level did before it was pumped slower is no more: it counts while the sets are read that have to agree.
    const during = levels.filter(({ at }) => provenFrom !== null && at >= provenFrom);
    const worst = Math.max(...(during.length > 0 ? during : levels.slice(-1)).map(({ depth }) => depth));
    const by = levels.length === 0 || atRest === null ? null : worst - atRest;
    return [
      ...volumesOut(progress),
      levelRead(progress),
      ...(by === null ? [] : [{ code: 'drawdown-small', met: by <= most + 1e-9, data: { by, most } }]),
    ];
  },
};

/** As fast as the well gives without its level falling on, and the flow split for the bottles. */
export const steadyLevel: PurgeMethod<'steady-level'> = {
  id: 'steady-level',
  title: 'Any flow that holds the level',
  meantFor: 'Wells in a good aquifer: litres a minute, the flow split at a manifold for the bottles',
  source: 'Common practice of a school that sets no figure for the flow',
  needsLevel: true,
  judges: true,
  counts: true,
  aim: (chosen) => driveTrainAim(chosen),
  conditions: (_, progress) => {
    const [before, last] = progress.levels.slice(-2);
    const by = before && last ? Math.abs(last.depth - before.depth) : null;
    return [
      ...volumesOut(progress),
      by === null
        ? { code: 'two-levels', met: false, data: { read: progress.levels.length } }
        : { code: 'level-still', met: by <= still + 1e-9, data: { by, most: still } },
    ];
  },
};
