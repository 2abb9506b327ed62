import type { BottleRule } from '../../rule.ts';
import { rules as rulesBefore } from '../bottles-2026-3.ts';
import { germs } from './germs.ts';
import { looks } from './looks.ts';
import { metals } from './metals.ts';
import { organics } from './organics.ts';
import { salts } from './salts.ts';

/**
 * As the edition before, with what else is asked of water: each group in bottles of its own, as labs pack them. Rows that are new have
 * the copies, blanks and gear that belong to them.
 */
export const rules = {
  ...rulesBefore,
  bacteria: { ...rulesBefore.bacteria, spareEach: 5, gear: ['sterile-kit'] },
  ...germs,
  ...metals,
  ...salts,
  ...looks,
  ...organics,
} as const satisfies Record<string, BottleRule>;
