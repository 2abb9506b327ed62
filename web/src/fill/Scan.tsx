import { Input } from 'antd';
import { useState } from 'react';
import { ByCamera } from '../feedback/ByCamera.tsx';

interface Props {
  label: string;
  /** What was read, by a scanner that types, by the camera, or by hand. */
  onRead: (text: string) => void;
}

/** Reads a code: a scanner that types and ends with Enter, the camera, or a hand on the keyboard. */
export function Scan({ label, onRead }: Props) {
  const [text, setText] = useState('');
  const read = (said: string) => {
    if (said.trim() === '') return;
    setText('');
    onRead(said.trim());
  };
  return (
    <div className="row scan">
      <Input
        size="large"
        aria-label={label}
        placeholder={label}
        autoComplete="off"
        autoCapitalize="characters"
        spellCheck={false}
        maxLength={120}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onPressEnter={(event) => {
          // A scanner's Enter is the end of a code, and writes nothing else.
          event.preventDefault();
          event.stopPropagation();
          read(text);
        }}
      />
      <ByCamera label={label} onRead={read} />
    </div>
  );
}
