import { stages, type Stage } from '@fonte/core/bottles';
import { stageNames } from '@fonte/core/round';
import './stream.css';

/** How many bottles stand at each stage, as one line. */
export function MiniStream({ stages: standing }: { stages: readonly Stage[] }) {
  return (
    <ol className="mini-stream plain" aria-label="Where the bottles are">
      {stages.map((stage) => {
        const count = standing.filter((one) => one === stage).length;
        return (
          <li key={stage} className={count > 0 ? 'here' : ''}>
            {count > 0 ? <span className="bottle-mark full">{count}</span> : <span />}
            <span className="small">{stageNames[stage]}</span>
          </li>
        );
      })}
    </ol>
  );
}
