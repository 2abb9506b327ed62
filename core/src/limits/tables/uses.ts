import type { waters } from '../../registers/index.ts';

/**
 * The sets that water is compared with by what it is used for, where that is not drinking: by what the register says of it. Water that is
 * drunk, a monitoring well's and one of which nobody said it are compared with the sets of the round.
 */
export const setsByWater: Readonly<Partial<Record<keyof typeof waters, readonly string[]>>> = {
  irrigation: ['irrigation-fao-29'],
  stock: ['livestock-fao-29'],
};
