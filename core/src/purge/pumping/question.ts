import type { Data, Finding } from '../../findings/index.ts';
import type { AgreedLevel } from '../../level/index.ts';
import { belowMark, type WellPoint } from '../../registers/index.ts';
import { base } from '../../units/index.ts';
import type { PurgeChoice } from '../entries.ts';
import { pump, suctionLift } from './gear.ts';

/** An intake stays so far off the bottom, in m, for the silt that lies there. US EPA Region 1, EQASOP-GW4: two feet where it can. */
const offBottom = 0.3;

/** Whether the pump reaches, is under water, and leaves in the water what is looked for. */
export function questionPump(chosen: PurgeChoice, well: WellPoint['well'], level: AgreedLevel | null, isVolatile: boolean): Finding[] {
  if (!('pump' in chosen) && !('intake' in chosen)) return [];
  const { pump: id, intake: typed } = chosen;
  const found: Finding[] = [];
  const ask = (code: string, field: string, data: Data = {}) => found.push({ code, severity: 'question', field, data });
  const mark = well.measuringPoints.find(({ name }) => name === level?.measuringPoint);
  const row = id ? pump(id) : null;
  const most = suctionLift(mark?.elevation);
  if (row?.isSuction && level && level.depth > most) ask('beyond-suction', 'pump', { depth: level.depth, most });
  if (row?.stripsGas && isVolatile) ask('strips-gas', 'pump', { pump: row.name });
  return typed ? [...found, ...questionIntake(base(typed), chosen, well, level)] : found;
}

/** Whether an intake, in m below the mark, is under water and where the well gives it. */
function questionIntake(intake: number, chosen: PurgeChoice, well: WellPoint['well'], level: AgreedLevel | null): Finding[] {
  const found: Finding[] = [];
  const ask = (code: string, data: Data) => found.push({ code, severity: 'question', field: 'intake', data });
  if (level && intake <= level.depth) ask('intake-dry', { intake, depth: level.depth });
  const mark = well.measuringPoints.find(({ name }) => name === level?.measuringPoint);
  if (!mark) return found;
  const [bottom, top, end] = [well.bottom, well.screenTop, well.screenBottom].map((one) => belowMark(mark, one));
  if (bottom != null && intake > bottom) ask('intake-too-deep', { intake, bottom });
  else if (bottom != null && intake > bottom - offBottom) ask('intake-at-bottom', { above: bottom - intake });
  else if (chosen.method === 'low-flow' && top != null && end != null && (intake < top || intake > end))
    ask('intake-off-screen', { intake, from: top, to: end });
  return found;
}
