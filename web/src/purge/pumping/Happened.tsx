import { flowTimed, pumpingLevelRead, pumpNames, pumpSwitched, type PurgeState } from '@fonte/core/purge';
import { fromBase, show, showNumber, showTyped, unitLabel } from '@fonte/core/units';
import { Correct } from '../../book/Correct.tsx';
import { useRound } from '../../book/useRound.ts';
import { showTime } from '../../time/show.ts';
import { useUnitSystem } from '../../units/system.ts';

/** What pump, flow and level did between the sets, each to be struck where it was not so. */
export function Happened({ purge }: { purge: PurgeState }) {
  const { round } = useRound();
  const {
    units: {
      depth: [unit, decimals],
    },
  } = useUnitSystem();
  const { switches, flows, levels } = purge;
  const written = new Set(purge.sets.map(({ entry }) => entry));
  const events = [
    ...switches.map(({ entry, at, pump }) => ({
      entry,
      at,
      correct: <Correct entry={entry} kind={pumpSwitched} what={`the pump ${pumpNames[pump].toLowerCase()}`} />,
      says: `Pump: ${pumpNames[pump].toLowerCase()}`,
    })),
    ...flows.map(({ entry, at, flow, timings }) => ({
      entry,
      at,
      correct: <Correct entry={entry} kind={flowTimed} what="the flow" />,
      says: `Flow ${show(flow, 'mL/min', 0)}: ${timings.map(({ caught, took }) => `${showTyped(caught)} in ${showTyped(took)}`).join(', ')}.`,
    })),
    // A level that was read with a set stands with it.
    ...levels
      .filter(({ entry }) => !written.has(entry))
      .map(({ entry, at, depth }) => ({
        entry,
        at,
        correct: <Correct entry={entry} kind={pumpingLevelRead} what="the level" />,
        says: `Level ${showNumber(fromBase(depth, unit), decimals)} ${unitLabel(unit)}.`,
      })),
  ].sort((a, b) => b.at - a.at);
  if (events.length === 0) return null;
  return (
    <details>
      <summary>Pump, flow and levels between the sets</summary>
      <ul className="plain stack">
        {events.map(({ entry, at, correct, says }) => (
          <li key={entry} className="row between">
            <span>
              {showTime(at, round.plan.zone)} {says}
            </span>
            {correct}
          </li>
        ))}
      </ul>
    </details>
  );
}
