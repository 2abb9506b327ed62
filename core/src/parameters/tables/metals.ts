import { rowsOfKind } from './row.ts';

const metal = rowsOfKind('metal', [0, 1e6], { isBound: true });
const inUg = (decimals: number, most: number) => ({ unit: 'ug/L', decimals, usualAtLab: [0.01, most] }) as const;
const inMg = (decimals: number, most: number) => ({ unit: 'mg/L', decimals, possible: [0, 1e3], usualAtLab: [0.0005, most] }) as const;

/**
 * Metals and half-metals. What comes out of pipes: Directive (EU) 2020/2184, Annex II, Part D (copper, lead and nickel at the consumer's
 * tap: no prior flushing, a random daytime sample of one litre; from memory).
 */
export const metals = {
  arsenic: metal('Arsenic', 'As', '7440-38-2', inUg(1, 500)),
  boron: metal('Boron', 'B', '7440-42-8', inMg(2, 20)),
  cadmium: metal('Cadmium', 'Cd', '7440-43-9', inUg(2, 50)),
  chromium: metal('Chromium', 'Cr', '7440-47-3', inUg(1, 500)),
  copper: metal('Copper', 'Cu', '7440-50-8', { ...inMg(3, 10), fromPipes: true }),
  iron: metal('Iron', 'Fe', '7439-89-6', { unit: 'ug/L', decimals: 0, possible: [0, 1e7], usualAtLab: [0.1, 50_000] }),
  lead: metal('Lead', 'Pb', '7439-92-1', { ...inUg(1, 500), fromPipes: true }),
  manganese: metal('Manganese', 'Mn', '7439-96-5', { unit: 'ug/L', decimals: 0, usualAtLab: [0.1, 10_000] }),
  aluminium: metal('Aluminium', 'Al', '7429-90-5', { unit: 'ug/L', decimals: 0, usualAtLab: [0.1, 20_000] }),
  nickel: metal('Nickel', 'Ni', '7440-02-0', { ...inUg(1, 1000), fromPipes: true }),
  antimony: metal('Antimony', 'Sb', '7440-36-0', inUg(1, 100)),
  selenium: metal('Selenium', 'Se', '7782-49-2', inUg(1, 500)),
  uranium: metal('Uranium', 'U', '7440-61-1', inUg(1, 1000)),

  mercury: metal('Mercury', 'Hg', '7439-97-6', { unit: 'ug/L', decimals: 3, usualAtLab: [0.0005, 20] }),
  chromium6: metal('Chromium (VI)', 'Cr VI', '18540-29-9', { unit: 'ug/L', decimals: 2, usualAtLab: [0.01, 500] }),
  barium: metal('Barium', 'Ba', '7440-39-3', { unit: 'ug/L', decimals: 0, usualAtLab: [0.1, 5000] }),
  beryllium: metal('Beryllium', 'Be', '7440-41-7', inUg(2, 50)),
  cobalt: metal('Cobalt', 'Co', '7440-48-4', inUg(1, 500)),
  lithium: metal('Lithium', 'Li', '7439-93-2', inUg(1, 5000)),
  molybdenum: metal('Molybdenum', 'Mo', '7439-98-7', inUg(1, 1000)),
  silver: metal('Silver', 'Ag', '7440-22-4', inUg(1, 500)),
  strontium: metal('Strontium', 'Sr', '7440-24-6', inUg(0, 50_000)),
  thallium: metal('Thallium', 'Tl', '7440-28-0', inUg(2, 50)),
  tin: metal('Tin', 'Sn', '7440-31-5', inUg(1, 500)),
  titanium: metal('Titanium', 'Ti', '7440-32-6', inUg(1, 1000)),
  vanadium: metal('Vanadium', 'V', '7440-62-2', inUg(1, 500)),
  zinc: metal('Zinc', 'Zn', '7440-66-6', inMg(3, 50)),
};
