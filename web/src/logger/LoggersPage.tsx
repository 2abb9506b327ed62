import { pointPlaces, registerLists } from '@fonte/core/registers';
import { Link } from 'react-router';
import { useAnswer } from '../api/useAnswer.ts';
import { DataTable } from '../feedback/DataTable.tsx';
import { Failed, Loading } from '../feedback/Feedback.tsx';
import { RegisterHead } from '../registers/index.ts';

/** What loggers recorded in wells, record by record. */
export function LoggersPage() {
  const { data, error, mutate } = useAnswer(registerLists.loggers, { query: { limit: 500 } });
  const { data: points = [] } = useAnswer(pointPlaces, {});
  if (error && !data) return <Failed error={error} retry={() => void mutate()} />;
  if (!data) return <Loading what="the records" />;
  return (
    <>
      <RegisterHead register="loggers" />
      <DataTable
        label="Logger records"
        rows={data}
        rowKey={({ id }) => id}
        empty="No logger has been read out yet."
        columns={[
          { title: 'Logger', render: ({ id, name }) => <Link to={`/loggers/${id}`}>{name}</Link> },
          { title: 'Well', render: ({ point }) => points.find(({ id }) => id === point)?.name ?? 'another point' },
          { title: 'File', render: ({ water }) => water.name },
          { title: 'Air', render: ({ air }) => air?.name ?? '' },
          { title: 'State', render: ({ outOfUse }) => (outOfUse ? `Not used: ${outOfUse}` : 'In use') },
        ]}
      />
    </>
  );
}
