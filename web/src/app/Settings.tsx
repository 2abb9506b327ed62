import { SettingOutlined } from '@ant-design/icons';
import { Button } from 'antd';
import { lazy, Suspense, useState } from 'react';

const SettingsDialog = lazy(async () => ({ default: (await import('./SettingsDialog.tsx')).SettingsDialog }));

/** The way to the settings; the dialog is fetched when it is first asked for. */
export function Settings() {
  const [state, setState] = useState<'never' | 'open' | 'closed'>('never');
  return (
    <>
      <Button icon={<SettingOutlined />} onClick={() => setState('open')} aria-label="Settings" />
      {state !== 'never' && (
        <Suspense>
          <SettingsDialog open={state === 'open'} close={() => setState('closed')} />
        </Suspense>
      )}
    </>
  );
}
