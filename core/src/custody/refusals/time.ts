import { hour, minute } from '../../time/index.ts';
import { holdingOf, startBy } from '../holding.ts';
import { isIntakeOpen, latestHandOver, nextIntake } from '../intake.ts';
import { always, onTheWay, question, stop, type BottleCheck } from './situation.ts';

/** From here on a bottle's time is short, in ms. */
const shortTime = 60 * minute;

/** Both ends of the time that a bottle keeps, and the lab's door. */
export const timeChecks: readonly BottleCheck[] = [
  {
    // Filled now it must find a door that is open before its time is over.
    at: ['tap'],
    of: ({ bottle }, { now, arrival }, lab) => {
      if (!lab) return [];
      const { deadline, hours } = holdingOf(bottle.rule, bottle.card, now, lab);
      if (latestHandOver(lab, arrival, deadline, bottle.rule) !== null) return [];
      const next = nextIntake(lab, arrival, bottle.rule);
      return [stop('cannot-reach', bottle.id, { hours, ...(next ? { opens: next.opens - now } : {}) })];
    },
  },
  {
    at: onTheWay,
    of: ({ bottle }, { now, arrival }, lab) => {
      const { deadline } = holdingOf(bottle.rule, bottle.card, bottle.filledAt ?? now, lab);
      // Exactly at the end is in time.
      const left = deadline - arrival;
      if (left < 0) return [stop('holding-over', bottle.id, deadline < now ? { since: now - deadline } : { before: deadline - now })];
      return left < shortTime ? [question('holding-short', bottle.id, { left })] : [];
    },
  },
  {
    at: always,
    of: ({ bottle }, { now, arrival }, lab) => {
      const start = lab && startBy(bottle.rule, bottle.card, bottle.filledAt ?? now, lab);
      if (!start || holdingOf(bottle.rule, bottle.card, bottle.filledAt ?? now, lab).deadline < arrival) return [];
      const { starts, until } = { starts: arrival + start.after * hour, until: start.deadline };
      return starts > until ? [stop('starts-late', bottle.id, { after: start.after, hours: start.hours, by: starts - until })] : [];
    },
  },
  {
    at: onTheWay,
    of: ({ bottle }, { now, arrival }, lab) => {
      if (!lab || isIntakeOpen(lab, arrival, bottle.rule)) return [];
      const next = nextIntake(lab, arrival, bottle.rule);
      const data = { bottle: bottle.card.name.toLowerCase() };
      // A way out that comes too late is none.
      const { deadline } = holdingOf(bottle.rule, bottle.card, bottle.filledAt ?? now, lab);
      if (next && next.opens > deadline) return [stop('intake-too-late', bottle.id, { ...data, opens: next.opens - now })];
      return [next ? stop('intake-closed', bottle.id, { ...data, opens: next.opens - now }) : stop('no-intake', bottle.id, data)];
    },
  },
];
