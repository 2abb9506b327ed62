import { Unzip, UnzipInflate, UnzipPassThrough } from 'fflate';

/** What the parts of a workbook may come to, unpacked: forty thousand rows take 25 MB. */
const most = { bytes: 64 * 2 ** 20, parts: 500 };

/** So much is unpacked at a time (bytes). */
const step = 64 * 1024;

/**
 * Whether a packed file stays within what any workbook takes, found by unpacking it and keeping nothing: what its directory says of
 * itself proves nothing. A small file may unpack to a thousand times its size.
 * @throws where it is no packed file
 */
export function unpacksWithin(packed: Uint8Array, { bytes, parts } = most): boolean {
  let [unpacked, count] = [0, 0];
  const isWithin = () => unpacked <= bytes && count <= parts;
  const unzip = new Unzip((part) => {
    count += 1;
    if (!isWithin()) return;
    part.ondata = (failure, data) => {
      if (failure) throw failure;
      unpacked += data.length;
    };
    part.start();
  });
  unzip.register(UnzipPassThrough);
  unzip.register(UnzipInflate);
  for (let at = 0; at < packed.length && isWithin(); at += step) unzip.push(packed.subarray(at, at + step), at + step >= packed.length);
  return isWithin();
}
