import { kitTicked, packRow, type PackId } from '@fonte/core/prepare';
import { packingFor } from '@fonte/core/round';
import { Checkbox, Progress } from 'antd';
import { useRound } from '../book/useRound.ts';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { PurgeWater } from './PurgeWater.tsx';
import { useMay } from '../session/May.tsx';

/** What goes along, by what is planned: ticked as it stands in the van. */
export function Kit() {
  const { round } = useRound();
  const table = round.tables.bottles;
  if (!table) return null;
  const list = packingFor(round.plan, table);
  const packed = list.filter((id) => round.prepare.packed.has(id)).length;
  return (
    <section className="stack">
      <h2>Into the van</h2>
      <div>
        <p className="soft">
          {packed} of {list.length}; the bottles are counted with the plan
        </p>
        <Progress percent={Math.round((100 * packed) / list.length)} showInfo={false} aria-label={`${packed} of ${list.length} packed`} />
      </div>
      <ul className="plain kit">
        {list.map((id) => (
          <Item key={id} id={id} />
        ))}
      </ul>
      <PurgeWater />
    </section>
  );
}

function Item({ id }: { id: PackId }) {
  const { round, append } = useRound();
  const { busy, run, say } = useAction();
  const may = useMay(kitTicked);
  const { name, note } = packRow(id);
  return (
    <li>
      <Checkbox
        checked={round.prepare.packed.has(id)}
        disabled={busy || !may}
        onChange={(event) => void run(async () => void (await append(kitTicked, { item: id, isPacked: event.target.checked })))}
      >
        {name}
        {note && <span className="soft small"> {note}</span>}
      </Checkbox>
      <Said say={say} />
    </li>
  );
}
