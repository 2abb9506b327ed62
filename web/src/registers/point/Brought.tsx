import { registerLists, reportBrought } from '@fonte/core/registers';
import { showDate } from '@fonte/core/time';
import { Link } from 'react-router';
import { useAnswer } from '../../api/useAnswer.ts';
import { May } from '../../session/May.tsx';

/** Reports of samples that somebody else took at a point. */
export function Brought({ point }: { point: string }) {
  const { data = [] } = useAnswer(registerLists.reports, { query: { limit: 500 } });
  const here = data.filter((report) => report.point === point && !report.outOfUse).sort((a, b) => b.sampled.localeCompare(a.sampled));
  return (
    <section className="stack">
      {here.length > 0 && (
        <>
          <h2>Reports of samples that somebody else took</h2>
          <ul className="plain">
            {here.map(({ id, sampled, takenBy, file }) => (
              <li key={id}>
                <Link to={`/reports/${id}`}>{showDate(sampled)}</Link>{' '}
                <span className="soft small">
                  {takenBy ? `${takenBy}, ` : ''}
                  {file.name}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
      <May do={reportBrought}>
        <Link to={`/reports/new?point=${point}`}>Read a report that somebody brought</Link>
      </May>
    </section>
  );
}
