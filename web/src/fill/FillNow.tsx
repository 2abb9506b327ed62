import { purpose, whyHere } from '@fonte/core/bottles';
import { doorFor, foretell } from '@fonte/core/custody';
import { wayToLab } from '@fonte/core/day';
import { bottleFilled, type FactId } from '@fonte/core/fill';
import { formLine, type BottleState, type RoundState } from '@fonte/core/round';
import { Button } from 'antd';
import { useRef } from 'react';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { Findings } from '../findings/Findings.tsx';
import { May } from '../session/May.tsx';
import { showNear, showTime } from '../time/show.ts';
import { useNow } from '../time/useNow.ts';
import { useDraft } from '../units/useDraft.ts';
import { useSettled } from '../time/useSettled.ts';
import { useInSight } from '../visit/useInSight.ts';
import { FilledEarlier } from './FilledEarlier.tsx';
import { BottlePicture } from './BottlePicture.tsx';
import { Discard } from './Discard.tsx';
import { Facts } from './Facts.tsx';
import { LabelOn } from './LabelOn.tsx';
import { useLabelsAtOnce } from './labelsAtOnce.ts';
import { RuleCard } from './RuleCard.tsx';
import { Unfiltered } from './Unfiltered.tsx';

/** What its lab would refuse of a bottle that is filled now (ms) and driven there at once. */
function refusedIfFilled(round: RoundState, bottle: BottleState, now: number) {
  const visit = round.visits.find(({ id }) => id === bottle.visit)!;
  const line = formLine(round, visit, { ...bottle, filledAt: now }, now);
  const way = line.lab ? (wayToLab(visit.point.position, line.lab, round.day) ?? 0) : 0;
  return foretell({
    stage: 'tap',
    now,
    arrival: now + way,
    lines: [line],
    boxes: new Map(),
    conditions: {},
    said: {},
    counted: null,
  });
}

/** Until when its lab accepts a bottle today: known before it is opened. */
function LabDoor({ bottle: { lab, rule }, now }: { bottle: BottleState; now: number }) {
  const door = lab && doorFor(lab, now, rule);
  if (!lab || !door) return null;
  return (
    <p className="small">
      {lab.name} accepts it{' '}
      {'until' in door
        ? `today until ${showTime(door.until, lab.zone)}.`
        : `from ${showNear(door.opens, now, lab.zone)} on, not today any more.`}
    </p>
  );
}

/** Which of the samples at its point a bottle is, in the order of filling. */
function placeOf({ visit, id }: BottleState, round: RoundState): { is: number; of: number } {
  const samples = round.visits
    .find((one) => one.id === visit)!
    .bottles.filter((one) => one.purpose === 'sample' && one.lost?.how !== 'discarded');
  return { is: samples.findIndex((one) => one.id === id) + 1, of: samples.length };
}

/** The bottle that is filled next, with its rule card. Tapping “Filled” records the time. */
export function FillNow({ bottle }: { bottle: BottleState }) {
  const { append, round } = useRound();
  const time = useNow(15_000);
  const { busy, run, say } = useAction();
  const rule = bottle.card;
  const card = useRef<HTMLElement>(null);
  useInSight(card);
  const { on } = purpose(bottle.purpose);
  const settled = useSettled();
  const [said, setSaid, clearSaid] = useDraft<FactId[]>(`facts.${bottle.id}`, []);
  const { isOn: labelsAtOnce } = useLabelsAtOnce();
  // The one that was filled before it, here: its label comes first where that is wanted.
  const before = round.visits
    .find(({ id }) => id === bottle.visit)!
    .bottles.filter(({ state, lost, labelled }) => state === 'filled' && !lost && !labelled)
    .sort((a, b) => b.filledAt! - a.filledAt!)[0];
  const place = placeOf(bottle, round);
  const waits = labelsAtOnce && before !== undefined;
  return (
    <section className="fill-card" aria-label={`Bottle ${bottle.id}`} ref={card}>
      {!rule.isSwab && <BottlePicture rule={rule} filled={false} />}
      <div className="stack">
        <div>
          <p className="soft small">
            {bottle.spare ? 'Spare: write its own label' : 'Next bottle'}
            {bottle.purpose === 'sample' ? '' : `. ${purpose(bottle.purpose).name}: ${purpose(bottle.purpose).why}`}
          </p>
          <p className="label-like">{bottle.id}</p>
          <h2>{rule.name}</h2>
          {place.of > 1 && bottle.purpose === 'sample' && (
            <p className="small">
              <span className="strong">
                {place.is} of {place.of} here.
              </span>{' '}
              {whyHere(rule)}
            </p>
          )}
        </div>
        {on && <p className="finding question small">{on.asks}</p>}
        {bottle.supply && (
          <p className="finding question small">
            Open {bottle.supply}, the water that the lab supplied, here at the point and pour all of it into this bottle.
          </p>
        )}
        {bottle.supplyWentWith && (
          <p className="finding question small">
            <span className="strong">The supplied water was poured into {bottle.supplyWentWith}, and is gone with it.</span> Fill this
            bottle only from another bottle of the lab’s blank water; without one, leave this blank out. Never use other water.
          </p>
        )}
        {waits && (
          <div className="finding question">
            <p className="strong">First the label of {before.id}.</p>
            <LabelOn bottle={before} key={before.id} />
          </div>
        )}
        <LabelOn bottle={bottle} key={bottle.id} />
        <Facts card={rule} said={said} say={setSaid} />
        <RuleCard bottle={bottle} />
        <LabDoor bottle={bottle} now={time} />
        <Findings of={refusedIfFilled(round, bottle, time)} />
        <Said say={say} />
        <May do={bottleFilled}>
          <div className="row fill-do">
            <Button
              type="primary"
              size="large"
              loading={busy}
              disabled={!settled || waits}
              onClick={() =>
                void run(async () => {
                  await append(bottleFilled, { bottle: bottle.id, ...(said.length > 0 ? { facts: said } : {}) }, { at: bottle.visit });
                  clearSaid();
                })
              }
            >
              {on?.done ?? 'Filled and capped'}
            </Button>
            <Discard bottle={bottle} />
          </div>
          <div className="row">
            <FilledEarlier bottle={bottle} />
            {rule.filter && <Unfiltered bottle={bottle} />}
          </div>
        </May>
      </div>
    </section>
  );
}
