import { cultureBegun, cultureDropped, cultureRead } from '@fonte/core/culture';
import { testBegun, testDropped, testRead } from '@fonte/core/fieldtests';
import { hour } from '@fonte/core/time';
import { idOf, Script, tapPoint } from '../../core/test/script.ts';

/** Books of work at a tap and on the own bench. */
export const fieldShapes = {
  'turned-over-at-a-dead-end': () => {
    const point = { ...tapPoint, traits: ['dead-end' as const, 'no-flame' as const] };
    const script = new Script();
    script.plan([], { visits: [{ id: script.tap, point, analyses: ['pfas533', 'coliforms'] }] });
    return script.sampleTap({ procedure: 'pfas-533-tap', bottle: '261123A-MH1-PA', point }).sampleTap({ point, bottle: '261123A-MH1-B' })
      .entries;
  },
  'field-tests': () => {
    const script = new Script().plan();
    const instrument = { id: idOf(41), name: 'Blue photometer', serial: 'PM-1187' };
    const lot = { id: idOf(56), name: 'Tablets', lot: 'T1-5521', expires: '2030-09-30' };
    const begun = script.atTap(testBegun, { method: 'free-chlorine-low', instrument, lot, parts: 10 });
    const shown = { is: 'number' as const, reading: { text: '0.42', unit: 'mg/L' as const } };
    script.atTap(testRead, { method: 'free-chlorine-low', test: begun.id, shown }, 0.5);
    const shades = [
      { shade: 'red', value: { text: '0', unit: 'mg/L' as const } },
      { shade: 'orange', value: { text: '1', unit: 'mg/L' as const } },
      { shade: 'yellow', value: { text: '1.5', unit: 'mg/L' as const } },
    ];
    const kit = { volume: { text: '5', unit: 'mL' as const }, drops: 4, shades };
    const colour = script.atTap(testBegun, { method: 'fluoride-colour', otherwise: 'no white paper', kit });
    script.atTap(testRead, { method: 'fluoride-colour', test: colour.id, shown: { is: 'class', from: 1, to: 1.5 } }, 2);
    const spilt = script.atTap(testBegun, { method: 'total-chlorine-high' });
    script.atTap(testDropped, { test: spilt.id, reason: 'spilt' });
    script.atTap(testRead, {
      method: 'conductivity',
      shown: { is: 'number', reading: { text: '512', unit: 'uS/cm' } },
      compensation: 'none',
      temperature: { text: '17.1', unit: 'degC' },
    });
    return script.entries;
  },
  'own-bench': () => {
    const script = new Script().plan().sampleTap();
    const medium = { lot: 'M-204', expires: '2027-05-31' };
    const bottle = '261123A-MH1-B';
    const begin = { method: 'wells-51' as const, bottles: [bottle], medium, warmth: { text: '35.1', unit: 'degC' as const } };
    const failed = script.write(cultureBegun, begin);
    script.write(cultureDropped, { culture: failed.id, reason: 'the current failed' });
    const { id: culture } = script.write(cultureBegun, { ...begin, hasBlank: true, hasControl: true });
    script.now += 25 * hour;
    const what = { is: 'bottle' as const, bottle };
    script.write(cultureRead, { culture, what, counted: { of: 'wells', coliforms: [5], ecoli: [2] } });
    script.write(cultureRead, { culture, what: { is: 'blank' }, counted: { of: 'growth', grew: true } });
    return script.entries;
  },
};
