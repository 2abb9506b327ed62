import type { BottleRule } from '@fonte/core/bottles';
import { facts, factsOf, type FactId } from '@fonte/core/fill';
import { Button } from 'antd';

/** What is looked at of a bottle: one touch each where it decides, all at once where it does not. */
export function Facts({ card, said, say }: { card: BottleRule; said: readonly FactId[]; say: (facts: FactId[]) => void }) {
  const { ids, isEach } = factsOf(card);
  const is = (id: FactId) => said.includes(id);
  const press = (id: FactId) => say(is(id) ? said.filter((one) => one !== id) : [...said, id]);
  const isAll = ids.every(is);
  if (!isEach)
    return (
      <div>
        <Button size="large" className="fact" aria-pressed={isAll} onClick={() => say(isAll ? [] : ids)}>
          {isAll ? '✓ ' : ''}Checked: all as on the card
        </Button>
      </div>
    );
  return (
    <div className="row facts" role="group" aria-label="Checks of the bottle">
      {ids.map((id) => (
        <Button key={id} size="large" className="fact" aria-pressed={is(id)} onClick={() => press(id)}>
          {is(id) ? '✓ ' : ''}
          {facts[id]}
        </Button>
      ))}
    </div>
  );
}
