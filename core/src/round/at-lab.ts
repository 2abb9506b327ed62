import { openResults, standingResults, type BottleAtLab, type BottlesByLabel } from '../read/index.ts';
import { wallTime } from '../time/index.ts';
import { parameter } from '../parameters/index.ts';
import { readOf } from '../bottles/index.ts';
import type { BottleState } from './bottle.ts';
import { onePerSample } from './by-hand.ts';
import type { RoundState } from './fold.ts';
import { filledOnForm } from './form.ts';
import type { OpenBottle } from './gaps.ts';

const atLab = (round: RoundState) => {
  const handed = new Set(round.handOvers.flatMap((handOver) => handOver.form.bottles.map((line) => line.bottle)));
  return ({ id, lost }: BottleState) => handed.has(id) && lost === null;
};

const forReport = (round: RoundState, bottle: BottleState): [string, BottleAtLab] => {
  const { id, visit, card, code, set, vials, unfiltered } = bottle;
  const isOfMetals = card.parameters.some((one) => parameter(one).isBound);
  const fraction = isOfMetals ? { fraction: card.filter && unfiltered === null ? ('dissolved' as const) : ('total' as const) } : {};
  const { name, parameters: asked, isAnyOf } = card;
  const known = {
    name,
    parameters: readOf(card),
    asked,
    visit,
    ...fraction,
    ...(isAnyOf ? { isAnyOf } : {}),
    ...(vials.length > 1 ? { set } : {}),
  };
  // What a lab reports of a blind duplicate is the time that its form said.
  const filled = wallTime(filledOnForm(bottle) ?? 0, round.plan.zone);
  return [id, { ...known, filledOn: filled.date, filledTime: filled.time.slice(0, 5), ...(code === null ? {} : { code }) }];
};

/**
 * The bottles whose results a report of this round may bring, by label: those handed over and not refused. A lab whose
 * desk does not answer may still report.
 */
export function bottlesAtLab(round: RoundState): BottlesByLabel {
  return new Map(round.bottles.filter(atLab(round)).map((bottle) => forReport(round, bottle)));
}

/** Every bottle of a round as a report is read against it: a row of one that the lab cannot have is said to be so. */
export function bottlesForReport(round: RoundState): BottlesByLabel {
  const isThere = atLab(round);
  return new Map(
    round.bottles.map((bottle) => {
      const [id, known] = forReport(round, bottle);
      return [id, isThere(bottle) ? known : { ...known, isElsewhere: true }];
    }),
  );
}

/** The bottles at a lab of which something is not reported yet, also before the first report: what a call may be about. */
export function openAtLab(round: RoundState): OpenBottle[] {
  const { reports, told, without } = round;
  const book = { reports, told, without, byHand: [] };
  const standing = standingResults(book);
  return onePerSample(round.bottles.filter(atLab(round))).flatMap((bottle) => {
    const parameters = openResults(bottle, book, standing);
    const pointName = round.visits.find(({ id }) => id === bottle.visit)?.name ?? '';
    return parameters.length > 0 ? [{ bottle: bottle.id, visit: bottle.visit, pointName, parameters }] : [];
  });
}
