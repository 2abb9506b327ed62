import { byProducts } from './disinfection.ts';
import { field, looks } from './field.ts';
import { germs } from './germs.ts';
import { metals } from './metals.ts';
import { organics } from './organics.ts';
import { pesticides } from './pesticides.ts';
import { perfluoroalkyls } from './pfas.ts';
import { radioactivity } from './radioactivity.ts';
import { nutrients, salts } from './salts.ts';
import { sums } from './sums.ts';

export { parameterKinds, type ParameterKind, type ParameterRow } from './row.ts';

/**
 * What is measured in the field or reported by a lab, in the order in which it is listed. Ranges are common practice; the factors between
 * ways of expressing a result are ratios of molar masses.
 */
export const parameters = {
  ...field,
  ...germs,
  ...salts,
  ...nutrients,
  ...metals,
  ...looks,
  ...sums,
  ...byProducts,
  ...organics,
  ...perfluoroalkyls,
  ...pesticides,
  ...radioactivity,
};
