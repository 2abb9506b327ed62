import { Button, Modal, type ButtonProps } from 'antd';
import { useState, type ReactNode } from 'react';

interface Props extends Pick<ButtonProps, 'type' | 'size' | 'aria-label'> {
  /** What the button says that opens it. */
  open: string;
  title: string;
  /** The form, which is there while the dialog is; `close` shuts it. */
  children: (close: () => void) => ReactNode;
}

/** A button that opens a dialog with a form in it. */
export function FormDialog({ open, title, children, ...button }: Props) {
  const [isOpen, setOpen] = useState(false);
  const close = () => setOpen(false);
  return (
    <>
      <Button {...button} onClick={() => setOpen(true)}>
        {open}
      </Button>
      <Modal open={isOpen} title={title} onCancel={close} footer={null} destroyOnHidden>
        {isOpen && children(close)}
      </Modal>
    </>
  );
}
