import { allowed, checkRecord, checkRow, type CheckId, type CheckOfRecord } from '@fonte/core/prepare';
import { parameter } from '@fonte/core/parameters';
import type { Instrument } from '@fonte/core/registers';
import { showNumber, unitLabel } from '@fonte/core/units';
import { useAnswer } from '../../api/useAnswer.ts';
import { Course } from '../../time/Course.tsx';
import { siteZone, showMoment } from '../../time/show.ts';

type Read = CheckOfRecord & { nominal: number; reading: number };

/** How far each check of an instrument lay from what it should read, through time, with its tolerance as a band. */
export function Drift({ instrument }: { instrument: Instrument }) {
  const { data = [] } = useAnswer(checkRecord, { in: { instrument: instrument.id } });
  const read = data.filter((one): one is Read => one.nominal !== null && one.reading !== null);
  const ids = [...new Set(read.map(({ check }) => check))];
  return (
    <section className="stack">
      <h2>Its checks</h2>
      {data.length === 0 && <p className="soft">It was not checked yet. Checks are made when a round is prepared.</p>}
      {ids.map((id) => (
        <OfCheck key={id} id={id} made={read.filter(({ check }) => check === id)} />
      ))}
    </section>
  );
}

function OfCheck({ id, made }: { id: CheckId; made: readonly Read[] }) {
  const { name, parameter: of, tolerance = {} } = checkRow(id);
  const { decimals, unit } = parameter(of!);
  const off = made.map(({ reading, nominal }) => reading - nominal);
  const bound = made.map(({ nominal }) => allowed(tolerance, nominal));
  const last = made.at(-1)!;
  return (
    <figure>
      <figcaption>
        <span className="strong">{name}.</span> {made.length === 1 ? '1 check' : `${made.length} checks`}, the last{' '}
        {showNumber(last.reading, decimals)} for {showNumber(last.nominal, decimals)} {unitLabel(unit)}, {showMoment(last.at, siteZone())}
      </figcaption>
      <Course
        says={`${name}: distance from the standard in ${unitLabel(unit)}, between ${showNumber(Math.min(...off), decimals)} and ${showNumber(Math.max(...off), decimals)}; tolerance ${showNumber(bound.at(-1)!, decimals)}`}
        times={made.map(({ at }) => at)}
        values={off}
        bounds={[bound, bound.map((value) => -value)]}
        axis={`Off by, ${unitLabel(unit)}`}
        height={170}
        zone={siteZone()}
      />
    </figure>
  );
}
