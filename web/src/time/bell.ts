let sound: AudioContext | null = null;

/** Browsers let a page sound only after somebody touched it: from the first touch on it may. */
export function bellAwaits(): () => void {
  const wake = () => {
    try {
      sound ??= new AudioContext();
      void sound.resume();
    } catch {
      // A device without sound still vibrates.
    }
  };
  addEventListener('pointerdown', wake, { once: true });
  addEventListener('keydown', wake, { once: true });
  return () => {
    removeEventListener('pointerdown', wake);
    removeEventListener('keydown', wake);
  };
}

/** Three tones, the last higher. */
function tones(audio: AudioContext): void {
  for (const [place, pitch] of [660, 660, 880].entries()) {
    const [tone, loudness] = [audio.createOscillator(), audio.createGain()];
    const from = audio.currentTime + place * 0.28;
    tone.frequency.value = pitch;
    loudness.gain.setValueAtTime(0.0001, from);
    loudness.gain.exponentialRampToValueAtTime(0.5, from + 0.02);
    loudness.gain.exponentialRampToValueAtTime(0.0001, from + 0.22);
    tone.connect(loudness).connect(audio.destination);
    tone.start(from);
    tone.stop(from + 0.24);
  }
}

/** A clock has ended: sound, vibration, and a word from the browser where the page is away and it may speak. */
export async function ring(says: string): Promise<void> {
  if (sound?.state === 'running') tones(sound);
  navigator.vibrate?.([200, 100, 200, 100, 400]);
  if (!document.hidden || typeof Notification === 'undefined' || Notification.permission !== 'granted') return;
  const worker = await navigator.serviceWorker?.getRegistration();
  await worker?.showNotification(says, { tag: 'fonte-clock', requireInteraction: true });
}
