import { ArrowLeftOutlined, ArrowRightOutlined, CheckOutlined } from '@ant-design/icons';
import { Button } from 'antd';

interface Props {
  /** What is typed where it was pressed last. */
  text: string;
  onText: (text: string) => void;
  /** On to the next number; null on the last, where the set is written down. */
  next: (() => void) | null;
  write: () => void;
  busy: boolean;
}

const keys = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '−', '0', '.'] as const;

/** A number pad for wet hands: one key on to the next number, which writes the set down on the last. */
export function Pad({ text, onText, next, write, busy }: Props) {
  const press = (key: string) => {
    navigator.vibrate?.(10);
    if (key === '−') onText(/^[-−]/.test(text) ? text.slice(1) : `-${text}`);
    else if (key !== '.' || !/[.,]/.test(text)) onText(text + key);
  };
  return (
    // What is pressed leaves the cursor where it is.
    <div className="pad" role="group" aria-label="Number pad" onPointerDown={(event) => event.preventDefault()}>
      {keys.map((key) => (
        <Button key={key} size="large" onClick={() => press(key)} aria-label={key === '−' ? 'Minus' : key === '.' ? 'Point' : key}>
          {key}
        </Button>
      ))}
      <Button
        className="pad-back"
        size="large"
        onClick={() => onText(text.slice(0, -1))}
        aria-label="Delete"
        icon={<ArrowLeftOutlined />}
      />
      <Button
        className="pad-next"
        type="primary"
        size="large"
        // On the way to the last number the set before may still be on its way to the server.
        loading={busy && next === null}
        onClick={() => {
          navigator.vibrate?.(10);
          if (next) next();
          else write();
        }}
      >
        {next ? <ArrowRightOutlined /> : <CheckOutlined />}
        {next ? 'Next' : 'Write down'}
      </Button>
    </div>
  );
}
