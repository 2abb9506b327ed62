import { useEffect, useRef, useState } from 'react';

interface Detector {
  detect: (source: HTMLVideoElement) => Promise<{ rawValue: string }[]>;
}
type DetectorClass = (new (options: { formats: string[] }) => Detector) & { getSupportedFormats: () => Promise<string[]> };

/** Codes on labels: our own square one, and the bars and squares that labs print. */
const wanted = ['qr_code', 'data_matrix', 'code_128', 'code_39', 'ean_13', 'itf'];

/** The browser's own reader, where it has one that knows our labels. */
async function ownDetector(): Promise<Detector | null> {
  const known = (globalThis as { BarcodeDetector?: DetectorClass }).BarcodeDetector;
  if (!known) return null;
  const formats = (await known.getSupportedFormats()).filter((format) => wanted.includes(format));
  return formats.includes('qr_code') ? new known({ formats }) : null;
}

/** Looks through the camera until it has read a code. */
export function Camera({ onRead }: { onRead: (text: string) => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const done = useRef(onRead);
  useEffect(() => {
    done.current = onRead;
  });
  useEffect(() => {
    let isOver = false;
    let stop = () => {};
    const found = (text: string) => {
      if (isOver) return;
      isOver = true;
      done.current(text);
    };
    const look = async () => {
      const stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } });
      const shown = video.current;
      if (isOver || !shown) return stream.getTracks().forEach((track) => track.stop());
      stop = () => stream.getTracks().forEach((track) => track.stop());
      const detector = await ownDetector().catch(() => null);
      if (!detector) {
        const { BrowserMultiFormatReader } = await import('@zxing/browser');
        const reading = await new BrowserMultiFormatReader().decodeFromStream(stream, shown, (result) => {
          if (result) found(result.getText());
        });
        stop = () => reading.stop();
        return;
      }
      shown.srcObject = stream;
      await shown.play();
      while (!isOver) {
        const [code] = await detector.detect(shown);
        if (code) found(code.rawValue);
        await new Promise((resolve) => {
          setTimeout(resolve, 120);
        });
      }
    };
    look().catch((failure: unknown) => {
      const isDenied = failure instanceof DOMException && failure.name === 'NotAllowedError';
      setTrouble(
        isDenied
          ? 'The camera may not be used here. Allow it in the browser, or type the label.'
          : 'No camera can be used here. Type the label.',
      );
    });
    return () => {
      isOver = true;
      stop();
    };
  }, []);
  return trouble ? (
    <p className="finding question" role="alert">
      {trouble}
    </p>
  ) : (
    <video ref={video} className="scanner" muted playsInline aria-label="What the camera sees" />
  );
}
