import { roleNames, roles } from '@fonte/core/book';
import { Person, personRegistered } from '@fonte/core/registers';
import { Form, Input, Select } from 'antd';
import { EntryForm } from '../form/EntryForm.tsx';
import { freshId, useRegister } from './useRegister.ts';
import { thingPage } from './ThingPage.tsx';

/** A person, with the initials that stand on labels and the role that says what may be written. */
function PersonForm({ thing }: { thing: Person | null }) {
  const write = useRegister('people', personRegistered);
  return (
    <>
      <h1>{thing ? thing.name : 'Register a person'}</h1>
      <EntryForm
        keep={`person.${thing?.id ?? 'new'}`}
        initial={thing ?? { id: freshId(), name: '', initials: '', role: 'technician' }}
        schema={Person}
        write={write}
        submit={thing ? 'Write the change' : 'Register it'}
      >
        {() => (
          <div className="form-grid">
            <Form.Item name="id" hidden>
              <Input />
            </Form.Item>
            <Form.Item name="name" label="Name">
              <Input size="large" maxLength={120} autoComplete="off" />
            </Form.Item>
            <Form.Item name="initials" label="Initials">
              <Input size="large" maxLength={4} autoComplete="off" />
            </Form.Item>
            <Form.Item name="role" label="Role">
              <Select size="large" options={roles.map((role) => ({ value: role, label: roleNames[role] }))} />
            </Form.Item>
          </div>
        )}
      </EntryForm>
    </>
  );
}

export const PersonPage = thingPage('people', PersonForm);
