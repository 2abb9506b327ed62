import { addressOf } from '@fonte/core/endpoints';
import { loggerFile, loggerLevelsOf, recordedNames } from '@fonte/core/logger';
import { registered } from '@fonte/core/registers';
import { Link, useParams } from 'react-router';
import { ApiProblem } from '../api/call.ts';
import { useAnswer } from '../api/useAnswer.ts';
import { Empty, Failed, Loading } from '../feedback/Feedback.tsx';
import { useMayRegister } from '../registers/index.ts';
import { Outcome } from './Outcome.tsx';

/** A record of a logger: its levels, what holds them, and how it is read. */
export function LoggerPage() {
  const { thing: id = '' } = useParams();
  const may = useMayRegister('loggers');
  const { data: record, error, mutate } = useAnswer(registered.loggers, { in: { id } });
  const { data: point } = useAnswer(registered.points, record ? { in: { id: record.point } } : null);
  const levels = useAnswer(loggerLevelsOf, record ? { in: { id } } : null);
  if (error instanceof ApiProblem && error.status === 404)
    return (
      <Empty title="There is no such record of a logger">
        <Link to="/loggers">All records</Link>
      </Empty>
    );
  if (error && !record) return <Failed error={error} retry={() => void mutate()} />;
  if (!record) return <Loading what="the record" />;
  return (
    <div className="stack-wide">
      <header className="row between">
        <div>
          <h1>{record.name}</h1>
          <p className="soft">
            {point && <Link to={`/points/${point.id}`}>{point.name}</Link>}, below {record.mark}. {recordedNames[record.shows]}, from{' '}
            {record.water.name}
            {record.air ? ` with ${record.air.name}` : ''}.
          </p>
          {record.outOfUse && <p className="strong">Not used any more: {record.outOfUse}</p>}
        </div>
        <div className="row">
          <a href={addressOf(loggerFile, { in: { id } })} download>
            Save all levels
          </a>
          {may && (
            <Link className="strong" to={`/loggers/${id}/edit`}>
              Change
            </Link>
          )}
        </div>
      </header>
      {levels.error && !levels.data ? (
        <Failed error={levels.error} retry={() => void levels.mutate()} />
      ) : levels.data ? (
        <Outcome answer={levels.data} />
      ) : (
        <Loading what="the levels" />
      )}
    </div>
  );
}
