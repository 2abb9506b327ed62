import { analysisName, purpose, type AnalysisId } from '@fonte/core/bottles';
import { extraPlanned } from '@fonte/core/plan';
import type { VisitState } from '@fonte/core/round';
import { Input, Select } from 'antd';
import type { z } from 'zod';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';

interface Draft {
  analysis: AnalysisId | undefined;
  as: { code: string; name: string };
}

/** Plans a duplicate under a made-up point, so that its lab does not know that it is one. */
export function BlindDuplicate({ visit }: { visit: VisitState }) {
  const { round } = useRound();
  const has = (analysis: AnalysisId) =>
    round.extras.some((one) => one.visit === visit.id && one.analysis === analysis && one.purpose === 'blind-duplicate');
  const open = visit.analyses.filter((analysis) => !has(analysis));
  if (open.length === 0) return null;
  return (
    <FormDialog
      by={extraPlanned.by}
      size="small"
      type="text"
      open="Blind duplicate"
      aria-label={`Blind duplicate at ${visit.name}`}
      title={`Blind duplicate at ${visit.name}`}
    >
      {(close) => <Plan visit={visit} open={open} close={close} />}
    </FormDialog>
  );
}

function Plan({ visit, open, close }: { visit: VisitState; open: readonly AnalysisId[]; close: () => void }) {
  const { round, append } = useRound();
  // The same water goes under the same made-up point.
  const before = round.extras.find((one) => one.visit === visit.id && one.as)?.as;
  const form = useEntryForm<Draft, z.output<typeof extraPlanned.payload>>({
    keep: `blind.${visit.id}`,
    initial: { analysis: open[0], as: before ?? { code: '', name: '' } },
    schema: extraPlanned.payload,
    read: (values) => ({ value: { ...values, purpose: 'blind-duplicate' }, problems: [] }),
    write: async (payload, { id, kept }) => {
      await append(extraPlanned, payload, { at: visit.id, id, kept });
      close();
    },
  });
  return (
    <EntryForm of={form} submit="Plan it" className="stack" leave={{ says: 'Not now', by: close }}>
      <p>{purpose('blind-duplicate').why} Label and form say the made-up point; the book knows which it is.</p>
      <Field name="analysis" label="Of what">
        <Select size="large" options={open.map((id) => ({ value: id, label: analysisName(visit.table, id) }))} />
      </Field>
      <Field name={['as', 'code']} normalize={(text) => text.toUpperCase()} />
      <Field name={['as', 'name']}>
        <Input size="large" maxLength={120} autoComplete="off" placeholder="A name that could be a point of yours" />
      </Field>
    </EntryForm>
  );
}
