import {
  atDesk,
  boxStates,
  foretell,
  foretoldOf,
  handedOver,
  isUnknownYet,
  partyKind,
  sayUnknown,
  type FormLine,
  type Party,
} from '@fonte/core/custody';
import { wayToLab } from '@fonte/core/day';
import { formField } from '@fonte/core/registers';
import { Input, Segmented } from 'antd';
import { useState } from 'react';
import type { z } from 'zod';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';
import { labsOf, type RoundState } from '@fonte/core/round';
import { showNear } from '../time/show.ts';
import { useMe } from '../session/session.ts';
import { Mark } from '../theme/Mark.tsx';
import { MomentInput } from '../time/MomentInput.tsx';
import { useNow } from '../time/useNow.ts';
import { numberError } from '../units/TypedField.tsx';
import { BoxCard } from './BoxCard.tsx';
import { boxDraft, fieldFor, isAllScanned, parted, payloadOf, takerOf, type Draft } from './draft.ts';
import { Foretold } from './Foretold.tsx';
import { questionDegrees } from './ReadBox.tsx';
import { ScanCount } from './ScanCount.tsx';
import { Sign, ToWhom } from './Hands.tsx';

/** What one receiver counted and signed holds for no other. */
const uncounted: Partial<Draft> = { takenBy: '', counted: '', scanned: [], received: { name: '' } };

interface Props {
  /** Who has the bottles now; null while those who took them have them. */
  holder: Party | null;
  lines: readonly FormLine[];
}

/** Bottles change hands: to a lab, a colleague, a courier, or into a place that is locked. */
export function HandOverForm({ holder, lines: all }: Props) {
  const { id: book, round, append, refresh } = useRound();
  const me = useMe();
  const now = useNow(5000);
  // The round's own first.
  const labs = labsOf(round).filter(({ id }) => all.some(({ lab }) => lab?.id === id));
  const [first] = labs;
  const from: Party = holder ?? { as: 'person', name: me.name };
  const form = useEntryForm<Draft, z.output<typeof handedOver.payload>>({
    keep: `custody.${book}.${from.as}.${from.name}`,
    initial: {
      // Whoever picks a kit up takes it along.
      to:
        holder?.as === 'household'
          ? { as: 'person', name: me.name }
          : first
            ? { as: 'lab', name: first.name, lab: first.id }
            : { as: 'lab', name: '' },
      takenBy: '',
      inBoxes: {},
      bottles: {},
      counted: '',
      scanned: [],
      said: {},
      signed: { name: '' },
      received: { name: '' },
    },
    schema: handedOver.payload,
    read: (draft) => asTyped(payloadOf(draft, { lines: chosen(draft), boxes, from, zone: round.plan.zone, foretold }), handedOver.payload),
    at: (path) => fieldFor(path, boxes),
    ask: (payload) => payload.boxes.flatMap(({ temperature }) => questionDegrees(temperature)),
    write: async (payload, { id, kept }) => {
      await append(handedOver, payload, { id, kept });
      await refresh();
    },
  });
  const draft = form.values;
  const { to } = draft;
  const [isBefore, setBefore] = useState(false);
  /** A lab gets what goes there; a courier takes everything along. */
  const chosen = (one: Draft) => {
    const bound = one.to.as === 'lab' ? one.to.lab : one.bound;
    return bound === undefined ? all : all.filter(({ lab }) => lab?.id === bound);
  };
  const lines = chosen(draft);
  const boxes = boxStates(lines, round.prepare.boxed, round.custody);
  const { goes, stays } = parted(lines, draft);
  const atHand = boxes
    .filter(({ box }) => goes.some((line) => line.box === box.id))
    .map(({ box }) => {
      const { temperature, ...rest } = boxDraft(draft, box.id);
      return { ...rest, box: box.id, name: box.name, temperature: numberError(temperature) ? null : temperature };
    });
  const isUntouched = !form.isTried && draft.counted === '' && atHand.every(({ temperature, seal }) => temperature === null && seal === '');
  const way = isBefore ? wayFrom(round, goes) : 0;
  const arrival = to.as === 'lab' ? now + (way ?? 0) : Math.max(now, draft.arrives ?? now);
  // At a household's door nothing is handed to a lab: what it would refuse is said where the bottles are handed over.
  const isPickUp = holder?.as === 'household';
  const found = isPickUp
    ? []
    : foretell({
        ...atDesk({
          lines: goes,
          boxes: atHand,
          colds: new Map(boxes.map(({ box, now: state }) => [box.id, state.cold])),
          conditions: draft.bottles as never,
          said: draft.said,
          now,
          arrival,
        }),
        ...(isBefore ? { stage: 'packing' as const } : {}),
      });
  const foretold = foretoldOf(found);
  // A form that nobody has begun is not greeted with what is missing.
  const unknown = isUntouched ? found.filter(isUnknownYet) : [];
  const refusals = found.filter((one) => !unknown.includes(one));
  const stops = refusals.filter(({ severity }) => severity === 'stop');
  // A spoilt sample is ours to know: the lab would take it.
  const refusedCount = new Set(stops.filter(({ code }) => code !== 'sample-spoilt').flatMap(({ bottles }) => bottles)).size;
  const ofForm = refusals.filter(({ field }) => !field.startsWith('box '));
  const taker = takerOf(draft);
  const typedFields = labs
    .filter(({ id }) => to.as !== 'lab' || to.lab === id)
    .flatMap(({ form: fields = [] }) =>
      fields.filter(({ field, always }) => formField(field).isTyped && !always).map(({ field }) => field),
    );
  const count = goes.length === 1 ? '1 bottle' : `${goes.length} bottles`;
  return (
    <EntryForm
      of={form}
      {...(isBefore ? {} : { submit: stops.length === 0 ? `Hand over ${count}` : `Hand over ${count} all the same` })}
      tone={stops.length === 0 ? 'primary' : 'danger'}
      enter="nothing"
      className="custody"
      disabled={goes.length === 0}
      lead={
        <div className="stack">
          <ToWhom labs={labs} to={to} set={(party) => form.set({ to: party, ...uncounted })} />
          {to.as !== 'lab' && labs.length > 1 && (
            <Segmented
              aria-label="Which bottles"
              className="to-whom"
              value={draft.bound ?? ''}
              options={[{ value: '', label: 'All of them' }, ...labs.map(({ id, name }) => ({ value: id, label: `For ${name}` }))]}
              onChange={(value) => form.set({ bound: value === '' ? undefined : value, ...uncounted })}
            />
          )}
          {to.as === 'lab' && to.lab !== undefined && (
            <Segmented
              aria-label="When"
              value={isBefore ? 'before' : 'now'}
              options={[
                { value: 'before', label: 'Before I drive off' },
                { value: 'now', label: 'At the desk' },
              ]}
              onChange={(value) => setBefore(value === 'before')}
            />
          )}
          {isBefore && (
            <p>
              {way === null
                ? 'The drive cannot be worked out: point or lab has no position on the map.'
                : `Off now, at the lab at ${showNear(arrival, now, round.plan.zone)}.`}
            </p>
          )}
          <p className="soft">
            {round.plan.system}, round {round.plan.code}. From {from.name}. {count} on the form
            {stays.length > 0 ? `, ${stays.length} left out` : ''}.
          </p>
          {boxes.map((box) => (
            <BoxCard
              key={box.box.id}
              of={box}
              draft={boxDraft(draft, box.box.id)}
              refusals={refusals}
              asksForSeal={!isPickUp && box.lines.some(({ lab }) => lab?.asksForSeal)}
              mayCool={box.lines.some(({ lab }) => lab?.coolingWithin !== undefined)}
              isOnly={boxes.length === 1}
              now={now}
            />
          ))}
        </div>
      }
    >
      {stops.length > 0 && (
        <p className="word tone-stop">
          <Mark kind="stop" />
          {refusedCount === 0
            ? 'Something is missing on the form, or a sample is spoilt'
            : refusedCount === 1
              ? 'The lab would refuse a bottle'
              : `The lab would refuse ${refusedCount} bottles`}
        </p>
      )}
      <Foretold of={ofForm} />
      {stops.length === 0 && unknown.length > 0 && <p className="word">Not yet known: {sayUnknown(unknown)}</p>}
      {!isPickUp && stops.length === 0 && unknown.length === 0 && (
        <p className="word tone-good">
          <Mark kind="good" />
          {labs.length > 0 ? 'Nothing the lab would refuse' : 'Nothing that a lab would refuse, as far as is known of it'}
        </p>
      )}
      {!isBefore && (
        <>
          {(to.as !== 'lab' || to.lab === undefined) && <Field name={['to', 'name']} label={partyKind(to.as).asks} />}
          {to.as === 'lab' && <Field name="takenBy" placeholder="Name at the intake desk" />}
          {to.as !== 'lab' && (
            <Field name="arrives" label="Expected at the lab, if known">
              <MomentInput zone={round.plan.zone} isOptional />
            </Field>
          )}
          {[...new Set(typedFields)].map((field) => (
            <Field key={field} name={['said', field]} label={formField(field).name} />
          ))}
          <ScanCount
            lines={goes}
            scanned={draft.scanned}
            onScan={(scanned) => form.set({ scanned, ...(isAllScanned(goes, scanned) ? { counted: String(goes.length) } : {}) })}
          />
          <Field name="counted" label="Bottles counted by who takes them">
            <Input size="large" inputMode="numeric" autoComplete="off" maxLength={4} className="count" />
          </Field>
          {partyKind(from.as).signs && <Sign of="signed" label={`Sign as ${from.name}`} />}
          {partyKind(to.as).signs && (
            <Sign
              of="received"
              label={to.as === 'lab' ? `The desk signs, if it does${taker ? `, as ${taker}` : ''}` : `${taker || 'Who takes them'} signs`}
            />
          )}
        </>
      )}
    </EntryForm>
  );
}

/** How long the way to the lab is (ms) from where the last of these bottles was filled; null where that is not known. */
function wayFrom(round: RoundState, lines: readonly FormLine[]): number | null {
  const last = [...lines].sort((a, b) => (b.bottle.filledAt ?? 0) - (a.bottle.filledAt ?? 0))[0];
  const visit = round.visits.find(({ id }) => id === last?.bottle.visit);
  return last?.lab && visit ? wayToLab(visit.point.position, last.lab, round.day) : null;
}
