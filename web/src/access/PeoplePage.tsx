import { listAccounts, type Account } from '@fonte/core/access';
import { registerLists, type Person } from '@fonte/core/registers';
import { roleNames } from '@fonte/core/roles';
import { Link } from 'react-router';
import { useAnswer } from '../api/useAnswer.ts';
import { DataTable, type Column } from '../feedback/DataTable.tsx';
import { Failed, Loading } from '../feedback/Feedback.tsx';
import { RegisterHead } from '../registers/index.ts';
import { useMe, useSession } from '../session/session.ts';
import { PersonAccess, sayAccount } from './PersonAccess.tsx';

/** The register of people: who may stand as an author, in which role, and who is let in. */
export function PeoplePage() {
  const { demo } = useSession();
  const me = useMe();
  const mayLook = listAccounts.by.includes(me.role);
  const { data, error, mutate } = useAnswer(registerLists.people, { query: { limit: 500 } });
  const accounts = useAnswer(listAccounts, mayLook ? {} : null);
  if (error && !data) return <Failed error={error} retry={() => void mutate()} />;
  if (!data) return <Loading what="the register" />;
  const accountOf = (person: Person): Account | undefined => accounts.data?.find((account) => account.person === person.id);
  const columns: Column<Person>[] = [
    {
      title: 'Name',
      render: (person) => (person.left ? person.name : <Link to={`/people/${person.id}`}>{person.name}</Link>),
    },
    { title: 'Initials', render: ({ initials }) => initials },
    { title: 'Role', render: ({ role }) => roleNames[role] },
  ];
  if (mayLook)
    columns.push({
      title: 'Access',
      render: (person) => {
        const account = accountOf(person);
        return (
          <div className="stack">
            <span>{demo ? 'The demo asks nobody for a passphrase' : account && sayAccount(account)}</span>
            {!demo && account && me.role === 'coordinator' && <PersonAccess person={person} account={account} />}
          </div>
        );
      },
    });
  return (
    <>
      <RegisterHead register="people">{mayLook && <Link to="/door">What happened at the door</Link>}</RegisterHead>
      <DataTable<Person> label="People" rows={data} rowKey={({ id }) => id} columns={columns} />
    </>
  );
}
