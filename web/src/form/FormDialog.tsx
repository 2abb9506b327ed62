import { everybody } from '@fonte/core/roles';
import { Button, Modal, type ButtonProps } from 'antd';
import { useState, type ReactNode } from 'react';
import { useMay } from '../session/May.tsx';

interface Props extends Pick<ButtonProps, 'type' | 'size' | 'aria-label'> {
  /** What the button says that opens it. */
  open: string;
  title: string;
  /** Who may write what is in it; nobody else sees the button. */
  by?: readonly string[];
  /** The form, which is there while the dialog is; `close` shuts it. */
  children: (close: () => void) => ReactNode;
}

/** A button that opens a dialog with a form in it. */
export function FormDialog({ open, title, by = everybody, children, ...button }: Props) {
  const may = useMay({ by });
  const [isOpen, setOpen] = useState(false);
  const close = () => setOpen(false);
  if (!may) return null;
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
