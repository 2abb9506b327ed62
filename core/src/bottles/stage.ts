/** The way of a bottle from plan to verdict. */
export const stages = ['planned', 'ready', 'measured', 'filled', 'handed-over', 'reported', 'judged'] as const;
export type Stage = (typeof stages)[number];

/** What rooms after the field see of a bottle. */
export interface BottleOnItsWay {
  id: string;
  visit: string;
  stage: Stage;
  lost: object | null;
  /** Received by the lab; null while it has not said so. */
  accepted: boolean | null;
  holding: { deadline: number } | null;
}

/** What a sample is: for compliance; not for it; or spoilt, to be taken again. From the best to the worst. */
export const sampleKinds = ['routine', 'special', 'invalid'] as const;
export type SampleKind = (typeof sampleKinds)[number];

/**
 * The worst of several.
 * @example worstSample(['routine', 'special']) // 'special'
 */
export const worstSample = (kinds: Iterable<SampleKind>): SampleKind =>
  sampleKinds[Math.max(0, ...[...kinds].map((kind) => sampleKinds.indexOf(kind)))]!;

/** Why a sample is what it is, as a code with its data. */
export interface SampleReason {
  code:
    | 'stop'
    | 'departure'
    | 'stale'
    | 'begun-again'
    | 'reopened'
    | 'no-protocol'
    | 'unknown-protocol'
    | 'not-fit'
    | 'place-caution'
    | 'gear'
    | 'unfiltered'
    | 'purge-trouble'
    | 'purge-short'
    | 'not-purged';
  makes: SampleKind;
  data: Readonly<Record<string, string>>;
}
