import type { AnalysisId } from '../../bottles/index.ts';
import type { Protocol, Step } from '../protocol.ts';
import { coliformsDistribution2 } from './coliforms-distribution-2.ts';

const practice = 'Common practice';

/** Free chlorine as it is measured for bacteria: where water is disinfected the lab wants it beside the result. */
const residual: Step = {
  ...coliformsDistribution2.steps.find(({ id }) => id === 'residual')!,
  say: 'Measure free chlorine',
  why: 'What is in the bottle against chlorine is measured for water as it usually is; the lab wants the number.',
  where: { disinfected: true },
  departed: 'noted',
  act: { type: 'measure', parameter: 'freeChlorine', unit: 'mg/L', stops: [] },
};

const cold = (say: string, why: string): Step => ({
  id: 'cold',
  say,
  why,
  source: practice,
  departed: 'special',
  act: { type: 'confirm' },
});

/** PFAS at a tap: nothing of them may come from whoever takes the sample. */
function pfas(analysis: AnalysisId, id: string, method: string): Protocol {
  const source = `${method} (from memory); common practice`;
  return {
    id,
    edition: '2026-1',
    from: '2026-11-23',
    title: `PFAS by ${method}`,
    analysis,
    source,
    freshFor: 1800,
    steps: [
      {
        id: 'before',
        say: 'Before any bottle is opened',
        why: 'A nanogram more or less decides; coats, creams and tubing carry thousands.',
        source,
        departed: 'special',
        act: {
          type: 'checks',
          items: [
            { id: 'supplier', label: 'The well that feeds it is pumping: asked, or seen', no: 'special' },
            { id: 'blank', label: 'The field blank of this building is filled, before the sample', no: 'special' },
            { id: 'no-foreign', label: 'No hose, tape or tubing of yours at the outlet', no: 'invalid' },
            { id: 'gloves', label: 'Fresh nitrile gloves, powder-free; nothing touched since', no: 'special' },
          ],
        },
      },
      {
        id: 'flush',
        say: 'Run cold water; all taps of this room that are sampled together',
        why: 'What is asked for is the water of the system, not what stood in fittings of plastic.',
        source: `Until the temperature holds, usually 3 to 5 min: ${method} (from memory)`,
        departed: 'special',
        act: { type: 'clock', least: 300, usual: '5 min' },
      },
      residual,
      {
        id: 'fill',
        say: 'Slow down and fill to the line, without rinsing and without running over',
        why: 'The powder in it must stay there: it takes up chlorine, and its amount is measured.',
        source,
        departed: 'invalid',
        act: { type: 'fill', analysis },
      },
      {
        id: 'shake',
        say: 'Cap it and turn it over five times, until the powder is gone',
        why: 'Undissolved it protects nothing.',
        source,
        departed: 'special',
        act: { type: 'confirm' },
      },
      cold(
        'Into a bag and onto wet ice, no gel packs',
        'Over 10 °C on arrival the lab refuses it; gel packs may carry what is looked for.',
      ),
    ],
  };
}

/** As before; turning it over is counted. */
const counted = (first: Protocol): Protocol => ({
  ...first,
  edition: '2026-2',
  steps: first.steps.map((step) =>
    step.id === 'shake' ? { ...step, say: 'Cap it and turn it over until the powder is gone', act: { type: 'times', least: 5 } } : step,
  ),
});

/** As before; the book knows whether the field blank is filled, and takes no other word for it. */
const knowingBlank = (before: Protocol): Protocol => ({
  ...before,
  edition: '2026-3',
  from: '2026-12-01',
  steps: before.steps.map((step) =>
    step.act.type === 'checks'
      ? {
          ...step,
          act: { ...step.act, items: step.act.items.map((item) => (item.id === 'blank' ? { ...item, filled: 'field-blank' } : item)) },
        }
      : step,
  ),
});

export const pfas533Tap = pfas('pfas533', 'pfas-533-tap', 'EPA Method 533');
export const pfas533Tap2 = counted(pfas533Tap);
export const pfas533Tap3 = knowingBlank(pfas533Tap2);
export const pfas537Tap = pfas('pfas537', 'pfas-537-tap', 'EPA Method 537.1');
export const pfas537Tap2 = counted(pfas537Tap);
export const pfas537Tap3 = knowingBlank(pfas537Tap2);

/** What escapes into the air: a bubble takes it along. */
function volatile(
  analysis: AnalysisId,
  id: string,
  title: string,
  more: { source: string; isChlorinated: boolean; why: string },
): Protocol {
  const source = `${more.source} (from memory); common practice`;
  return {
    id,
    edition: '2026-1',
    from: '2026-11-23',
    title,
    analysis,
    source,
    freshFor: 1800,
    steps: [
      {
        id: 'outlet',
        say: 'Look at the outlet and take the aerator off',
        why: 'An aerator beats air into the water and what is looked for out of it.',
        source: practice,
        departed: 'special',
        act: {
          type: 'checks',
          items: [
            { id: 'aerator', label: 'Aerator and hose are off', no: 'special' },
            { id: 'no-fumes', label: 'No engine, fuel or solvent near by', no: 'special' },
          ],
        },
      },
      {
        id: 'flush',
        say: 'Run cold water',
        why: 'Water that stood in the pipe has lost to it or taken up from it.',
        source: practice,
        departed: 'special',
        act: { type: 'clock', least: 120, usual: '2 min, or longer' },
      },
      {
        id: 'constant',
        say: 'Measure the temperature until it holds',
        why: 'A temperature that holds says that fresh water has arrived.',
        source: practice,
        departed: 'noted',
        act: { type: 'constant', parameter: 'temperature', unit: 'degC', within: 0.5, count: 3 },
      },
      ...(more.isChlorinated ? [residual] : []),
      {
        id: 'slow',
        say: 'Slow the stream until it runs smooth as a pencil',
        why: more.why,
        source: practice,
        departed: 'special',
        act: { type: 'confirm' },
      },
      {
        id: 'fill',
        say: 'Fill slowly along the wall to the brim, cap it, turn it over: no bubble',
        why: 'A bubble of a pea takes much of it out of the water. One with a bubble is thrown away, never topped up.',
        source,
        departed: 'invalid',
        act: { type: 'fill', analysis },
      },
      cold('Into the cold and the dark, upside down if it may lie', 'Cold water holds it; light makes more of some.'),
    ],
  };
}

export const trihalomethanesTap = volatile('trihalomethanes', 'trihalomethanes-tap', 'Trihalomethanes at a tap', {
  source: 'EPA Method 524.2',
  isChlorinated: true,
  why: 'The quencher is in the vial before the water: chlorine would go on making them on the way.',
});
export const volatilesTap = volatile('volatiles', 'volatiles-tap', 'Volatile organics at a tap', {
  source: 'EPA Method 524.2',
  isChlorinated: true,
  why: 'Where water falls and splashes, it loses what is looked for.',
});
export const radonTap = volatile('radon', 'radon-tap', 'Radon at a tap', {
  source: 'ISO 13164-3:2013',
  isChlorinated: false,
  why: 'Radon leaves water that is stirred within seconds.',
});
