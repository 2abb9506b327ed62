import { signatureHeight, signatureWidth, strokesPath, type Strokes } from '@fonte/core/custody';
import { Button } from 'antd';
import { useEffect, useRef } from 'react';
import SignaturePad from 'signature_pad';

interface Props {
  id?: string;
  value?: Strokes;
  onChange?: (value: Strokes | undefined) => void;
  label: string;
}

/** Where one signs by hand, with a finger, a pen or the mouse. It is kept as lines, and not as a picture. */
export function SignatureField({ id, value, onChange = () => undefined, label }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const pad = useRef<SignaturePad | null>(null);
  const change = useRef(onChange);
  useEffect(() => {
    change.current = onChange;
  });
  useEffect(() => {
    const surface = canvas.current!;
    const made = new SignaturePad(surface, { penColor: getComputedStyle(surface).color });
    pad.current = made;
    /** So many dots of the screen make one of the page: lines are drawn sharp. */
    const fit = () => {
      const dots = Math.max(1, window.devicePixelRatio);
      const drawn = made.toData();
      surface.width = surface.offsetWidth * dots;
      surface.height = surface.offsetHeight * dots;
      surface.getContext('2d')?.scale(dots, dots);
      made.clear();
      made.fromData(drawn);
    };
    fit();
    const done = () => {
      const scale = signatureWidth / surface.offsetWidth;
      const within = (at: number, most: number) => Math.round(Math.min(most, Math.max(0, at * scale)));
      change.current(
        made.toData().map(({ points }) => points.flatMap(({ x, y }) => [within(x, signatureWidth), within(y, signatureHeight)])),
      );
    };
    made.addEventListener('endStroke', done);
    const size = new ResizeObserver(fit);
    size.observe(surface);
    return () => {
      size.disconnect();
      made.off();
    };
  }, []);
  // What stands in the form and was not drawn here, after a reload, is shown as it is kept.
  const isHere = () => (pad.current?.toData().length ?? 0) > 0;
  useEffect(() => {
    if (!value?.length && isHere()) pad.current?.clear();
  }, [value]);
  return (
    <div className="sign-here" {...(id ? { id } : {})}>
      <canvas ref={canvas} aria-label={label} role="img" />
      {value && value.length > 0 && !isHere() && <Drawn strokes={value} />}
      <span className="small soft">{value?.length ? '' : 'By hand, where you can'}</span>
      {value && value.length > 0 && (
        <Button
          size="small"
          onClick={() => {
            pad.current?.clear();
            onChange(undefined);
          }}
        >
          Clear
        </Button>
      )}
    </div>
  );
}

/** A signature as it was drawn. */
export function Drawn({ strokes }: { strokes: Strokes }) {
  return (
    <svg className="drawn" viewBox={`0 0 ${signatureWidth} ${signatureHeight}`} role="img" aria-label="Signed by hand">
      <path d={strokesPath(strokes)} />
    </svg>
  );
}
