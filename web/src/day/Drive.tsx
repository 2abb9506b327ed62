import { showMinutes } from '@fonte/core/time';
import { Button, InputNumber } from 'antd';
import { useState } from 'react';

interface Props {
  /** In ms. */
  lasts: number;
  /** From where to where, for those who do not see the list. */
  about: string;
  /** Takes what somebody knows of it, in s; null for the way it is worked out. Without it nothing can be said. */
  say?: ((lasts: number | null) => void) | undefined;
}

const minute = 60_000;

/** A drive of a day, and the time that somebody knows it takes. */
export function Drive({ lasts, about, say }: Props) {
  const [typed, setTyped] = useState<number | null>(null);
  const [isOpen, setOpen] = useState(false);
  if (!say) return lasts > 0 ? <span>{showMinutes(lasts)} on the road. </span> : null;
  if (!isOpen)
    return (
      <Button
        type="link"
        size="small"
        className="day-drive"
        onClick={() => (setTyped(Math.round(lasts / minute)), setOpen(true))}
        aria-label={`${showMinutes(lasts)} on the road ${about}. Say otherwise`}
      >
        {showMinutes(lasts)} on the road
      </Button>
    );
  const close = () => {
    setOpen(false);
    if (typed === null) say(null);
    else if (typed * minute !== Math.round(lasts / minute) * minute) say(typed * 60);
  };
  return (
    <InputNumber
      autoFocus
      size="small"
      min={0}
      max={600}
      value={typed}
      onChange={setTyped}
      onBlur={close}
      onPressEnter={close}
      suffix="min"
      placeholder="as worked out"
      aria-label={`Minutes on the road ${about}`}
    />
  );
}
