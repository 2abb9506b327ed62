import { struck } from '@fonte/core/book';
import { answerTaken, boxRead, boxRecorded, handedOver, labAnswered } from '@fonte/core/custody';
import { bottleDiscarded, bottleFilled, bottleLabelled } from '@fonte/core/fill';
import { kitGiven, kitPutOut, kitTakenBack } from '@fonte/core/kit';
import { extraPlanned, labAdded } from '@fonte/core/plan';
import { bottlesBoxed } from '@fonte/core/prepare';
import { atTheWell } from '../../core/test/at-the-well.ts';
import { handing, idOf, lab, Script, tapPoint } from '../../core/test/script.ts';

/** A book of bottles from hand to hand: two labs, boxes that were read, a courier, a bottle that was not found, answers that changed. */
export const custodyShapes = {
  'from-hand-to-hand': () => {
    const script = new Script().plan();
    const coast = { ...lab, id: idOf(31), name: 'Lab of the coast', form: [{ field: 'quote' as const, always: 'Q-7' }], coolingWithin: 3 };
    script.write(labAdded, { lab: coast, bottles: ['metals'], splits: true });
    script.atWell(extraPlanned, { analysis: 'nutrients', purpose: 'blind-duplicate', as: { code: 'ZB4', name: 'Upper fountain' } });
    script.atWell(extraPlanned, { analysis: 'general', purpose: 'split' });
    const well = atTheWell(() => script);
    well.purged();
    script.atWell(bottleLabelled, { bottle: '261123A-MW3-N', how: 'scanned', code: 'PN-17' });
    script.atWell(bottleFilled, { bottle: '261123A-MW3-N', facts: ['sound'] });
    script.atWell(bottleFilled, { bottle: '261123A-MW3-M', unfiltered: 'too turbid' });
    script.atWell(bottleDiscarded, { bottle: '261123A-MW3-A', reason: 'underfilled' });
    for (const id of ['A2', 'G', 'G-S']) script.atWell(bottleFilled, { bottle: `261123A-MW3-${id}` });
    script.atWell(bottleFilled, { bottle: '261123A-ZB4-N' });
    const box = { id: idOf(57), name: 'Blue box', holds: 0.03 };
    script.write(bottlesBoxed, { box, bottles: ['261123A-MW3-N', '261123A-ZB4-N'] });
    const cold = { box: { box: box.id, name: box.name }, when: 'packing' as const, cold: 'ice' as const, by: 'bottle' as const };
    script.write(boxRead, { ...cold, temperature: { text: '41', unit: 'degF' } });
    const hands = {
      to: { as: 'courier' as const, name: 'Ana Reis' },
      takenBy: '',
      received: { name: 'Ana Reis', drawn: [[10, 20, 300, 200]] },
    };
    script.write(
      handedOver,
      handing(['261123A-MW3-M', '261123A-MW3-G-S'], { ...hands, left: [{ bottle: '261123A-MW3-G', why: 'missing' }] }),
    );
    const coastForm = handing(['261123A-MW3-M', '261123A-MW3-G-S'], {
      to: { as: 'lab', lab: coast.id },
      from: 'Ana Reis',
      said: { notes: 'turbid' },
    });
    const there = script.write(handedOver, { ...coastForm, from: hands.to });
    const here = script.write(
      handedOver,
      handing(['261123A-MW3-N', '261123A-MW3-A2', '261123A-ZB4-N'], { foretold: [{ bottle: '261123A-MW3-N', code: 'too-warm' }] }),
    );
    script.write(labAnswered, { handOver: here.id, reference: 'L-1', bottles: [] });
    script.write(labAnswered, {
      handOver: here.id,
      reference: 'L-1',
      bottles: [{ bottle: '261123A-MW3-N', accepted: false, reason: 'Warm' }],
    });
    script.write(answerTaken, {
      handOver: there.id,
      reference: 'C-7',
      how: 'mail',
      whom: 'Reception',
      bottles: [{ bottle: '261123A-MW3-M', accepted: true }],
    });
    return script.entries;
  },
  /** A box with bottles whose logger was read out. */
  'box-recorded': () => {
    const script = new Script().plan();
    const well = atTheWell(() => script);
    well.purged();
    script.atWell(bottleFilled, { bottle: '261123A-MW3-N' });
    const from = script.now;
    script.write(boxRecorded, {
      box: { box: '', name: 'Cooler' },
      recording: {
        sha256: 'b'.repeat(64),
        name: 'cooler.csv',
        date: 0,
        order: 'dmy',
        clock: { goes: 'wall', zone: 'Atlantic/Azores' },
        value: 1,
        decimals: 'comma',
        unit: 'degC',
      },
      course: [
        [from, 4.5],
        [from + 300_000, 7],
        [from + 2_400_000, 5],
      ],
      gaps: [[from + 300_000, from + 2_400_000]],
      readings: 3,
      outside: 12,
      unread: 1,
    });
    return script.entries;
  },
  /** A kit that a household filled and put out, taken over and picked up. */
  'from-a-household': () => {
    const script = new Script();
    script.plan([], { visits: [{ id: script.tap, point: tapPoint, analyses: ['lead'] }] });
    const given = {
      person: idOf(71),
      name: 'House at the bend',
      ways: { 'lead-timed': 'lead-random' },
      pickUp: { date: '2026-11-24', from: '08:00', to: '10:00', where: 'beside the door' },
    };
    script.write(kitGiven, given);
    script.write(kitTakenBack, { reason: 'the wrong house' });
    script.write(kitGiven, { ...given, call: '555 0147' });
    const from = script.entries.length;
    script.sampleTap({ procedure: 'lead-random', bottle: '261123A-MH1-L' });
    script.write(kitPutOut, { note: 'the gate is locked' });
    for (const entry of script.entries.slice(from)) {
      Object.assign(entry, { doubt: 'from-household' });
      script.write(struck, { entry: entry.id, kind: entry.kind, reason: 'read, bottles looked at', instead: { holds: true } });
    }
    const { signed: _, ...unsigned } = handing(['261123A-MH1-L'], {
      to: { as: 'person', name: 'Inês Faria' },
      takenBy: '',
      received: { name: 'Inês Faria' },
    });
    script.write(handedOver, { ...unsigned, from: { as: 'household', name: 'House at the bend' } });
    return script.entries;
  },
};
