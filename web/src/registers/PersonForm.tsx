import { roleNames, roles } from '@fonte/core/roles';
import { Person, personRegistered, training, trainingIds } from '@fonte/core/registers';
import { Select } from 'antd';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';
import { freshId, useRegister } from './useRegister.ts';
import { thingPage } from './ThingPage.tsx';
import { ManySelect } from '../form/ManySelect.tsx';

/** A person, with the initials that stand on labels and the role that says what may be written. */
function PersonForm({ thing }: { thing: Person | null }) {
  const form = useEntryForm<Person, Person>({
    keep: `person.${thing?.id ?? 'new'}`,
    initial: thing ?? { id: freshId(), name: '', initials: '', role: 'technician' },
    schema: Person,
    read: (values) => {
      const { trained = [], ...person } = values;
      return asTyped(trained.length > 0 ? { ...person, trained } : person, Person);
    },
    write: useRegister('people', personRegistered),
  });
  return (
    <>
      <h1>{thing ? thing.name : 'Register a person'}</h1>
      <EntryForm of={form} submit={thing ? 'Write the change' : 'Register it'}>
        <div className="form-grid">
          <Field name="name" />
          <Field name="initials" />
          <Field name="role">
            <Select size="large" options={roles.map((role) => ({ value: role, label: roleNames[role] }))} />
          </Field>
        </div>
        <Field name="trained" hint="Empty: it is not known, and nothing is said">
          <ManySelect options={trainingIds.map((id) => ({ value: id, label: training(id).name }))} />
        </Field>
      </EntryForm>
    </>
  );
}

export const PersonPage = thingPage('people', PersonForm);
