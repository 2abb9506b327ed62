import { Boxes } from './Boxes.tsx';
import { Calls } from './Calls.tsx';
import { Gear } from './Gear.tsx';
import { Instruments } from './Instruments.tsx';
import { Kit } from './Kit.tsx';
import { Training } from './Training.tsx';
import './prepare.css';

/** Everything that is seen to before the van leaves: instruments, kit, gear, calls. */
export function PreparePage() {
  return (
    <div className="stack-wide">
      <h1>Before the van leaves</h1>
      <Training />
      <div className="prepare">
        <Instruments />
        <div className="stack-wide">
          <Gear />
          <Calls />
        </div>
        <Kit />
      </div>
      <Boxes />
    </div>
  );
}
