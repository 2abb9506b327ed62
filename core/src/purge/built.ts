import type { Finding } from '../findings/index.ts';
import { show } from '../units/index.ts';
import { insideDiameter, pipe, pipeIds, type PipeId } from './pipes.ts';

/** True inside diameters that wells usually have, in m: 20 mm standpipes to 1 m shafts. Common practice. */
const usual = { least: 0.02, most: 1 } as const;
/** How far a diameter may be from that of the pipe it is said to be, in m. */
const pipeTolerance = 0.003;

/**
 * Asks about a well as it is being registered where its diameter looks like a slip: an inch typed as a millimetre, a
 * millimetre as an inch, or another pipe than the one that was chosen. Diameters in m.
 */
export function questionBuilt({ insideDiameter: inside, pipe: id }: { insideDiameter: number; pipe?: string | undefined }): Finding[] {
  const ask = (code: string, message: string, advice: string): Finding => ({
    code,
    severity: 'question',
    about: 'well.insideDiameter',
    message,
    advice,
  });
  const found: Finding[] = [];
  if (inside < usual.least) found.push(ask('narrow', `${show(inside, 'mm', 1)} is narrow for a well.`, 'Was it inches?'));
  if (inside > usual.most) found.push(ask('wide', `${show(inside, 'm', 2)} is wide for a well.`, 'Was it millimetres?'));
  const known = pipeIds.find((one): one is PipeId => one === id);
  if (known && Math.abs(insideDiameter(known) - inside) > pipeTolerance)
    found.push(
      ask(
        'other-pipe',
        `${pipe(known).name} is ${show(insideDiameter(known), 'mm', 1)} inside, not ${show(inside, 'mm', 1)}.`,
        'A nominal size is no inside diameter. Measure it, or choose another pipe.',
      ),
    );
  return found;
}
