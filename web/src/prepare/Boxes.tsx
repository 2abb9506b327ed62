import { bottlesBoxed, boxGroups, proposeBoxes, questionBoxes, type BoxGroup, type BoxOfBook } from '@fonte/core/prepare';
import { registerLists } from '@fonte/core/registers';
import { sayAbout } from '@fonte/core/round';
import { show } from '@fonte/core/units';
import { Button, Select } from 'antd';
import { useAnswer } from '../api/useAnswer.ts';
import { useRound } from '../book/useRound.ts';
import { DataTable } from '../feedback/DataTable.tsx';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { boxNames } from '../plan/index.ts';
import { May, useMay } from '../session/May.tsx';
import { Mark } from '../theme/Mark.tsx';

/** Which bottle stands in which box: as proposed in one touch, or each group put where one likes. */
export function Boxes() {
  const { round } = useRound();
  const { data: known = [] } = useAnswer(registerLists.boxes, { query: { limit: 500 } });
  const table = round.tables.bottles;
  const boxes = known.map(({ id, name, holds }): BoxOfBook => ({ id, name, holds }));
  return table && boxes.length > 0 ? <OfRound boxes={boxes} /> : null;
}

function OfRound({ boxes }: { boxes: readonly BoxOfBook[] }) {
  const { round, append } = useRound();
  const { busy, run, say } = useAction();
  const { boxed } = round.prepare;
  // A spare rides where the bottle would have ridden whose place it takes.
  const groups = boxGroups(round.bottles.filter(({ lost }) => !lost).map((bottle) => ({ ...bottle, id: bottle.place })));
  const labelOf = (place: string) => round.bottles.find((bottle) => bottle.place === place && !bottle.lost)?.id ?? place;
  if (groups.length === 0) return null;
  const open = groups.filter(({ bottles }) => bottles.some((id) => !boxed.has(id)));
  const asProposed = async () => {
    for (const { box, bottles } of proposeBoxes(groups, boxes)) await append(bottlesBoxed, { box, bottles });
  };
  return (
    <section className="stack">
      <div className="row between">
        <h2>Which bottle in which box</h2>
        {open.length > 0 && (
          <May do={bottlesBoxed}>
            <Button size="large" loading={busy} onClick={() => void run(asProposed)}>
              Pack as proposed
            </Button>
          </May>
        )}
      </div>
      <Said say={say} />
      {questionBoxes(groups, boxed).map((finding) => (
        <p key={`${finding.code} ${String(finding.data?.['name'])}`} className={`finding ${finding.severity}`}>
          <Mark kind={finding.severity === 'stop' ? 'stop' : 'question'} />
          <span>
            <span className="strong">{sayAbout(finding).says}</span> {sayAbout(finding).advice}
          </span>
        </p>
      ))}
      <DataTable
        label="Which bottle in which box"
        rows={groups}
        rowKey={({ visit, temperature }) => `${visit} ${temperature}`}
        columns={[
          {
            title: 'Bottles',
            render: ({ visit, temperature, bottles }) => (
              <>
                <span className="strong">{round.visits.find(({ id }) => id === visit)?.name}</span>
                <div className="small soft">
                  {boxNames[temperature]}: {bottles.map(labelOf).join(', ')}
                </div>
              </>
            ),
          },
          { title: 'Room', isNumber: true, render: ({ space }) => show(space, 'L', 1) },
          { title: 'Box', render: (group) => <Into group={group} boxes={boxes} /> },
        ]}
      />
    </section>
  );
}

/** The box of a group, and another one. */
function Into({ group, boxes }: { group: BoxGroup; boxes: readonly BoxOfBook[] }) {
  const { round, append } = useRound();
  const { busy, run, say } = useAction();
  const may = useMay(bottlesBoxed);
  const inside = [...new Map(group.bottles.flatMap((id) => round.prepare.boxed.get(id) ?? []).map((box) => [box.id, box])).values()];
  const [box] = inside;
  const isWhole = group.bottles.every((id) => round.prepare.boxed.get(id)?.id === box?.id);
  const put = (id: string | undefined) =>
    run(() => append(bottlesBoxed, { box: boxes.find((one) => one.id === id) ?? null, bottles: [...group.bottles] }));
  const name = round.visits.find(({ id }) => id === group.visit)?.name;
  const options = [...new Map([...inside, ...boxes].map((one) => [one.id, one])).values()];
  return (
    <>
      <Select
        size="large"
        allowClear
        disabled={!may || busy}
        aria-label={`Box of ${name}: ${boxNames[group.temperature]}`}
        placeholder="In none yet"
        style={{ width: 170, maxWidth: '100%' }}
        value={box && isWhole ? box.id : undefined}
        options={options.map((one) => ({ value: one.id, label: one.name }))}
        onChange={(id: string | undefined) => void put(id)}
      />
      {box && !isWhole && <div className="small tone-question">Not all of them are in one box.</div>}
      <Said say={say} />
    </>
  );
}
