import 'fake-indexeddb/auto';
import { describe, expect, it } from 'vitest';
import { checkPin, forgetPin, hasPin, mostFailures, pinProblem, setPin, unlockPin } from './pins.ts';
import { disk } from '../disk/index.ts';

describe('a PIN', () => {
  it.each(['123', '12345678901', '12a4', '', '1111', '1234', '9876', '0000', '43210'])('is not %j', (pin) => {
    expect(pinProblem(pin)).not.toBeNull();
  });
  it.each(['2580', '1357', '90210', '11223344'])('may be %s', (pin) => {
    expect(pinProblem(pin)).toBeNull();
  });

  it('is kept as a digest with a salt of its own, and tells one person from another', async () => {
    await setPin('ines', '2580');
    await setPin('rui', '2580');
    expect([await checkPin('ines', '2580'), await checkPin('ines', '2581'), await checkPin('marta', '2580')]).toEqual([
      'right',
      'wrong',
      'none',
    ]);
    const [a, b] = await (await disk()).pins.bulkGet(['ines', 'rui']);
    expect(a!.hash).not.toBe(b!.hash);
    expect(JSON.stringify(a)).not.toContain('2580');
  });

  it('guessed wrong five times in a row is locked, also for the right one, also by guesses at once; the passphrase opens it', async () => {
    await setPin('ines', '2580');
    const guesses = await Promise.all(Array.from({ length: 20 }, (_, number) => checkPin('ines', String(3000 + number))));
    expect(guesses.filter((state) => state === 'wrong')).toHaveLength(mostFailures - 1);
    expect(await checkPin('ines', '2580')).toBe('locked');
    await unlockPin('ines');
    expect(await checkPin('ines', '2580')).toBe('right');
    await forgetPin('ines');
    expect([await hasPin('ines'), await checkPin('ines', '2580')]).toEqual([false, 'none']);
  });
});
