import { derive, forCrops, judgeDerived, notForAnimals, questionAnalysis, sayInfiltration, type Derived } from '@fonte/core/derived';
import { sayBecause, waterOf } from '@fonte/core/limits';
import { inText } from '@fonte/core/parameters';
import { ofPoint, type VisitVerdict } from '@fonte/core/round';
import { showNumber } from '@fonte/core/units';
import { Findings } from '../findings/Findings.tsx';
import { Mark } from '../theme/Mark.tsx';
import { How } from '../working/Figure.tsx';
import { verdictWords as words } from './verdictWords.ts';

/** A quantity with what it is called, and what the set that leads says of it. */
function Quantity({ of, verdict }: { of: Derived; verdict: ReturnType<typeof judgeDerived> }) {
  const { row, low, high, classes, without, working } = of;
  const shown = (value: number) => showNumber(value, row.decimals);
  const span = shown(low) === shown(high) ? shown(high) : `${shown(low)} to ${shown(high)}`;
  return (
    <li>
      <span className="strong">{row.name}</span> <span className="number">{`${span} ${row.unit}`.trim()}</span>
      {classes.length > 0 && <span>: {classes.map(({ by, name }) => `${name} (${by})`).join(', ')}</span>}.{' '}
      {verdict && (
        <span className={`word tone-${words[verdict.state][2]}`}>
          <Mark kind={words[verdict.state][1]} size={13} />
          {words[verdict.state][0]}. {sayBecause(row.same!, verdict.because)}
        </span>
      )}{' '}
      <span className="soft">{without.length > 0 && `Without ${without.map(inText).join(', ')}.`}</span>{' '}
      <How working={working} label="How it came about" />
    </li>
  );
}

/** What follows from the results of one water: hardness, sums of ions, what crops and animals bear. No result of the lab. */
export function WorkedOut({ of: { judged, sets, day } }: { of: VisitVerdict }) {
  const results = ofPoint(judged).map(({ result }) => result);
  const derived = derive(results);
  const uses = sets.map(waterOf);
  const crops = uses.includes('irrigation') ? forCrops(results, derived) : null;
  const animals = uses.includes('stock') ? notForAnimals(results) : [];
  if (derived.length === 0 && !crops?.infiltration && !crops?.boron.length && animals.length === 0) return null;
  return (
    <section className="stack" aria-label="Worked out from the results">
      <h3>Worked out from the results</h3>
      <Findings of={questionAnalysis(derived, results)} />
      <ul className="plain small">
        {derived.map((one) => (
          <Quantity key={one.row.id} of={one} verdict={judgeDerived(one, results, sets[0], day)} />
        ))}
      </ul>
      {crops?.infiltration && <p className="small">{sayInfiltration(crops.infiltration)}</p>}
      {crops && crops.boron.length > 0 && (
        <ul className="small" aria-label="Crops that its boron harms">
          {crops.boron.map(({ name, crops: which }) => (
            <li key={name}>
              Too much boron for {name} crops: {which}.
            </li>
          ))}
        </ul>
      )}
      {animals.length > 0 && (
        <ul className="small" aria-label="Animals it is not for">
          {animals.map(({ name, of }) => (
            <li key={name}>
              {name}: too much, by {of.map(inText).join(' and ')}.
            </li>
          ))}
        </ul>
      )}
      <p className="soft small">Fonte worked these out; the lab did not report them. No follow-up depends on them.</p>
    </section>
  );
}
