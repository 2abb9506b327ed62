/** How a result is expressed: as an element or as the ion or oxide; at 20 or at 25 °C. */
export type Basis = 'N' | 'P' | 'Si' | 'ion' | '20' | '25';

/** What has to be asked about a result that is expressed in several ways, and under which key of a mapping the answer stands. */
export const basisQuestions = [
  { ways: ['N', 'ion'], code: 'nitrogen-as', key: 'nitrogenAs' },
  { ways: ['P', 'ion'], code: 'phosphorus-as', key: 'phosphorusAs' },
  { ways: ['Si', 'ion'], code: 'silica-as', key: 'silicaAs' },
  { ways: ['20', '25'], code: 'conductivity-at', key: 'conductivityAt' },
] as const satisfies readonly { ways: readonly Basis[]; code: string; key: string }[];

/** The ways as they are offered, by their names. */
export const basisNames: Readonly<Record<Basis, string>> = {
  N: 'as nitrogen (N)',
  P: 'as phosphorus (P)',
  Si: 'as silicon (Si)',
  ion: 'as the ion',
  '20': 'at 20 °C',
  '25': 'at 25 °C',
};

/** An element that results are expressed as, and what else the same results are expressed as: how names and units say it, in small letters. */
export const elements = [
  { as: 'N', element: 'n', wholes: 'no3|no2|nh4' },
  { as: 'P', element: 'p', wholes: 'po4' },
  { as: 'Si', element: 'si', wholes: 'sio2' },
] as const satisfies readonly { as: Basis; element: string; wholes: string }[];
