import { inBook, type Says } from '../book/index.ts';
import type { Words } from '../findings/index.ts';
import { hazard } from '../registers/index.ts';
import { fitnessJudged, placeRestored, riskChecked } from './entries.ts';
import { fault, type FoundFault } from './fitness.ts';
import type { Fitness, Lasts, TestKind } from './tables/faults.ts';

export const arriveWords: Words = {
  'stops-here': ({ name }) => `${name}: not without leave. Say whose, and who is with you.`,
  'nothing-to-restore': 'Nothing was moved here.',
};

export const testKindNames: Record<TestKind, string> = {
  germs: 'Bacteria',
  legionella: 'Legionella',
  lead: 'Lead',
  organics: 'Organics and PFAS',
  chemistry: 'Chemistry',
};
export const fitnessNames: Record<Fitness, string> = { fit: 'Fit', caution: 'Fit with caution', 'not-fit': 'Not fit' };
export const lastsNames: Record<Lasts, string> = {
  today: 'Today only',
  days: 'Some days: look again',
  mended: 'Until somebody mends it',
  always: 'For good',
};

/** A fault that was seen and what was done about it, in a few words. */
export function sayFound({ fault: id, isDone }: FoundFault): string {
  const { seen, can } = fault(id);
  return isDone && can ? `${seen}: ${can.do.charAt(0).toLowerCase()}${can.do.slice(1)}` : seen;
}

export const arriveSays: readonly Says[] = [
  inBook(riskChecked, ({ hazards, permit, left }) => {
    const seen = hazards.length > 0 ? hazards.map((id) => hazard(id).name).join(', ') : 'Nothing that may hurt';
    return `${seen}.${permit ? ` By leave: ${permit}.` : ''}${left ? ' The work was not begun.' : ''}`;
  }),
  inBook(
    fitnessJudged,
    ({ found, odd }) => `${found.length > 0 ? `${found.map(sayFound).join('; ')}.` : 'Nothing wrong.'}${odd ? ` ${odd}` : ''}`,
  ),
  inBook(placeRestored, ({ open }) => (open ? `Not all could be put back: ${open}` : 'All put back.')),
];
