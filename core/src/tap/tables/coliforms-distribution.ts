import type { Protocol } from '../protocol.ts';

const practice = 'Common practice';

/**
 * Coliforms at a tap of the distribution system: flush, test, disinfect, fill. After ISO 19458 (purpose a, quality of
 * the main; from memory) and common practice for times. Local instructions and the employer's rules come first.
 */
export const coliformsDistribution: Protocol = {
  id: 'coliforms-distribution',
  edition: '2026-1',
  from: '2020-01-01',
  title: 'Coliforms, distribution',
  analysis: 'coliforms',
  source: 'ISO 19458 (from memory) and common practice',
  steps: [
    {
      id: 'fitness',
      say: 'Look at the tap',
      why: 'A tap that drips, swivels or stands behind a filter tells about itself, not about the water in the main.',
      source: practice,
      caution: 'Look round first: traffic, dogs, hot water, wet floor, working alone. Your employer’s rules come first.',
      act: {
        type: 'checks',
        items: [
          { id: 'outlet-down', label: 'Outlet faces down, clean and not leaking' },
          {
            id: 'no-treatment',
            label: 'No softener, filter or hose before it',
            stop: {
              outcome: 'abandoned',
              say: 'Treated or hosed water is not the water of the main.',
              advice: 'Take the alternative tap of the plan, or bypass the device and start again.',
              source: practice,
            },
          },
          { id: 'in-use', label: 'The connection is in use' },
        ],
      },
    },
    {
      id: 'strip',
      say: 'Take off aerator and attachments',
      why: 'They hold biofilm. Check that no washer is left behind.',
      source: 'ISO 19458 (from memory)',
      act: { type: 'confirm' },
    },
    { id: 'hands', say: 'Wash hands, put gloves on', why: 'Hands carry coliforms.', source: practice, act: { type: 'confirm' } },
    {
      id: 'flush',
      say: 'Run cold water, full and steady',
      why: 'The sample is to come from the main, not from the house pipes.',
      source: 'Two to five minutes, longer on dead ends: common practice',
      act: { type: 'clock', least: 120, usual: '2 to 5 min; longer on a dead end' },
    },
    {
      id: 'temperature',
      say: 'Measure the water temperature',
      why: 'A temperature that no longer changes says the main has arrived.',
      source: practice,
      act: {
        type: 'measure',
        parameter: 'temperature',
        unit: 'degC',
        stops: [
          {
            above: 25,
            outcome: 'special',
            say: 'Over 25 °C is not cold water from the main.',
            advice: 'Flush on and measure again. If it stays warm, go on as a special sample and tell the operator.',
            source: practice,
          },
        ],
      },
    },
    {
      id: 'residual',
      say: 'Measure free chlorine',
      why: 'Without a residual the main is not in its usual state, and the sample is no routine one.',
      source:
        'WHO Guidelines: at least 0.2 mg/L at the point of delivery (from memory); the operator’s own minimum where the point has one',
      act: {
        type: 'measure',
        parameter: 'freeChlorine',
        unit: 'mg/L',
        stops: [
          {
            below: 'residual-minimum',
            outcome: 'special',
            say: 'The residual is too low for a routine sample.',
            advice: 'Tell the operator now. Go on as a special sample, or come back once the residual is restored.',
            source: practice,
          },
        ],
      },
    },
    {
      id: 'disinfect',
      say: 'Choose how to disinfect the outlet',
      why: 'What grows on the outlet must not get into the bottle.',
      source: 'ISO 19458 (from memory); flame is quickest but damages taps: schools differ',
      act: {
        type: 'choose',
        options: [
          { id: 'alcohol', label: 'Alcohol, 70 %', caution: 'No flame near alcohol or its vapour.' },
          { id: 'bleach', label: 'Bleach, 1 : 10', caution: 'Never with acid or ammonia. Ventilate, gloves, eye protection.' },
          { id: 'flame', label: 'Flame', caution: 'Never after alcohol. No plastic parts, nothing that burns behind or below.' },
        ],
      },
    },
    {
      id: 'flame-safe',
      say: 'Is a flame safe here?',
      why: 'A flame cracks plastic and sets walls and plants alight.',
      source: practice,
      when: { step: 'disinfect', chosen: ['flame'] },
      act: {
        type: 'checks',
        items: [
          {
            id: 'wall',
            label: 'Wall of stone, tile or metal',
            stop: {
              outcome: 'abandoned',
              say: 'No flame at this wall.',
              advice: 'Strike the choice in the book and disinfect with bleach.',
              source: practice,
            },
          },
          {
            id: 'metal',
            label: 'Tap all metal, no plastic or rubber',
            stop: {
              outcome: 'abandoned',
              say: 'No flame on plastic.',
              advice: 'Strike the choice in the book and disinfect with bleach.',
              source: practice,
            },
          },
          {
            id: 'vapour',
            label: 'No alcohol was used here',
            stop: {
              outcome: 'abandoned',
              say: 'No flame where alcohol was.',
              advice: 'Strike the choice in the book and stay with alcohol or bleach.',
              source: practice,
            },
          },
        ],
      },
    },
    {
      id: 'flame',
      say: 'Flame the outlet until it hisses',
      why: 'Dry heat kills what sits on the metal.',
      source: practice,
      when: { step: 'disinfect', chosen: ['flame'] },
      caution: 'Burns: keep hands, sleeves and hair away. Let it cool with running water.',
      act: { type: 'confirm' },
    },
    {
      id: 'contact',
      say: 'Close the tap, wet the outlet inside and out, wait',
      why: 'Alcohol and bleach need time to work.',
      source: 'Two to three minutes: common practice',
      when: { step: 'disinfect', chosen: ['alcohol', 'bleach'] },
      act: { type: 'clock', least: 120, usual: '2 to 3 min' },
    },
    {
      id: 'rinse-off',
      say: 'Open and rinse the disinfectant off',
      why: 'Left-over disinfectant would kill what the lab looks for.',
      source: 'About 20 seconds: common practice',
      act: { type: 'clock', least: 20, usual: 'about 20 s' },
    },
    {
      id: 'stream',
      say: 'Set a stream as thin as a pencil, then leave the valve alone',
      why: 'Turning the valve shakes loose what sits in it.',
      source: practice,
      act: { type: 'confirm' },
    },
    {
      id: 'fill',
      say: 'Fill the bottle',
      why: 'Open it only now. Cap facing down or lifted above, never set down.',
      source: 'ISO 19458 (from memory)',
      act: { type: 'fill', analysis: 'coliforms' },
    },
    {
      id: 'cold',
      say: 'Bottle into the cooler, dark',
      why: 'Bacteria die or grow at once in warmth and light.',
      source: 'ISO 19458 (from memory)',
      act: { type: 'confirm' },
    },
    {
      id: 'put-back',
      say: 'Put aerator and attachments back',
      why: 'Leave the place as you found it.',
      source: practice,
      act: { type: 'confirm' },
    },
  ],
};
