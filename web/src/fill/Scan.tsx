import { CameraOutlined } from '@ant-design/icons';
import { Button, Input, Modal } from 'antd';
import { useState } from 'react';
import { later } from '../feedback/later.tsx';

const Camera = later(
  async () => (await import('./Camera.tsx')).Camera,
  (failed) => failed && <p role="alert">No connection: the camera’s reader cannot be fetched now. Type the label instead.</p>,
);

interface Props {
  label: string;
  /** What was read, by a scanner that types, by the camera, or by hand. */
  onRead: (text: string) => void;
}

/** Reads a code: a scanner that types and ends with Enter, the camera, or a hand on the keyboard. */
export function Scan({ label, onRead }: Props) {
  const [text, setText] = useState('');
  const [isOpen, setOpen] = useState(false);
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
      <Button size="large" icon={<CameraOutlined />} aria-label={`${label} with the camera`} onClick={() => setOpen(true)} />
      <Modal open={isOpen} title={label} footer={null} onCancel={() => setOpen(false)} destroyOnHidden>
        {isOpen && (
          <Camera
            onRead={(said) => {
              setOpen(false);
              read(said);
            }}
          />
        )}
      </Modal>
    </div>
  );
}
