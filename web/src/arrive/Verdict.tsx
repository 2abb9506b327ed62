import { fault, lastsFor, lastsNames, sayFound, worstFitness } from '@fonte/core/arrive';
import type { VisitState } from '@fonte/core/round';
import { Button } from 'antd';
import { Link } from 'react-router';
import { Alternatives } from './Alternatives.tsx';
import { Verdicts } from './Verdicts.tsx';

/** What was seen of the place, what it is good for, how long that lasts, and where to go instead. */
export function Verdict({ visit, again }: { visit: VisitState; again: () => void }) {
  const { verdicts, fitness } = visit.arrival;
  const unfit = verdicts.filter((one) => one.fitness === 'not-fit');
  const because = [...new Set(unfit.flatMap((one) => one.because))];
  const { found, odd } = fitness!;
  return (
    <section className="stack">
      <div className="row between">
        <Verdicts of={verdicts} />
        <Button onClick={again}>Look again</Button>
      </div>
      {found.length > 0 && (
        <ul className="plain small">
          {found.map((one) => (
            <li key={one.fault}>
              {sayFound(one)}. <span className="soft">{fault(one.fault).advice}</span>
            </li>
          ))}
        </ul>
      )}
      {odd && <p className="small">{odd}</p>}
      {worstFitness(verdicts) === 'not-fit' && (
        <>
          <div className="finding stop" role="alert">
            <p className="strong">What is taken here is no routine sample. {lastsNames[lastsFor(because)]}.</p>
            {lastsFor(because) !== 'today' && (
              <p className="small">
                <Link to={`/points/${visit.point.id}/edit`}>Say so in the register, with a day to look again</Link>
              </p>
            )}
          </div>
          <Alternatives visit={visit} unfit={unfit.map(({ kind }) => kind)} />
        </>
      )}
    </section>
  );
}
