import type { Data } from '../../findings/index.ts';
import type { Mapping, Role } from '../mapping.ts';
import type { Unread } from '../shape/table.ts';
import type { ConfirmCode } from '../tables/to-confirm.ts';
import type { Reader } from './context.ts';

/** A contradiction that a person may have settled: nothing where the row is to be taken as it is printed. */
export function toConfirm(from: Reader, { confirmed }: Mapping, role: Role, code: ConfirmCode, data?: Data): Unread | null {
  const said = confirmed?.[code];
  return said === 'printed' ? null : from.fail(role, said === 'out' ? 'left-out' : code, { ...data, ...whatOf(from) });
}

/** What was measured in a row, as it is called there: a number alone says nobody which it is. */
export const whatOf = ({ cell }: Reader): Data => (cell('parameter') === '' ? {} : { of: cell('parameter').slice(0, 60) });
