import { SettingOutlined } from '@ant-design/icons';
import { Button } from 'antd';
import { useState } from 'react';
import { later } from '../feedback/later.tsx';

const SettingsDialog = later(
  async () => (await import('./SettingsDialog.tsx')).SettingsDialog,
  (failed) => failed && <span role="alert">No connection: the settings cannot be opened now.</span>,
);

/** The way to the settings; the dialog is fetched when it is first asked for. */
export function Settings() {
  const [state, setState] = useState<'never' | 'open' | 'closed'>('never');
  const [asked, setAsked] = useState(0);
  const open = () => {
    setAsked(asked + 1);
    setState('open');
  };
  return (
    <>
      <Button icon={<SettingOutlined />} onClick={open} aria-label="Settings" />
      {state !== 'never' && <SettingsDialog key={asked} open={state === 'open'} close={() => setState('closed')} />}
    </>
  );
}
