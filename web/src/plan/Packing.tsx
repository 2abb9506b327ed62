import { gearRow } from '@fonte/core/bottles';
import { bottlesPacked, countBottles, loads, type BottleCount } from '@fonte/core/plan';
import { registerLists } from '@fonte/core/registers';
import { show } from '@fonte/core/units';
import { Button } from 'antd';
import { useAnswer } from '../api/useAnswer.ts';
import { boxNames, wholeLitres } from './boxes.ts';
import { useRound } from '../book/useRound.ts';
import { DataTable } from '../feedback/DataTable.tsx';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useMay } from '../session/May.tsx';
import { Mark } from '../theme/Mark.tsx';

/** Whether the boxes of the register hold what is cooled; nothing where none is registered. */
function BoxesAtHand({ needed }: { needed: number }) {
  const { data = [] } = useAnswer(registerLists.boxes, { query: { limit: 500 } });
  if (data.length === 0 || needed === 0) return null;
  const holds = data.reduce((sum, box) => sum + box.holds, 0);
  const text = `${show(wholeLitres(needed), 'L', 0)} of cooled box space; the boxes at hand hold ${show(holds, 'L', 0)}`;
  if (holds >= needed) return <p className="soft small">{text}.</p>;
  return (
    <p className="finding stop small">
      <Mark kind="stop" />
      <span>
        <span className="strong">{text}.</span> Take another box, or part the round.
      </span>
    </p>
  );
}

/** What there is to carry, by how cold it must be. */
function Loads({ counts }: { counts: readonly BottleCount[] }) {
  const all = loads(counts);
  return (
    <>
      <DataTable
        label="Room in the boxes"
        rows={all}
        rowKey={({ temperature }) => temperature}
        columns={[
          {
            title: 'Box',
            render: ({ temperature, realIceOnly }) => (
              <>
                {boxNames[temperature]}
                {realIceOnly && <div className="small soft">{gearRow('pfas-ice').ask}</div>}
              </>
            ),
          },
          { title: 'Water', isNumber: true, render: ({ water }) => show(water, 'L', 1) },
          { title: 'Box of', isNumber: true, render: ({ space }) => <span className="strong">{show(wholeLitres(space), 'L', 0)}</span> },
        ]}
      />
      <BoxesAtHand needed={all.reduce((sum, { temperature, space }) => sum + (temperature === 'any' ? 0 : space), 0)} />
    </>
  );
}

/** How many bottles of each kind, the room they take, and that they stand labelled in the kit. */
export function Packing() {
  const { round, append } = useRound();
  const { busy, run, say } = useAction();
  const may = useMay(bottlesPacked);
  const table = round.tables.bottles;
  const counts = table
    ? countBottles(
        table,
        round.bottles.filter((bottle) => !bottle.spare),
      )
    : [];
  const unpacked = round.bottles.filter((bottle) => bottle.stage === 'planned').map((bottle) => bottle.id);
  return (
    <section className="panel">
      <h2>To pack</h2>
      {counts.length === 0 ? (
        <p className="soft">No analysis is chosen, so there is no bottle to pack.</p>
      ) : (
        <DataTable
          label="To pack"
          rows={counts}
          rowKey={({ rule, card }) => `${rule} ${card.container}`}
          columns={[
            {
              title: 'Kind',
              render: ({ card: { name, volume, container, preservative } }) => {
                return (
                  <>
                    {name}, {volume} mL
                    <div className="small soft">
                      {container}
                      {preservative ? `. ${preservative.name}` : ''}
                    </div>
                  </>
                );
              },
            },
            { title: 'Bottles', isNumber: true, render: ({ needed }) => <span className="strong">{needed}</span> },
            { title: 'Spare', isNumber: true, render: ({ spares }) => spares },
          ]}
        />
      )}
      {counts.length > 0 && <Loads counts={counts} />}
      {counts.some(({ card }) => /gloves and eye protection/.test(card.preservative?.hazard ?? '')) && (
        <p className="finding question small">
          <span className="strong">Acid or caustic in bottles.</span> Gloves and eye protection; keep them upright. Your employer’s rules
          come first.
        </p>
      )}
      {unpacked.length > 0 && may && (
        <div>
          <Button type="primary" loading={busy} onClick={() => void run(() => append(bottlesPacked, { bottles: unpacked }))}>
            {unpacked.length === 1 ? '1 bottle is' : `${unpacked.length} bottles are`} labelled and packed
          </Button>
        </div>
      )}
      <Said say={say} />
    </section>
  );
}
