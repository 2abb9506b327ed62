import { purpose } from '@fonte/core/bottles';
import { labelStock, labelStockIds, type BottleLabel, type LabelStockId } from '@fonte/core/plan';
import { requestNames, type RoundState } from '@fonte/core/round';
import { showDate, wallTime } from '@fonte/core/time';
import { Button, InputNumber, Select } from 'antd';
import { useState, type ReactNode } from 'react';
import { useRound } from '../book/useRound.ts';
import { Said } from '../feedback/Said.tsx';
import { save } from '../feedback/save.ts';
import { useAction } from '../feedback/useAction.ts';
import { useSession } from '../session/session.ts';
import { useNow } from '../time/useNow.ts';
import { labelSheets } from './print/labels.ts';
import { packingSheet } from './print/packing.ts';
import { measureText, pdfOf } from '../feedback/pdf.ts';

/** The label of every bottle that is still empty, with the water that goes along for a blank. */
function labelsOf(round: RoundState, { date, initials }: Pick<BottleLabel, 'date' | 'initials'>): BottleLabel[] {
  return round.visits.flatMap((visit) =>
    visit.bottles
      .filter((bottle) => bottle.state === 'empty')
      .flatMap((bottle) => {
        const { name } = purpose(bottle.purpose);
        const of = (id: string): BottleLabel => ({
          id,
          date,
          initials,
          // What goes blind says nothing of what it is.
          place: bottle.blind?.name ?? visit.name,
          about: `${requestNames(visit, bottle).join(', ')}${bottle.purpose === 'sample' || bottle.blind ? '' : `. ${name}${id === bottle.supply ? ', water supplied' : ''}`}`,
          preservative: bottle.card.preservative?.name ?? 'No preservative',
        });
        return bottle.supply ? [of(bottle.supply), of(bottle.id)] : [of(bottle.id)];
      }),
  );
}

/** Labels and packing list on paper. What does not fit a label is said before it is printed. */
function Print({ labels, children }: { labels: readonly BottleLabel[]; children: ReactNode }) {
  const { round } = useRound();
  const { busy, run, say } = useAction();
  const [stock, setStock] = useState<LabelStockId>('a4-24');
  const [used, setUsed] = useState(0);
  const { columns, rows } = labelStock(stock);
  const sheets = labelSheets(labels, labelStock(stock), used, measureText);
  return (
    <div className="stack">
      <div className="row">
        <Select
          aria-label="Labels to print on"
          size="large"
          value={stock}
          options={labelStockIds.map((id) => ({ value: id, label: labelStock(id).name }))}
          onChange={(chosen: LabelStockId) => {
            setStock(chosen);
            setUsed(0);
          }}
          popupMatchSelectWidth={false}
        />
        {children}
        {columns * rows > 1 && (
          <label className="row">
            <span className="small">Used on the first sheet</span>
            <InputNumber size="large" min={0} max={columns * rows - 1} value={used} onChange={(count) => setUsed(count ?? 0)} />
          </label>
        )}
        <Button
          size="large"
          loading={busy}
          disabled={sheets.tooSmall.length > 0}
          onClick={() => void run(async () => save(await pdfOf(sheets.document), `labels-${round.plan.code}.pdf`))}
        >
          Labels as PDF
        </Button>
        <Button
          size="large"
          loading={busy}
          onClick={() => void run(async () => save(await pdfOf(packingSheet(round)), `packing-${round.plan.code}.pdf`))}
        >
          Packing list as PDF
        </Button>
      </div>
      {sheets.tooSmall.length > 0 ? (
        <p className="field-error" role="alert">
          {sheets.tooSmall[0]} does not fit these labels. Choose larger ones.
        </p>
      ) : (
        sheets.lost.length > 0 && (
          <p className="soft small">
            {sheets.lost.length === 1 ? 'One label is' : `${sheets.lost.length} labels are`} too small for all of it: the least important is
            left out, such as “{sheets.lost[0]!.lost[0]}”.
          </p>
        )
      )}
      <Said say={say} />
    </div>
  );
}

/** The labels as they go on the bottles. Who fills them, and when, is known only then: what is not chosen here is written by hand. */
export function Labels() {
  const { round } = useRound();
  const { people } = useSession();
  const today = wallTime(useNow(60_000), round.plan.zone).date;
  const [initials, setInitials] = useState('');
  // A day that has passed is not the day on which a bottle will be filled.
  const [isDated, setDated] = useState(round.plan.date >= today);
  const labels = labelsOf(round, { date: isDated ? round.plan.date : '', initials });
  if (labels.length === 0) return null;
  const samplers = people.filter(({ role, left }) => !left && (role === 'technician' || role === 'coordinator'));
  return (
    <>
      <Print labels={labels}>
        <Select
          aria-label="Initials on the labels"
          size="large"
          value={initials}
          onChange={setInitials}
          options={[
            { value: '', label: 'Initials by hand' },
            ...samplers.map((one) => ({ value: one.initials, label: `${one.initials}, ${one.name}` })),
          ]}
          popupMatchSelectWidth={false}
        />
        <Select
          aria-label="Date on the labels"
          size="large"
          value={isDated}
          onChange={setDated}
          options={[
            { value: true, label: `Dated ${showDate(round.plan.date)}` },
            { value: false, label: 'Date by hand' },
          ]}
          popupMatchSelectWidth={false}
        />
      </Print>
      <details className="labels">
        <summary>{labels.length === 1 ? '1 label' : `${labels.length} labels`}, pre-filled</summary>
        <ul className="plain">
          {labels.map(({ id, date, initials: by, place, about, preservative }) => (
            <li key={id}>
              <span className="label-id">{id}</span>
              <span>
                {date || '____-__-__'} <span className="soft">at</span> __:__ <span className="soft">by</span> {by || '____'}
              </span>
              <span className="small">
                {place}, {about}
              </span>
              <span className="small">{preservative}</span>
            </li>
          ))}
        </ul>
      </details>
    </>
  );
}
