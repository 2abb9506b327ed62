/* Second implementations for the simulated well: solutions of the literature, none of which it uses itself. */

const euler = 0.5772156649015329;

/** The well function W(u) of Theis: Abramowitz and Stegun 5.1.11 for small u, the continued fraction 5.1.22 for others. */
export function wellFunction(u: number): number {
  if (u < 1) {
    let [sum, term] = [-euler - Math.log(u), 1];
    for (let n = 1; n < 60; n++) {
      term *= -u / n;
      sum -= term / n;
    }
    return sum;
  }
  let tail = 0;
  for (let n = 80; n >= 1; n--) tail = n / (1 + n / (u + tail));
  return Math.exp(-u) / (u + tail);
}

/** Modified Bessel functions K0 and K1: Abramowitz and Stegun 9.8.5 to 9.8.8. */
export function bessel(x: number): { k0: number; k1: number } {
  const poly = (t: number, ...c: number[]) => c.reduceRight((sum, one) => sum * t + one, 0);
  if (x <= 2) {
    const [t, i] = [(x / 2) ** 2, (x / 3.75) ** 2];
    const i0 = poly(i, 1, 3.5156229, 3.0899424, 1.2067492, 0.2659732, 0.0360768, 0.0045813);
    const i1 = x * poly(i, 0.5, 0.87890594, 0.51498869, 0.15084934, 0.02658733, 0.00301532, 0.00032411);
    return {
      k0: -Math.log(x / 2) * i0 + poly(t, -0.57721566, 0.4227842, 0.23069756, 0.0348859, 0.00262698, 0.0001075, 0.0000074),
      k1: Math.log(x / 2) * i1 + poly(t, 1, 0.15443144, -0.67278579, -0.18156897, -0.01919402, -0.00110404, -0.00004686) / x,
    };
  }
  const [t, e] = [2 / x, Math.exp(-x) / Math.sqrt(x)];
  return {
    k0: e * poly(t, 1.25331414, -0.07832358, 0.02189568, -0.01062446, 0.00587872, -0.0025154, 0.00053208),
    k1: e * poly(t, 1.25331414, 0.23498619, -0.0365562, 0.01504268, -0.00780353, 0.00325614, -0.00068245),
  };
}

/** A Laplace transform turned back at a time: Stehfest (1970), 12 terms. */
export function stehfest(transform: (p: number) => number, time: number): number {
  const n = 12;
  const factorial = (k: number): number => (k < 2 ? 1 : k * factorial(k - 1));
  let sum = 0;
  for (let i = 1; i <= n; i++) {
    let weight = 0;
    for (let k = Math.floor((i + 1) / 2); k <= Math.min(i, n / 2); k++)
      weight +=
        (k ** (n / 2) * factorial(2 * k)) /
        (factorial(n / 2 - k) * factorial(k) * factorial(k - 1) * factorial(i - k) * factorial(2 * k - i));
    const p = (i * Math.LN2) / time;
    sum += (-1) ** (n / 2 + i) * weight * transform(p);
  }
  return (sum * Math.LN2) / time;
}

/** Drawdown in a well with casing storage by Papadopulos and Cooper (1967), from their Laplace transform. All in m and s. */
export function papadopulosCooper(
  {
    transmissivity: T,
    storage: S,
    casingRadius: rc,
    screenRadius: rw,
  }: { transmissivity: number; storage: number; casingRadius: number; screenRadius: number },
  flow: number,
  time: number,
): number {
  const transform = (p: number) => {
    const x = rw * Math.sqrt((p * S) / T);
    const { k0, k1 } = bessel(x);
    return (flow * k0) / (p * (2 * Math.PI * T * x * k1 + Math.PI * rc ** 2 * p * k0));
  };
  return stehfest(transform, time);
}
