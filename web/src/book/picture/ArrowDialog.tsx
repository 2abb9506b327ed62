import type { Arrow, PicturePlace } from '@fonte/core/pictures';
import { Button, Modal } from 'antd';
import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import { Pointed } from './Pointed.tsx';
import { Said } from '../../feedback/Said.tsx';
import { useAction } from '../../feedback/useAction.ts';

/** Who only taps has an arrow that comes from below on the left. */
const usualTail = ({ x, y }: PicturePlace): PicturePlace => ({ x: Math.max(0, x - 0.2), y: Math.min(1, y + 0.2) });
const isShort = ({ tail, tip }: Arrow) => Math.hypot(tip.x - tail.x, tip.y - tail.y) < 0.05;
const inside = (part: number) => Math.min(1, Math.max(0, part));
const step = 0.02;
const steps: Record<string, [number, number]> = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] };

interface Props {
  /** Where the picture is. */
  src: string;
  shows: string;
  arrow: Arrow | null;
  keep: (arrow: Arrow) => Promise<void> | void;
}

/** Draws an arrow on a picture: dragged from its tail to its tip, tapped at its tip, or moved by the arrow keys. */
export function ArrowDialog({ src, shows, arrow: drawn, keep }: Props) {
  const { busy, run, say } = useAction();
  const [isOpen, setOpen] = useState(false);
  const [arrow, setArrow] = useState<Arrow | null>(drawn);
  const [from, setFrom] = useState<PicturePlace | null>(null);
  const placeOf = ({ currentTarget, clientX, clientY }: PointerEvent<HTMLElement>): PicturePlace => {
    const { left, top, width, height } = currentTarget.getBoundingClientRect();
    return { x: inside((clientX - left) / width), y: inside((clientY - top) / height) };
  };
  const drag = (event: PointerEvent<HTMLElement>) => {
    if (!from) return;
    const tip = placeOf(event);
    const dragged = { tail: from, tip };
    setArrow(isShort(dragged) ? { tail: usualTail(tip), tip } : dragged);
  };
  const nudge = (event: KeyboardEvent) => {
    const move = steps[event.key];
    if (!move) return;
    event.preventDefault();
    const { tail, tip } = arrow ?? { tail: { x: 0.3, y: 0.7 }, tip: { x: 0.5, y: 0.5 } };
    const moved = ({ x, y }: PicturePlace) => ({ x: inside(x + move[0]), y: inside(y + move[1]) });
    setArrow({ tail: moved(tail), tip: moved(tip) });
  };
  const write = () =>
    run(async () => {
      await keep(arrow!);
      setOpen(false);
    });
  return (
    <>
      <Button size="small" onClick={() => (setArrow(drawn), setOpen(true))}>
        {drawn ? 'Draw the arrow again' : 'Draw an arrow'}
      </Button>
      <Modal
        open={isOpen}
        title="Which one is it?"
        onCancel={() => setOpen(false)}
        okText="Keep the arrow"
        okButtonProps={{ size: 'large', disabled: arrow === null, loading: busy }}
        cancelButtonProps={{ size: 'large' }}
        onOk={() => void write()}
        width={720}
      >
        <p className="soft small">Draw from anywhere to the outlet, or tap on it. With a keyboard, the arrow keys move it.</p>
        <div
          className="picture-drawn"
          role="application"
          aria-label="Picture to draw on"
          tabIndex={0}
          onKeyDown={nudge}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            const tip = placeOf(event);
            setFrom(tip);
            setArrow({ tail: usualTail(tip), tip });
          }}
          onPointerMove={drag}
          onPointerUp={() => setFrom(null)}
        >
          <Pointed arrow={arrow}>
            <img src={src} alt={shows || 'Picture'} draggable={false} />
          </Pointed>
        </div>
        <Said say={say} />
      </Modal>
    </>
  );
}
