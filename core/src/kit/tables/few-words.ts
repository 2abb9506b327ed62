import type { KitPicture } from './pictures.ts';

/** A step for a household: what to do and why in few words, with its picture. */
export interface FewWords {
  say: string;
  why: string;
  picture: KitPicture;
  caution?: string;
  /** What its checks are called, by their ids. */
  items?: Readonly<Record<string, string>>;
  /** What a household does not do, and why: it is left out with one touch. */
  leftOut?: string;
}

/** A protocol that a household can walk with what is in its kit. */
export interface KitWords {
  /** What the sample is for. */
  title: string;
  /** How long it takes, as it is told. */
  takes: string;
  /** By the ids of the protocol's steps. */
  steps: Readonly<Record<string, FewWords>>;
}

const kitchen: FewWords = {
  say: 'Take the cold tap you drink from',
  why: 'Usually the one in the kitchen.',
  picture: 'look',
  caution: 'Never hot water: it scalds, and it says something else.',
  items: {
    'drinking-tap': 'We drink from this tap',
    'no-treatment': 'No softener or filter before it',
    'aerator-on': 'The little sieve at its end is on',
  },
};
const usedAgain: FewWords = { say: 'Close the tap. You may use water again', why: 'That was all of the water.', picture: 'back' };
const stood: FewWords = {
  say: 'Count the hours: nobody used any water',
  why: 'One flush of a toilet and it begins anew. Best is early in the morning.',
  picture: 'nobody',
};
const litre = (say: string): FewWords => ({ say, why: 'To the line, and not a drop beside it.', picture: 'fill' });

const pfas: KitWords = {
  title: 'PFAS in your water',
  takes: 'about 15 minutes',
  steps: {
    before: {
      say: 'Before you open a bottle',
      why: 'A trace from a coat or a cream would be found.',
      picture: 'wash',
      items: {
        supplier: 'Water came from this tap today as always',
        blank: 'The bottle for the blank is filled, as its card says',
        'no-foreign': 'No hose and no filter jug at the tap',
        gloves: 'The gloves of the kit are on, and touched nothing else',
      },
    },
    flush: { say: 'Let cold water run', why: 'Water that stood in the pipe says something else.', picture: 'run' },
    residual: {
      say: 'Nothing to measure',
      why: 'Whoever gave you the kit sees to it.',
      picture: 'back',
      leftOut: 'A kit has no instrument.',
    },
    fill: { say: 'Fill to the line. Do not rinse', why: 'The powder in the bottle has to stay in it.', picture: 'fill' },
    shake: { say: 'Cap it. Turn it over five times', why: 'Until the powder is gone.', picture: 'turn' },
    cold: { say: 'Into its bag, and into the cold', why: 'The ice that came with it, or your fridge. Away from food.', picture: 'cold' },
  },
};

const noChlorine: FewWords = {
  say: 'Dip the strip: it must read zero',
  why: 'With chlorine in it the result would be too good.',
  picture: 'strip',
};
const well = (title: string, outlet: FewWords, strip: string): KitWords => ({
  title,
  takes: 'about 30 minutes',
  steps: {
    source: {
      say: 'Water of a well or spring, or treated before this tap?',
      why: 'Untreated water of a stream or lake is not tested for drinking. Call whoever gave you the kit.',
      picture: 'look',
    },
    outlet,
    strip: { say: strip, why: 'Bacteria live behind it.', picture: 'unscrew' },
    hands: { say: 'Wash your hands. Put the gloves on', why: 'What is on your hands must not get in.', picture: 'wash' },
    flush: { say: 'Let cold water run', why: 'The sample is of the well, not of the pipes.', picture: 'run' },
    residual: noChlorine,
    dip: {
      say: 'Hold the outlet into the cup of bleach',
      why: 'What lives on the tap must not get into the bottle.',
      picture: 'bleach',
      caution: 'One part of bleach to ten of water. Gloves on, window open, nothing else into it. Children and pets away.',
    },
    'run-cold': {
      say: 'Let cold water run until the smell is gone',
      why: 'Bleach in the bottle kills what is looked for.',
      picture: 'run',
    },
    'residual-again': noChlorine,
    stream: { say: 'A thin stream. Do not touch the valve any more', why: 'Nothing may splash.', picture: 'trickle' },
    fill: { say: 'Open the bottle now. Fill to the line', why: 'Hold the cap facing down; never set it down.', picture: 'fill' },
    stub: { say: 'The sticker on the bottle, its half on your sheet', why: 'With it you can ask for your result.', picture: 'cap' },
    cold: { say: 'Into the cold, at once', why: 'The ice that came with it, or your fridge. Away from food.', picture: 'cold' },
    'put-back': { say: 'Put back what you took off', why: 'Everything is as before.', picture: 'back' },
  },
});

/** Protocols that can be given to a household, by their id, and their words for it. Common practice, in few words. */
export const fewWords: Readonly<Record<string, KitWords>> = {
  'lead-first-litre': {
    title: 'Lead in your water: the first of the morning',
    takes: 'five minutes in the morning, before anybody uses water',
    steps: { fitness: kitchen, stood, fill: litre('Open slowly. Catch the very first water'), 'put-back': usedAgain },
  },
  'lead-fifth-litre': {
    title: 'Lead in your water: the fifth litre of the morning',
    takes: 'ten minutes in the morning, before anybody uses water',
    steps: {
      fitness: kitchen,
      stood,
      'four-litres': {
        say: 'Catch four litres, one after the other',
        why: 'Do not close the tap in between. They may be poured away.',
        picture: 'run',
      },
      fill: litre('The fifth litre goes into the bottle'),
      'put-back': usedAgain,
    },
  },
  'lead-random': {
    title: 'Lead in your water: as you drink it',
    takes: 'five minutes, at any hour of the day',
    steps: {
      fitness: kitchen,
      'not-run': {
        say: 'Do not run the tap before',
        why: 'It is to be as on any day.',
        picture: 'nobody',
        items: { 'nothing-run': 'Nothing was run for this sample', 'working-hours': 'It is an hour at which we draw water' },
      },
      fill: litre('Open as for a glass of water. Catch a litre'),
      'put-back': usedAgain,
    },
  },
  'lead-timed': {
    title: 'Lead in your water: after half an hour',
    takes: 'about 45 minutes in which nobody uses water',
    steps: {
      fitness: kitchen,
      told: { say: 'Tell everybody: no water now', why: 'No toilet, no washing machine.', picture: 'nobody' },
      flush: { say: 'Let cold water run', why: 'So that the half hour begins with fresh water.', picture: 'run' },
      standing: { say: 'Close the tap and wait', why: 'Nobody uses any water in the house.', picture: 'wait' },
      fill: litre('Open slowly. Catch the very first water'),
      'put-back': usedAgain,
    },
  },
  'pfas-533-tap': pfas,
  'pfas-537-tap': pfas,
  'private-drunk': well(
    'Bacteria in your well, where you drink it',
    {
      say: 'Take the tap you drink from',
      why: 'Without a swivel arm, if you have the choice.',
      picture: 'look',
      items: {
        drunk: 'We drink from it',
        'outlet-down': 'It faces down, is clean and does not drip',
        'treatment-known': 'We told what treats our water, or nothing does',
      },
    },
    'Unscrew the little sieve',
  ),
  'private-near-well': well(
    'Bacteria in your well, at the well',
    {
      say: 'Take the tap nearest the well',
      why: 'Before softener, filter and lamp.',
      picture: 'look',
      caution: 'Do not climb into the pit. Look out for wiring in wet places.',
      items: {
        'before-treatment': 'No softener, filter or lamp before it',
        'outlet-down': 'It faces down, is clean, drips not, has no hose',
      },
    },
    'Take off hose and sieve',
  ),
};
