/** How a result is expressed: as an element or as the ion or oxide; at 20 or at 25 °C; hardness and alkalinity as one of several salts. */
export type Basis = 'N' | 'P' | 'Si' | 'ion' | '20' | '25' | 'CaCO3' | 'CaO' | 'Ca' | 'HCO3';

/** What has to be asked about a result that is expressed in several ways, and under which key of a mapping the answer stands. */
export const basisQuestions = [
  { ways: ['N', 'ion'], code: 'nitrogen-as', key: 'nitrogenAs' },
  { ways: ['P', 'ion'], code: 'phosphorus-as', key: 'phosphorusAs' },
  { ways: ['Si', 'ion'], code: 'silica-as', key: 'silicaAs' },
  { ways: ['20', '25'], code: 'conductivity-at', key: 'conductivityAt' },
  { ways: ['CaCO3', 'CaO', 'Ca'], code: 'hardness-as', key: 'hardnessAs' },
  { ways: ['CaCO3', 'HCO3'], code: 'alkalinity-as', key: 'alkalinityAs' },
] as const satisfies readonly { ways: readonly Basis[]; code: string; key: string }[];

/** The ways as they are offered, by their names. */
export const basisNames: Readonly<Record<Basis, string>> = {
  N: 'as nitrogen (N)',
  P: 'as phosphorus (P)',
  Si: 'as silicon (Si)',
  ion: 'as the ion',
  '20': 'at 20 °C',
  '25': 'at 25 °C',
  CaCO3: 'as calcium carbonate (CaCO₃)',
  CaO: 'as calcium oxide (CaO)',
  Ca: 'as calcium (Ca)',
  HCO3: 'as bicarbonate (HCO₃)',
};
