import { Button } from 'antd';
import { useState } from 'react';
import type { Typed } from '@fonte/core/units';

/** A place that is known no better than this, in m, leads to the wrong well. Common practice: a phone under open sky knows it to 10 m. */
const goodEnough = 30;

const inDegrees = (degrees: number): Typed => ({ text: degrees.toFixed(5), unit: 'deg' });

/** Takes the place where the device is: whoever registers a point often stands beside it. */
export function FromPhone({ take }: { take: (position: { latitude: Typed; longitude: Typed }) => void }) {
  const [says, setSays] = useState<string | null>(null);
  const [isLooking, setLooking] = useState(false);
  const look = () => {
    setLooking(true);
    setSays(null);
    navigator.geolocation.getCurrentPosition(
      ({ coords: { latitude, longitude, accuracy } }) => {
        setLooking(false);
        take({ latitude: inDegrees(latitude), longitude: inDegrees(longitude) });
        const within = `Known to ${Math.round(accuracy)} m.`;
        setSays(accuracy > goodEnough ? `${within} Step out under open sky and take it again, or correct it by a map.` : within);
      },
      ({ code }) => {
        setLooking(false);
        setSays(
          code === 1
            ? 'This device may not tell where it is. Allow it in the browser, or type it.'
            : 'This device does not know where it is. Type it.',
        );
      },
      { enableHighAccuracy: true, timeout: 20_000, maximumAge: 0 },
    );
  };
  return (
    <div className="row">
      <Button size="large" loading={isLooking} onClick={look}>
        I stand beside it: take its place from this device
      </Button>
      {says && (
        <span className="small" role="status">
          {says}
        </span>
      )}
    </div>
  );
}
