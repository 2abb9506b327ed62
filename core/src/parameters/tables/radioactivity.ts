import { rowsOfKind } from './row.ts';

const radiological = rowsOfKind('radiological', [0, 1e9]);
const inBq = (decimals: number) => ({ unit: 'Bq/L', decimals }) as const;

/** Activities and doses. Uranium is kept as a mass, among the metals. */
export const radioactivity = {
  radon: radiological('Radon-222', 'Rn-222', '14859-67-7', inBq(0)),
  tritium: radiological('Tritium', 'H-3', '10028-17-8', inBq(0)),
  grossAlpha: radiological('Gross alpha activity', null, null, inBq(3)),
  grossBeta: radiological('Gross beta activity', null, null, inBq(3)),
  radium226: radiological('Radium-226', 'Ra-226', '13982-63-3', inBq(3)),
  radium228: radiological('Radium-228', 'Ra-228', '15262-20-1', inBq(3)),
  radium: radiological('Radium-226 + radium-228', null, null, inBq(3)),
  strontium90: radiological('Strontium-90', 'Sr-90', '10098-97-2', inBq(3)),
  lead210: radiological('Lead-210', 'Pb-210', '14255-04-0', inBq(3)),
  polonium210: radiological('Polonium-210', 'Po-210', '13981-52-7', inBq(3)),
  indicativeDose: radiological('Indicative dose', null, null, { unit: 'mSv', decimals: 2 }),
  betaDose: radiological('Dose from beta and photon emitters', null, null, { unit: 'mSv', decimals: 3 }),
};
