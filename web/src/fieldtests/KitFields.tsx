import type { Kit } from '@fonte/core/fieldtests';
import type { Typed, UnitId } from '@fonte/core/units';
import { InputNumber } from 'antd';
import type { z } from 'zod';
import { Field } from '../form/Field.tsx';
import { RowList } from '../form/RowList.tsx';

/** What a kit is, as its leaflet has it, while it is typed. */
export interface KitDraft {
  volume: Typed;
  drops: number | null;
  shades: { shade: string; value: Typed }[];
}

const freshShade = (unit: UnitId) => ({ shade: '', value: { text: '', unit } });
export const emptyKit = (unit: UnitId): KitDraft => ({
  volume: { text: '', unit: 'mL' },
  drops: null,
  shades: [freshShade(unit), freshShade(unit)],
});

const nameOf = (method: string) => `fonte.kit.${method}`;

/** The kit that was filled in last on this device for a method; an empty one where none was. */
export function lastKit(method: string, unit: UnitId): KitDraft {
  try {
    const kept = JSON.parse(localStorage.getItem(nameOf(method)) ?? 'null') as KitDraft | null;
    return Array.isArray(kept?.shades) ? kept : emptyKit(unit);
  } catch {
    return emptyKit(unit);
  }
}

export const rememberKit = (method: string, kit: z.output<typeof Kit>): void => localStorage.setItem(nameOf(method), JSON.stringify(kit));

/** Volume, drops and shades, each row as the chart of the kit in the hand has it. */
export function KitFields({ unit }: { unit: UnitId }) {
  return (
    <section className="stack" aria-label="The kit">
      <p className="soft small">Copy these from the kit’s own leaflet: volumes, drops and shades differ between makers.</p>
      <div className="form-grid">
        <Field name={['kit', 'volume']} />
        <Field name={['kit', 'drops']}>
          <InputNumber size="large" min={1} max={200} precision={0} style={{ width: 140 }} inputMode="numeric" />
        </Field>
      </div>
      <RowList name={['kit', 'shades']} one="shade" add="One more shade" fresh={() => freshShade(unit)}>
        {(row) => (
          <>
            <Field name={[row, 'shade']} placeholder="pink, orange, yellow …" />
            <Field name={[row, 'value']} />
          </>
        )}
      </RowList>
    </section>
  );
}
