/*
 * The form as the made-up lab takes it, read by itself: it shares no line of code with the product, so that the two can disagree.
 * `openapi.json` beside this file describes it for whoever sends one.
 */

export interface Crate {
  id: string;
  name: string;
  celsius: number | null;
  onIce: boolean;
  seal: string;
  sealIntact: boolean;
}

export interface Container {
  label: string;
  sample: string;
  box: string;
  kind: string;
  tests: string[];
  location: { code: string; name: string };
  taken: string;
  class: 'compliance' | 'other';
  role: string;
  chlorine: { stated: string; milligramsPerLitre: number | null };
  stoodMinutes: number | null;
  state: string;
  particulars: Record<string, string>;
}

export interface Consignment {
  submission: string;
  sender: { system: string; round: string; sampler: string };
  proof: { book: string; entries: number; hash: string };
  delivered: string;
  count: number;
  particulars: Record<string, string>;
  boxes: Crate[];
  containers: Container[];
}

const isText = (value: unknown): value is string => typeof value === 'string' && value.length <= 300;
const isThing = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null && !Array.isArray(value);
const isMoment = (value: unknown) => isText(value) && !Number.isNaN(Date.parse(value));
const isNumber = (value: unknown) => typeof value === 'number' && Number.isFinite(value);
const areTexts = (value: unknown) => isThing(value) && Object.values(value).every(isText);

const isCrate = (crate: unknown) =>
  isThing(crate) &&
  [crate['id'], crate['name'], crate['seal']].every(isText) &&
  (crate['celsius'] === null || isNumber(crate['celsius'])) &&
  [crate['onIce'], crate['sealIntact']].every((one) => typeof one === 'boolean');

function isContainer(one: unknown): boolean {
  if (!isThing(one)) return false;
  const { location, chlorine, tests, stoodMinutes } = one;
  return (
    ['label', 'sample', 'box', 'kind', 'role', 'state'].every((name) => isText(one[name])) &&
    isMoment(one['taken']) &&
    (one['class'] === 'compliance' || one['class'] === 'other') &&
    isThing(location) &&
    isText(location['code']) &&
    isText(location['name']) &&
    isThing(chlorine) &&
    isText(chlorine['stated']) &&
    (chlorine['milligramsPerLitre'] === null || isNumber(chlorine['milligramsPerLitre'])) &&
    (stoodMinutes === null || isNumber(stoodMinutes)) &&
    Array.isArray(tests) &&
    tests.every(isText) &&
    areTexts(one['particulars'])
  );
}

/** The form, or what cannot be read of it. */
export function readConsignment(body: unknown): Consignment | { fault: string } {
  if (!isThing(body)) return { fault: 'No form.' };
  const { sender, boxes, containers, proof } = body;
  if (!isText(body['submission']) || body['submission'] === '') return { fault: 'No number of the submission.' };
  if (!isThing(sender) || ![sender['system'], sender['round'], sender['sampler']].every(isText)) return { fault: 'No sender.' };
  if (!isThing(proof) || !isText(proof['hash'])) return { fault: 'No proof of the book.' };
  if (!isMoment(body['delivered'])) return { fault: 'No moment of delivery.' };
  if (!isNumber(body['count'])) return { fault: 'No count.' };
  if (!areTexts(body['particulars'])) return { fault: 'Particulars that are no texts.' };
  if (!Array.isArray(boxes) || !boxes.every(isCrate)) return { fault: 'A box that cannot be read.' };
  if (!Array.isArray(containers) || containers.length === 0 || !containers.every(isContainer))
    return { fault: 'A container that cannot be read.' };
  return body as unknown as Consignment;
}
