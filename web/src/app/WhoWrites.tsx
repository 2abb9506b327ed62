import { roleNames } from '@fonte/core/roles';
import type { Person } from '@fonte/core/registers';
import { Select } from 'antd';

/** The demo's choice of the person in whose name the page writes. */
export function WhoWrites({ me, people, become }: { me: string; people: readonly Person[]; become: (person: string) => void }) {
  return (
    <Select
      aria-label="Who writes"
      className="who"
      value={me}
      onChange={become}
      popupMatchSelectWidth={false}
      options={people.map(({ id, name, role }) => ({ value: id, label: `${name}, ${roleNames[role].toLowerCase()}` }))}
      labelRender={({ value, label }) => (
        <>
          <span className="wide">{label}</span>
          <span className="narrow">{people.find((person) => person.id === value)?.initials}</span>
        </>
      )}
    />
  );
}
