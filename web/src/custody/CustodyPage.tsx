import { formLines } from '@fonte/core/round';
import { handedOver } from '@fonte/core/custody';
import { Link } from 'react-router';
import { Proven } from '../access/index.ts';
import { useMay } from '../session/May.tsx';
import { Empty } from '../feedback/Feedback.tsx';
import { useRound } from '../book/useRound.ts';
import './custody.css';
import { CustodyForm } from './CustodyForm.tsx';
import { Handed } from './Handed.tsx';

/** The count, the temperature, what the lab would refuse and why, the signature. */
export function CustodyPage() {
  const { id, round } = useRound();
  const { lab } = round.plan;
  const lines = formLines(round);
  const may = useMay(handedOver);
  return (
    <div className="stack-wide">
      <h1>{lines.length > 0 ? `${lines.length} bottle${lines.length === 1 ? '' : 's'} to hand over` : 'Hand-over'}</h1>
      {lines.length > 0 && lab?.paper && (
        <p>
          <span className="strong">{lab.name} wants on paper:</span> {lab.paper}
        </p>
      )}
      {(round.cultures.length > 0 || lines.some(({ bottle }) => bottle.card.parameters.includes('coliforms'))) && (
        <p>
          <Link to={`/rounds/${id}/culture`}>Bacteria on the own bench</Link>
        </p>
      )}
      {lines.length > 0 && may && (
        <Proven why="before you sign a hand-over">
          <CustodyForm lab={lab} lines={lines} />
        </Proven>
      )}
      {lines.length > 0 && !may && <CustodyForm lab={lab} lines={lines} />}
      {lines.length === 0 && round.handOvers.length === 0 && (
        <Empty title="Nothing is in the cooler yet">
          <p>Bottles stand here once they are filled.</p>
        </Empty>
      )}
      {round.handOvers.map((handOver) => (
        <Handed key={handOver.entry} handOver={handOver} />
      ))}
    </div>
  );
}
