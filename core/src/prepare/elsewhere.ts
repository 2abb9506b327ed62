import type { PrepareBook } from './prepare.ts';
import type { CheckMadeElsewhere } from './endpoints.ts';
import { checkHolds, type When } from './holds.ts';

/**
 * What other rounds checked of an instrument that still holds and was not read here since: the last of each check, whatever came of it.
 * @param made from any round, in any order
 */
export function checkedElsewhere(
  instrument: string,
  made: readonly CheckMadeElsewhere[],
  { checks }: Pick<PrepareBook, 'checks'>,
  round: string,
  when: When,
): CheckMadeElsewhere[] {
  const own = made.filter((one) => one.payload.instrument.id === instrument && one.round !== round);
  // What this device has not sent yet may be older than what the server has: a failure since then is not passed over.
  const last = new Map(own.sort((a, b) => a.at - b.at).map((one) => [one.payload.check, one]));
  return [...last.values()].filter(
    ({ at, payload: { check } }) =>
      at <= when.at &&
      checkHolds(at, when) &&
      !checks.some((one) => one.instrument.id === instrument && one.check === check && one.at >= at),
  );
}
