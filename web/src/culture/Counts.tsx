import { sayCount, sayLimits, type Count } from '@fonte/core/culture';

/** Coliforms and E. coli per 100 mL with their limits. */
export function Counts({ of: count }: { of: { coliforms: Count; ecoli: Count } }) {
  return (
    <div className="figures">
      {(['coliforms', 'ecoli'] as const).map((of) => (
        <p key={of} className="figure">
          <span className="soft small">{of === 'coliforms' ? 'Coliforms per 100 mL' : 'E. coli per 100 mL'}</span>
          <span className="value">{sayCount(count[of])}</span>
          <span className="small soft">{sayLimits(count[of])}</span>
        </p>
      ))}
    </div>
  );
}
