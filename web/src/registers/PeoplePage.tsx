import { roleNames } from '@fonte/core/book';
import { registerLists, type Person } from '@fonte/core/registers';
import { Table } from 'antd';
import { Link } from 'react-router';
import { useAnswer } from '../api/useAnswer.ts';
import { Failed, Loading } from '../feedback/Feedback.tsx';
import { RegisterHead } from './RegisterNav.tsx';

/** The register of people: who may stand as an author, and in which role. */
export function PeoplePage() {
  const { data, error, mutate } = useAnswer(registerLists.people, {});
  if (error && !data) return <Failed error={error} retry={() => void mutate()} />;
  if (!data) return <Loading what="the register" />;
  return (
    <>
      <RegisterHead register="people" />
      <Table<Person>
        dataSource={data}
        rowKey="id"
        pagination={false}
        columns={[
          { title: 'Name', render: (_, person) => <Link to={`/people/${person.id}`}>{person.name}</Link> },
          { title: 'Initials', dataIndex: 'initials' },
          { title: 'Role', render: (_, person) => roleNames[person.role] },
        ]}
      />
    </>
  );
}
