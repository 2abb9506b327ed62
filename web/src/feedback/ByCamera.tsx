import { CameraOutlined } from '@ant-design/icons';
import { Button, Modal } from 'antd';
import { useState } from 'react';
import { later } from './later.tsx';

const Camera = later(
  async () => (await import('./Camera.tsx')).Camera,
  (failed) => failed && <p role="alert">No connection: the camera’s reader cannot be fetched now. Type it instead.</p>,
);

interface Props {
  /** What is read, as the button and the dialog name it. */
  label: string;
  onRead: (text: string) => void;
}

/** A button that looks through the camera until it has read a code. */
export function ByCamera({ label, onRead }: Props) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Button size="large" icon={<CameraOutlined />} aria-label={`${label} with the camera`} onClick={() => setOpen(true)} />
      <Modal open={isOpen} title={label} footer={null} onCancel={() => setOpen(false)} destroyOnHidden>
        {isOpen && (
          <Camera
            onRead={(said) => {
              setOpen(false);
              onRead(said);
            }}
          />
        )}
      </Modal>
    </>
  );
}
