import { say } from '@fonte/core/findings';
import { loggerUnreadWords, type ReadOf } from '@fonte/core/logger';

const count = (n: number) => n.toLocaleString('en');
const year = (at: number) => new Date(at).toISOString().slice(0, 10);

/** What was not read of a file, and why. */
export function Unread({ of, rows, readings, unread, from, to }: ReadOf & { of: string }) {
  const reasons = Object.entries(unread.byCode).sort(([, a], [, b]) => b - a);
  return (
    <div>
      <p>
        <span className="strong">{of}:</span> {count(readings)} of {count(rows)} rows are readings
        {from !== null && to !== null ? `, from ${year(from)} to ${year(to)}` : ''}.
      </p>
      {reasons.length > 0 && (
        <ul className="small">
          {reasons.map(([code, n]) => {
            const first = unread.first.find((one) => one.code === code);
            return (
              <li key={code}>
                {count(n)} left out: {say(loggerUnreadWords, { code })}
                {first ? `, first at line ${first.line}${first.cell.trim() ? `, “${first.cell.trim()}”` : ''}` : ''}.
              </li>
            );
          })}
        </ul>
      )}
    </div>
  );
}
