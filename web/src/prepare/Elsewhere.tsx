import { checkedElsewhere, checkRow, instrumentChecked, judgeCheck, outcomeNames, recentChecks } from '@fonte/core/prepare';
import type { Instrument } from '@fonte/core/registers';
import { dateAfter, millis, wallTime } from '@fonte/core/time';
import { showTyped } from '@fonte/core/units';
import { Button } from 'antd';
import { useAnswer } from '../api/useAnswer.ts';
import { inOutbox } from '../book/outbox.ts';
import { useRound } from '../book/useRound.ts';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { May } from '../session/May.tsx';
import { Mark } from '../theme/Mark.tsx';
import { now, offsetAt } from '../time/clock.ts';
import { showMoment } from '../time/show.ts';

/** Checks of other rounds that this device has not sent yet. */
const unsent = () =>
  inOutbox().flatMap(({ book, entry, state }) =>
    state === 'waiting' && instrumentChecked.is(entry) && !entry.payload.taken
      ? [{ round: book, entry: entry.id, at: millis(entry.at), payload: entry.payload }]
      : [],
  );

/** What another round of the day has checked of an instrument: it counts here once somebody takes it over. */
export function Elsewhere({ instrument }: { instrument: Instrument }) {
  const { id, round, append } = useRound();
  const { busy, run, say } = useAction();
  const { zone, date } = round.plan;
  const from = Date.parse(dateAfter(wallTime(now(), zone).date, -2));
  const { data = [] } = useAnswer(recentChecks, { query: { from } });
  const made = checkedElsewhere(instrument.id, [...data, ...unsent()], round.prepare, id, { at: now(), zone });
  if (made.length === 0) return null;
  const take = async () => {
    for (const { round: other, entry, at, payload } of made) {
      const taken = { round: other, entry, at: { utc: new Date(at).toISOString(), offset: offsetAt(at) } };
      await append(instrumentChecked, { ...payload, taken });
    }
  };
  return (
    <div className="finding note small">
      <Mark kind="note" />
      <div>
        <p>Checked in another round:</p>
        <ul className="plain">
          {made.map(({ entry, at, payload }) => (
            <li key={entry}>
              {checkRow(payload.check).name}: {outcomeNames[judgeCheck(payload, date)].toLowerCase()}
              {payload.reading ? ` at ${showTyped(payload.reading)}` : ''}, {showMoment(at, zone)}
            </li>
          ))}
        </ul>
        <May do={instrumentChecked}>
          <Button loading={busy} onClick={() => void run(take)}>
            {made.length === 1 ? 'Use this check' : `Use these ${made.length} checks`}
          </Button>
        </May>
        <Said say={say} />
      </div>
    </div>
  );
}
