import { isTakenHere, sayRemedy, type Remedy } from '@fonte/core/day';
import { Button } from 'antd';

/** What would help, each tried before it is said. What this page can do is a button; the rest is done elsewhere. */
export function Remedies({
  remedies,
  zone,
  take,
}: {
  remedies: readonly Remedy[] | undefined;
  zone: string;
  take: (remedy: Remedy) => void;
}) {
  if (!remedies)
    return (
      <p className="panel" role="status">
        Looking for what would help …
      </p>
    );
  if (remedies.length === 0)
    return (
      <p className="panel">
        Nothing that was tried helps: an earlier start, no pause, a hand-over on the way or elsewhere, another lab, a point less, two days,
        another day.
      </p>
    );
  return (
    <section className="panel stack" aria-label="What would help">
      <h2>What would help</h2>
      <ul className="day-remedies">
        {remedies.map((remedy) => (
          <li key={JSON.stringify(remedy)}>
            {isTakenHere(remedy) ? (
              <Button size="large" onClick={() => take(remedy)}>
                {sayRemedy(remedy, zone)}
              </Button>
            ) : (
              sayRemedy(remedy, zone)
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
