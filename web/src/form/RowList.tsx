import { DeleteOutlined, PlusOutlined } from '@ant-design/icons';
import { Button, Form } from 'antd';
import type { ReactNode } from 'react';
import { RowContext } from './Field.tsx';

interface Props {
  name: (string | number)[];
  /** What one row is called, for the button that removes it. */
  one: string;
  add: string;
  /** A row that is new. */
  fresh: () => object;
  /** So many rows must stay. */
  least?: number;
  /** The fields of a row, by its number. */
  children: (row: number) => ReactNode;
}

/** A list of rows in a form, each with the same fields; rows are added and removed. */
export function RowList({ name, one, add, fresh, least = 0, children }: Props) {
  return (
    <RowContext value={name}>
      <Form.List name={name}>
        {(rows, { add: addRow, remove }) => (
          <>
            {rows.map((row) => (
              <div key={row.key} className="register-row">
                {children(row.name)}
                {rows.length > least && (
                  <Button
                    type="text"
                    icon={<DeleteOutlined />}
                    onClick={() => remove(row.name)}
                    aria-label={`Remove ${one} ${row.name + 1}`}
                  />
                )}
              </div>
            ))}
            <div>
              <Button icon={<PlusOutlined />} onClick={() => addRow(fresh())}>
                {add}
              </Button>
            </div>
          </>
        )}
      </Form.List>
    </RowContext>
  );
}
