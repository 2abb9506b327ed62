import { gearRow, type GearId } from '@fonte/core/bottles';
import { gearChecked, gearOf } from '@fonte/core/prepare';
import { Radio } from 'antd';
import { useRound } from '../book/useRound.ts';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useMay } from '../session/May.tsx';
import { Mark } from '../theme/Mark.tsx';

const consequence = {
  noted: 'Noted.',
  special: 'The sample would be special, not for compliance.',
  invalid: 'The sample would be spoilt.',
} as const;

/** What the bottles ask of gear and clothes; each “no” says at once what it costs. */
export function Gear() {
  const { round } = useRound();
  const table = round.tables.bottles;
  const ids = table ? gearOf(round.plan.visits, table) : [];
  if (ids.length === 0) return null;
  return (
    <section className="stack">
      <h2>Gear and clothes</h2>
      <ul className="plain gear">
        {ids.map((id) => (
          <Line key={id} id={id} />
        ))}
      </ul>
    </section>
  );
}

function Line({ id }: { id: GearId }) {
  const { round, append } = useRound();
  const { busy, run, say } = useAction();
  const may = useMay(gearChecked);
  const { ask, no, makes, instead } = gearRow(id);
  const said = round.prepare.gear.get(id)?.at(-1)?.isSo;
  return (
    <li>
      <div className="row between">
        <span>{ask}</span>
        <Radio.Group
          aria-label={ask}
          optionType="button"
          size="large"
          disabled={busy || !may}
          value={said}
          options={[
            { value: true, label: 'Yes' },
            { value: false, label: 'No' },
          ]}
          onChange={(event) => void run(async () => void (await append(gearChecked, { gear: id, isSo: event.target.value as boolean })))}
        />
      </div>
      {said === false && (
        <p className={`finding small ${makes === 'noted' ? 'question' : 'stop'}`}>
          <Mark kind={makes === 'noted' ? 'question' : 'stop'} />
          <span>
            <span className="strong">{consequence[makes]}</span> {no} {instead}
          </span>
        </p>
      )}
      <Said say={say} />
    </li>
  );
}
