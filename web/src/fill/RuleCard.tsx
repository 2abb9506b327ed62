import { shownSource } from '@fonte/core/editions';
import { mixTimes, type BottleRule } from '@fonte/core/bottles';
import { Mark } from '../theme/Mark.tsx';

const hours = (value: number) => (value >= 72 ? `${value / 24} days` : `${value} hours`);

/** Everything one bottle asks for, in the order in which it is needed. */
export function RuleCard({ rule }: { rule: BottleRule }) {
  const rows: [string, string][] = [
    ['Rinse', rule.rinse],
    ...(rule.filter ? [['Filter', rule.filter] as [string, string]] : []),
    ['Fill', rule.fill],
    ['Air', rule.headspace],
    ...(rule.mix ? [['Mix', rule.mix] as [string, string]] : []),
    ['Keep', rule.temperatureText],
    ['Time', `${hours(rule.holdingHours)}: ${rule.holdingFor.charAt(0).toLowerCase()}${rule.holdingFor.slice(1)}`],
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
