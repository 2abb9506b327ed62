import { BellOutlined } from '@ant-design/icons';
import { Button } from 'antd';
import { useState } from 'react';

/** Asks the browser, once, whether it may say that a clock has ended while another page is in front. */
export function RingAway() {
  const [state, setState] = useState(() => (typeof Notification === 'undefined' ? 'denied' : Notification.permission));
  if (state !== 'default') return null;
  return (
    <Button
      className="ring-away"
      size="small"
      type="text"
      icon={<BellOutlined />}
      aria-label="Ring with the page away"
      title="Ring with the page away"
      onClick={() => {
        void Notification.requestPermission().then(setState);
      }}
    />
  );
}
