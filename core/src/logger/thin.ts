/** A course thinned to what a screen shows: of each stretch the lowest and the highest, in their order, and both ends. */
export function thinned(times: Float64Array, values: Float64Array, most: number): { times: number[]; values: number[] } {
  const size = times.length;
  if (size <= most) return { times: [...times], values: [...values] };
  const stretches = Math.max(1, Math.floor((most - 2) / 2));
  const places: number[] = [0];
  for (let stretch = 0; stretch < stretches; stretch++) {
    const from = Math.max(1, Math.floor((stretch * size) / stretches));
    const to = Math.min(size - 1, Math.floor(((stretch + 1) * size) / stretches));
    let [low, high] = [from, from];
    for (let i = from; i < to; i++) {
      if (values[i]! < values[low]!) low = i;
      if (values[i]! > values[high]!) high = i;
    }
    if (from < to) places.push(...(low === high ? [low] : [Math.min(low, high), Math.max(low, high)]));
  }
  places.push(size - 1);
  return { times: places.map((place) => times[place]!), values: places.map((place) => values[place]!) };
}
