import { charges, molarMass, parameter, type ParameterId } from '../../parameters/index.ts';
import { convert, unit, type UnitId } from '../../units/index.ts';
import { asCarbonate, factorOf } from '../tables/forms.ts';
import type { CalledUnit } from './units.ts';

/** What takes a number as it is printed to the parameter's own unit and form; or why nobody can. */
export type Into = { inOwn: (number: number) => number } | { code: string };

/** Of two units that are written alike, the one that a parameter can have. */
export function fitting(id: ParameterId, called: CalledUnit): CalledUnit {
  const own = unit(parameter(id).unit).dimension;
  return called.or && unit(called.or).dimension === own ? { unit: called.or, as: called.as } : called;
}

/** One mole, or one equivalent, of a parameter in g of its own form; null where nobody says. */
function massOf(id: ParameterId, amount: 'mol' | 'eq', as: string | null): number | null {
  if (id === 'hardness' || id === 'calciumHardness') return amount === 'mol' ? asCarbonate.mol.hardness : asCarbonate.eq;
  if (id === 'alkalinity' || id === 'alkalinityP') return amount === 'mol' ? asCarbonate.mol.alkalinity : asCarbonate.eq;
  const { symbol } = parameter(id);
  if (!symbol || (as !== null && factorOf(id, as) !== 1)) return null;
  const charge = (charges as Partial<Record<ParameterId, number>>)[id];
  if (amount === 'eq' && charge === undefined) return null;
  try {
    return molarMass(symbol.normalize('NFKD')) / (amount === 'eq' ? charge! : 1);
  } catch {
    return null;
  }
}

/** What stands for hardness and alkalinity in mg/L, where neither name nor unit says as what. */
const carbonates: Readonly<Partial<Record<ParameterId, string>>> = {
  hardness: 'hardness-as',
  calciumHardness: 'hardness-as',
  alkalinity: 'alkalinity-as',
  alkalinityP: 'alkalinity-as',
};

/**
 * What takes a number in a unit and expressed as a formula to the parameter's own unit and form.
 * @param as the formula that name, unit or a person says; null for none
 */
export function into(id: ParameterId, called: CalledUnit | null, as: string | null): Into {
  const own = parameter(id).unit;
  const factor = as === null ? 1 : factorOf(id, as);
  if (factor === null) return { code: 'basis-contradicts' };
  if (!called) return { inOwn: (number) => number * factor };
  const [to, from] = [unit(own).dimension, unit(called.unit).dimension];
  if (called.amount) {
    const mass = massOf(id, called.amount, as);
    const target: UnitId = to === 'hardness' ? 'mg/L' : own;
    return mass === null || unit(target).dimension !== 'concentration'
      ? { code: 'wrong-unit' }
      : { inOwn: (number) => convert(number * mass, called.unit, target) };
  }
  if (from === to) return { inOwn: (number) => convert(number, called.unit, own) * factor };
  // Hardness and alkalinity are kept as CaCO₃ in mg/L.
  if (to === 'hardness' && from === 'concentration')
    return as === null
      ? { code: carbonates[id] ?? 'wrong-unit' }
      : { inOwn: (number) => convert(number, called.unit, 'mg/L') * (factorOf(id, as) ?? 1) };
  const asCalcium = from === 'hardness' && to === 'concentration' ? factorOf(id, 'caco3') : null;
  if (asCalcium !== null && (as === null || as === 'caco3'))
    return { inOwn: (number) => convert(convert(number, called.unit, 'mg/L CaCO3') * asCalcium, 'mg/L', own) };
  return { code: 'wrong-unit' };
}
