/** Atomic weights, abridged. Source: IUPAC, standard atomic weights 2021 (abridged values; from memory). */
export const atoms: Readonly<Record<string, number>> = {
  H: 1.008,
  B: 10.81,
  C: 12.011,
  N: 14.007,
  O: 15.999,
  F: 18.998,
  Na: 22.99,
  Mg: 24.305,
  Si: 28.085,
  P: 30.974,
  S: 32.06,
  Cl: 35.45,
  K: 39.098,
  Ca: 40.078,
  Br: 79.904,
};

/**
 * The molar mass of a formula without brackets, in g/mol.
 * @throws Error for an element that is not in the table
 * @example molarMass('NO3') // 62.004
 */
export function molarMass(formula: string): number {
  let mass = 0;
  for (const [, element, count] of formula.matchAll(/([A-Z][a-z]?)(\d*)/g)) {
    const weight = atoms[element!];
    if (weight === undefined) throw new Error(`No atomic weight of ${element} in ${formula}`);
    mass += weight * Number(count || 1);
  }
  return mass;
}

/** What takes an amount expressed as a part to the whole: 1 mg/L as N is 4.4266 mg/L as NO3. */
export const perPart = (whole: string, part: string): number => molarMass(whole) / molarMass(part);
