import { Form, Input } from 'antd';
import { createContext, useContext, type ReactElement, type ReactNode } from 'react';
import { TypedInput } from '../units/TypedField.tsx';
import { SchemaContext } from './EntryForm.tsx';
import { fieldAt } from './schema.ts';

/** The name of the list that the fields of a row are in. */
export const RowContext = createContext<readonly (string | number)[]>([]);

/** In place of a control, where what a field holds is decided elsewhere: what is wrong with it stands there all the same. */
export const NoControl = () => null;

interface Props {
  /** The path of its value in the payload; in a row, from the number of the row on. */
  name: string | (string | number)[];
  /** What it is called here, where the schema's own title does not do. */
  label?: ReactNode;
  /** Under the field, while nothing is wrong with it. */
  hint?: ReactNode;
  placeholder?: string;
  /** A number that is read from an instrument, in gloves. */
  big?: boolean;
  autoFocus?: boolean;
  /** Another control than what the schema gives: a quantity with its unit, or a text. */
  children?: ReactElement;
  /** The control is a box to tick. */
  isTicked?: boolean;
  /** The control stands alone: it says itself what it is, and what is wrong is said of the whole form. */
  isBare?: boolean;
  /** The text as it is kept. */
  normalize?: (text: string) => string;
}

/** One field of a form: label, units and greatest length come from the form's schema, what is wrong stands below it. */
export function Field({ name, label, hint, placeholder, big = false, autoFocus = false, children, isTicked, isBare, normalize }: Props) {
  const schema = useContext(SchemaContext);
  const list = useContext(RowContext);
  const path = [name].flat();
  const { title = '', units, most } = fieldAt(schema, [...list, ...path]);
  const text = label ?? title;
  const typed = { autoFocus, ...(placeholder ? { placeholder } : {}) };
  return (
    <Form.Item
      name={path}
      label={text}
      extra={hint}
      {...(isBare ? { noStyle: true } : {})}
      {...(isTicked ? { valuePropName: 'checked' } : {})}
      {...(normalize ? { normalize } : {})}
    >
      {children ??
        (units ? (
          <TypedInput units={units} label={String(text)} big={big} autoFocus={autoFocus} />
        ) : (
          <Input size="large" autoComplete="off" {...typed} {...(most ? { maxLength: most } : {})} />
        ))}
    </Form.Item>
  );
}
