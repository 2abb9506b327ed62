import { clockQuestions, inOrderOfWork, type AnyKind } from '@fonte/core/book';
import { kindOf, sayEntry, sayMisfit, titleOf } from '@fonte/core/round';
import { millis, showDuration } from '@fonte/core/time';
import { useSession } from '../session/session.ts';
import { Mark } from '../theme/Mark.tsx';
import { showMoment } from '../time/show.ts';
import { Correct } from './Correct.tsx';
import { Holds } from './Holds.tsx';

import { isFromHousehold, TakeOver } from './TakeOver.tsx';
import { useRound } from './useRound.ts';

type Aside = ReturnType<typeof useRound>['round']['aside'][number];

/** What stands in the book and does not fit: a person places it by saying when it was, or strikes it. */
export function Settle() {
  const { round } = useRound();
  const household = inOrderOfWork(round.aside.map(({ entry }) => entry).filter(isFromHousehold));
  const others = round.aside.filter(({ entry }) => !isFromHousehold(entry));
  return (
    <>
      {household.length > 0 && (
        <section className="finding question settle" aria-labelledby="of-household">
          <Mark kind="question" />
          <h2 id="of-household">
            {round.kit.given?.name ?? 'A household'} wrote {household.length === 1 ? '1 entry' : `${household.length} entries`}
          </h2>
          <p>It stands in the book and counts for nothing until somebody has read it and takes it over. Strike what did not happen so.</p>
          <Lines of={round.aside.filter(({ entry }) => isFromHousehold(entry))} />
          <div>
            <TakeOver entries={household} />
          </div>
        </section>
      )}
      {others.length > 0 && (
        <section className="finding question settle" aria-labelledby="settle">
          <Mark kind="question" />
          <h2 id="settle">Set aside: {others.length === 1 ? '1 entry does' : `${others.length} entries do`} not fit</h2>
          <p>It stands in the book and counts for nothing until somebody places it, by saying when it was, or strikes it.</p>
          <Lines of={others} />
        </section>
      )}
    </>
  );
}

function Lines({ of }: { of: readonly Aside[] }) {
  const { round } = useRound();
  const { people } = useSession();
  const nameOf = (id: string) => people.find((person) => person.id === id)?.name ?? 'the server';
  return (
    <ul className="plain stack">
      {of.map(({ entry, misfit }) => {
        const kind: AnyKind | null = kindOf(entry.kind);
        const point = round.visits.find((visit) => visit.id === entry.visit)?.point.name;
        const isOwn = isFromHousehold(entry);
        return (
          <li key={entry.id} className="row between">
            <span>
              <span className="strong">{titleOf(entry)}</span> {sayEntry(entry)}
              <br />
              <span className="small">
                {point && !isOwn ? `${point}, ` : ''}
                {showMoment(millis(entry.at), round.plan.zone)}
                {isOwn ? '' : `, ${nameOf(entry.author)}. ${sayMisfit(misfit)}`}
              </span>
            </span>
            {'doubt' in entry && !isOwn && <Holds entry={entry} what={titleOf(entry).toLowerCase()} />}
            {kind && kind.correction !== 'none' && (
              <Correct
                entry={entry.id}
                kind={kind}
                what={`${titleOf(entry).toLowerCase()}, ${showMoment(millis(entry.at), round.plan.zone)}`}
                label={kind.correction === 'replace' ? 'Place or strike' : 'Strike'}
              />
            )}
          </li>
        );
      })}
    </ul>
  );
}

/** Devices whose clock and the server's disagreed: nothing is refused for it, and nothing is trusted in silence. */
export function Clocks() {
  const { entries } = useRound();
  const questions = clockQuestions(entries);
  if (questions.length === 0) return null;
  return (
    <section className="finding question small" aria-label="Clocks">
      <Mark kind="question" />
      {questions.map(({ device, ahead, entries: told }) => (
        <p key={device}>
          A device’s clock was {showDuration(Math.abs(ahead))} {ahead > 0 ? 'ahead of' : 'behind'} the server’s when it sent{' '}
          {told.length === 1 ? '1 entry' : `${told.length} entries`} (device …{device.slice(-4)}). Check its times in the field book.
        </p>
      ))}
    </section>
  );
}
