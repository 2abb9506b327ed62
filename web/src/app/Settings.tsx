import { SettingOutlined } from '@ant-design/icons';
import { Button } from 'antd';
import { later } from '../feedback/later.tsx';
import { useAsked } from '../feedback/useAsked.ts';

const SettingsDialog = later(
  async () => (await import('./SettingsDialog.tsx')).SettingsDialog,
  (failed) => failed && <span role="alert">No connection: the settings cannot be opened now.</span>,
);

/** The way to the settings; the dialog is fetched when it is first asked for. */
export function Settings() {
  const { ask, dialog } = useAsked();
  return (
    <>
      <Button icon={<SettingOutlined />} onClick={ask} aria-label="Settings" />
      {dialog && <SettingsDialog {...dialog} key={dialog.key} />}
    </>
  );
}
