import { shownSource } from '@fonte/core/editions';
import { mixTimes } from '@fonte/core/bottles';
import { holdingOf, sayHolding } from '@fonte/core/custody';
import type { BottleState } from '@fonte/core/round';
import { Mark } from '../theme/Mark.tsx';

/** Everything one bottle asks for, in the order in which it is needed; its time is the one that its clock goes by. */
export function RuleCard({ bottle: { rule: id, card: rule, lab } }: { bottle: Pick<BottleState, 'rule' | 'card' | 'lab'> }) {
  const rows: [string, string][] = [
    ['Rinse', rule.rinse],
    ...(rule.filter ? [['Filter', rule.filter] as [string, string]] : []),
    ['Fill', rule.fill],
    ['Air', rule.headspace],
    ...(rule.mix ? [['Mix', rule.mix] as [string, string]] : []),
    ['Keep', rule.temperatureText],
    ['Time', `${sayHolding(holdingOf(id, rule, 0, lab))}: ${rule.holdingFor.charAt(0).toLowerCase()}${rule.holdingFor.slice(1)}`],
  ];
  const times = mixTimes(rule);
  return (
    <div className="rule-card">
      {rule.preservative && (
        <p className="finding question small">
          <Mark kind="question" />
          <span>
            <span className="strong">{rule.preservative.name}.</span> {rule.preservative.hazard}
          </span>
        </p>
      )}
      <dl>
        {rows.map(([name, text]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>
              {name === 'Mix' && times !== null && <span className="mix-times">{times}×</span>} {text}
            </dd>
          </div>
        ))}
      </dl>
      <p className="soft small">
        {rule.container}, {rule.volume} mL{(rule.copies ?? 1) > 1 ? `, ${rule.copies} of them make one sample` : ''}. Source:{' '}
        {shownSource(rule.source)}
      </p>
    </div>
  );
}
