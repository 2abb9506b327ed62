import type { BookEntry } from '@fonte/core/book';
import { formCsv, type CustodyForm, type HandOver } from '@fonte/core/custody';
import { custodyForm } from '@fonte/core/round';
import { Button } from 'antd';
import { useRound } from '../book/useRound.ts';
import { save } from '../feedback/save.ts';
import { pdfOf } from '../feedback/pdf.ts';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { formSheets } from './print/form.ts';

/** The form of a hand-over as paper and for machines. */
export function FormFiles({ handOver }: { handOver: HandOver }) {
  const { id, round, entries } = useRound();
  const { busy, run, say } = useAction();
  const chained = entries.filter((entry): entry is BookEntry => 'hash' in entry);
  const last = chained.at(-1);
  // A head proves what it has under it: before the hand-over is handed in there is none.
  const isIn = chained.some((entry) => entry.id === handOver.entry);
  const head = last && isIn ? { book: id, count: last.seq, hash: last.hash } : null;
  const form = (): CustodyForm => custodyForm(round, handOver, head);
  const name = `custody-${round.plan.code}-${handOver.entry.slice(-4)}`;
  const as = (type: string, ending: string, text: (of: CustodyForm) => string) =>
    void run(() => {
      save(text(form()), `${name}.${ending}`, type);
      return Promise.resolve();
    });
  const pdf = () =>
    run(async () => {
      save(await pdfOf(formSheets(form(), round.plan.zone)), `${name}.pdf`);
    });
  return (
    <div className="stack">
      <div className="row">
        <Button size="large" loading={busy} onClick={() => void pdf()}>
          Form as PDF
        </Button>
        <Button type="text" disabled={busy} onClick={() => as('application/json', 'json', (of) => `${JSON.stringify(of, null, 2)}\n`)}>
          As JSON
        </Button>
        <Button type="text" disabled={busy} onClick={() => as('text/csv', 'csv', formCsv)}>
          As CSV
        </Button>
      </div>
      {!isIn && <p className="small soft">Not handed in yet: the form has no head of the book on it until it is.</p>}
      <Said say={say} />
    </div>
  );
}
