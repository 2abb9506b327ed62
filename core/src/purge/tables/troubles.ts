/** What a choice makes of the samples: said and no more, not for the programme, or to be taken again. */
export type Makes = 'noted' | 'special' | 'invalid';

/** A way on from a trouble. */
export interface ChoiceRow {
  /** What is done, in the imperative. */
  do: string;
  makes: Makes;
  /** What it means for the sample, in a sentence. */
  because: string;
  /** Water stood or another came: what was read before counts for nothing. */
  anew?: true;
}

/** Something that goes wrong while a well is purged, and the ways on from it. */
export interface TroubleRow {
  name: string;
  /** What it looks like. */
  seen: string;
  choices: Readonly<Record<string, ChoiceRow>>;
  source: string;
}

const practice = 'Common practice';
const nothingLost = 'Nothing is lost: what came before is not sampled.';

/** What is tried before anything of the sample is lost comes first. */
export const troubles = {
  drawdown: {
    name: 'The level falls too far',
    seen: 'The drawdown is more than the method bears.',
    choices: {
      slower: { do: 'Pump slower, wait until the level holds', makes: 'noted', because: nothingLost },
      'other-method': {
        do: 'Change the method: this well does not bear low flow',
        makes: 'noted',
        because: 'The sample is one of the other method.',
      },
      'on-anyway': { do: 'Go on as it is', makes: 'special', because: 'Water of the casing above comes along.' },
    },
    source: 'US EPA Region 1, EQASOP-GW4, rev. 4 (2017)',
  },
  'over-pumped': {
    name: 'Pumped faster than the well gives',
    seen: 'The level comes down to the screen or the intake.',
    choices: {
      slower: { do: 'Pump slower', makes: 'noted', because: nothingLost },
      wait: { do: 'Stop and let it recover', makes: 'noted', because: 'Readings start anew after it.', anew: true },
      'on-anyway': { do: 'Go on as it is', makes: 'special', because: 'The screen drains and air gets into the water.' },
    },
    source: practice,
  },
  air: {
    name: 'Air in the line',
    seen: 'Bubbles in tubing or flow cell.',
    choices: {
      mend: { do: 'Tighten the joints, lower the intake, let the bubbles out', makes: 'noted', because: nothingLost },
      'no-volatiles': {
        do: 'Go on; volatiles and dissolved gases are not sampled',
        makes: 'special',
        because: 'Oxygen, pH and whatever leaves with the air are not those of the well.',
      },
      'on-anyway': { do: 'Go on and sample all', makes: 'invalid', because: 'Volatiles, gases, iron and pH are altered.' },
    },
    source: 'US EPA Region 1, EQASOP-GW4, rev. 4 (2017)',
  },
  'turbid-stuck': {
    name: 'It does not clear',
    seen: 'The turbidity stays, and everything else holds.',
    choices: {
      slower: { do: 'Pump slower, do not move the pump', makes: 'noted', because: nothingLost },
      filtered: {
        do: 'Take filtered and unfiltered bottles',
        makes: 'noted',
        because: 'What hangs on particles can be told from what is dissolved.',
      },
      'on-anyway': { do: 'Sample as it is', makes: 'special', because: 'Metals and whatever sticks to particles read too high.' },
    },
    source: 'EPA/540/S-95/504 (1996): turbidity tells of the purge, not of the aquifer alone',
  },
  'no-filter': {
    name: 'Too turbid to filter',
    seen: 'The filter clogs.',
    choices: {
      'more-filters': { do: 'Take another filter, flush it as its card says', makes: 'noted', because: nothingLost },
      'lab-filters': {
        do: 'Unfiltered into a bottle without preservative, the lab filters',
        makes: 'special',
        because: 'Metals come out of solution on the way: tell the lab.',
      },
      unfiltered: {
        do: 'Unfiltered into the preserved bottle',
        makes: 'invalid',
        because: 'The acid brings metals of the particles into solution: it is no dissolved metal.',
      },
    },
    source: practice,
  },
  'five-volumes': {
    name: 'Five volumes out, and not stable',
    seen: 'The readings are not stable.',
    choices: {
      more: { do: 'Go on pumping', makes: 'noted', because: nothingLost },
      sample: {
        do: 'Sample, and say that it was not stable',
        makes: 'noted',
        because: 'Five volumes and a note: the programme may bear it.',
      },
      leave: { do: 'Leave it, look what is wrong with the well', makes: 'invalid', because: 'No sample today.' },
    },
    source: 'US EPA Region 4, LSASDPROC-301: the leader decides after five volumes; common practice',
  },
  dry: {
    name: 'The well ran dry',
    seen: 'No more water comes.',
    choices: {
      recover: { do: 'Let it recover, sample within 24 h', makes: 'noted', because: 'Set up the purge as “purge dry, let it recover”.' },
      slower: {
        do: 'Wait, then go on much slower',
        makes: 'special',
        because: 'The screen was drained: air got into the water.',
        anew: true,
      },
      leave: { do: 'Leave it', makes: 'invalid', because: 'No sample today.' },
    },
    source: practice,
  },
  'pump-failed': {
    name: 'The pump failed',
    seen: 'It does not run, or gives nothing.',
    choices: {
      again: { do: 'It runs again: go on', makes: 'noted', because: 'Water stood in between: readings start anew.', anew: true },
      bailer: { do: 'Go on with another pump or a bailer', makes: 'special', because: 'It stirs the well and lets gases out.', anew: true },
      leave: { do: 'Leave it', makes: 'invalid', because: 'No sample today.' },
    },
    source: practice,
  },
} as const satisfies Record<string, TroubleRow>;
