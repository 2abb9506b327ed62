import { hour } from '../../time/index.ts';
import type { Condition, PurgeMethod } from './method.ts';

/** So long after it ran dry a sample is taken, in h. Common practice. */
export const dryHours = 24;

/** A well that gives too little: purged once until it is dry, left to recover, and sampled then. */
export const dry: PurgeMethod<'dry'> = {
  id: 'dry',
  title: 'Purge dry, let it recover',
  meantFor: 'Wells that run dry whatever the flow; sampled once they have recovered, within a day',
  source: 'Once to dryness, 80–90 % recovered, within 24 h: common practice; US EPA Region 4, LSASDPROC-301',
  needsLevel: true,
  judges: false,
  counts: false,
  aim: () => null,
  conditions: ({ recover }, { ranDry, atRest, lowest, levels }): Condition[] => {
    if (ranDry === null) return [{ code: 'ran-dry', met: false }];
    const last = levels.findLast(({ at }) => at >= ranDry);
    const share = last && atRest !== null && lowest !== null && lowest > atRest ? (lowest - last.depth) / (lowest - atRest) : null;
    return [
      { code: 'ran-dry', met: true },
      share === null
        ? { code: 'recovery-unread', met: false, data: { asked: recover } }
        : { code: 'recovered', met: share * 100 >= recover - 1e-9, data: { percent: share * 100, asked: recover } },
      ...(last ? [{ code: 'in-time', met: last.at - ranDry <= dryHours * hour, data: { hours: dryHours } }] : []),
    ];
  },
};
