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
        const within = `Accurate to ${Math.round(accuracy)} m.`;
        setSays(accuracy > goodEnough ? `${within} Move to open sky and try again, or correct it from a map.` : within);
      },
      ({ code }) => {
        setLooking(false);
        setSays(
          code === 1
            ? 'The browser may not use this device’s location. Allow it, or type the coordinates.'
            : 'The location is not available. Type the coordinates.',
        );
      },
      { enableHighAccuracy: true, timeout: 20_000, maximumAge: 0 },
    );
  };
  return (
    <div className="row">
      <Button size="large" loading={isLooking} onClick={look}>
        Use this device’s location
      </Button>
      {says && (
        <span className="small" role="status">
          {says}
        </span>
      )}
    </div>
  );
}
