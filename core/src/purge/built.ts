import type { Data, Finding } from '../findings/index.ts';
import { insideDiameter, pipe, pipeIds, type PipeId } from './pipes.ts';

/** True inside diameters that wells usually have, in m: 20 mm standpipes to 1 m shafts. Common practice. */
const usual = { least: 0.02, most: 1 } as const;
/**
 * How far a diameter may be from that of the pipe it is said to be, in m: by its wall's tolerance, and less than from the true to a
 * nominal size (2.067 and 2 in). Common practice.
 */
const pipeTolerance = (known: number) => Math.max(0.0005, 0.01 * known);

/**
 * Asks about a well as it is being registered where its diameter looks like a slip: an inch typed as a millimetre, a
 * millimetre as an inch, or another pipe than the one that was chosen. Diameters in m.
 */
export function questionBuilt({
  insideDiameter: inside,
  pipe: id,
}: {
  insideDiameter?: number | undefined;
  pipe?: string | undefined;
}): Finding[] {
  if (inside === undefined) return [];
  const ask = (code: string, data: Data): Finding => ({ code, severity: 'question', field: 'well.insideDiameter', data });
  const found: Finding[] = [];
  if (inside < usual.least) found.push(ask('narrow', { inside }));
  if (inside > usual.most) found.push(ask('wide', { inside }));
  const known = pipeIds.find((one): one is PipeId => one === id);
  if (known && Math.abs(insideDiameter(known) - inside) > pipeTolerance(insideDiameter(known)))
    found.push(ask('other-pipe', { inside, pipe: pipe(known).name, known: insideDiameter(known) }));
  return found;
}
