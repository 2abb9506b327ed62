import { partyKind, partyKinds, type Party } from '@fonte/core/custody';
import type { Lab } from '@fonte/core/registers';
import { Input, Segmented } from 'antd';
import { Field } from '../form/Field.tsx';
import { SignatureField } from './SignatureField.tsx';

/** A signature on the form: the name, and by hand where one can. */
export function Sign({ of, label }: { of: 'signed' | 'received'; label: string }) {
  return (
    <div>
      <Field name={[of, 'name']} label={label}>
        <Input size="large" className="signature" maxLength={120} placeholder="Full name" autoComplete="off" />
      </Field>
      <Field name={[of, 'drawn']} label="" isBare>
        <SignatureField label={`${label}, by hand`} />
      </Field>
    </div>
  );
}

/** The labs that bottles go to, and whoever else may take them. */
export function ToWhom({ labs, to, set }: { labs: readonly Lab[]; to: Party; set: (party: Party) => void }) {
  const options = [
    ...labs.map(({ id, name }) => ({ value: id, label: name })),
    ...partyKinds
      .filter((kind) => !partyKind(kind).isFirst && (kind !== 'lab' || labs.length === 0))
      .map((kind) => ({ value: kind, label: partyKind(kind).name })),
  ];
  return (
    <Segmented
      className="to-whom"
      aria-label="To whom"
      size="large"
      value={to.lab ?? to.as}
      options={options}
      onChange={(value) => {
        const lab = labs.find(({ id }) => id === value);
        set(lab ? { as: 'lab', name: lab.name, lab: lab.id } : { as: value as Party['as'], name: '' });
      }}
    />
  );
}
