/**
 * How labs name what they measure for their own quality control, in the place of a sample or of its kind, folded to lower-case
 * letters and digits. Common usage in English, Portuguese, Spanish, French and German.
 */
export const qualitySamples =
  /^(method|reagent|lab|laboratory|prep|instrument)*bla?n?k\d*$|^(mb|mblk|pb|ccb|icb|lcsd?|msd?|ccv|icv|crm|srm|qc|dup|lcs|rep)\d*$|blank|labcontrol|laboratorycontrol|matrixspike|spike|surrogate|calibration|duplicate|replicate|branco|blanco|blanc\b|blindwert|blindprobe|controlo|kontroll|duplicado|duplikat|doppelbestimmung|reference?material/;

/** Kinds of sample that are no water of a client, where the sample itself is named as one of ours. */
export const qualityKinds =
  /^(lcsd?|msd?|ccv|icv|ccb|icb|mb|pb|crm|srm|qc|qualitycontrol|controlo?dequalidade|methodblank|labblank|labcontrol\w*|laboratorycontrol\w*|matrixspike\w*|spike|surrogate)$/;

/** What is computed of a sample for the lab's own use, and is none of its water. */
export const qualityNames =
  /surrogate|recovery|recuperacao|recuperacion|rendement|wiederfindung|\brpd\b|spike|percentdifference|internalstandard/;

/** What a report says of itself, in the lines above its table. */
export const statusWords: readonly [RegExp, 'preliminary' | 'amended' | 'final'][] = [
  [
    /\b(preliminary|provisional|draft|interim|preliminar|provis[oó]rio|provisional|provisoire|vorl[aä]ufig\w*|zwischenbericht)\b/i,
    'preliminary',
  ],
  [
    /\b(amended|amendment|revised|corrected|re-?issued|supersedes|r?etificad[oa]|rectificad[oa]|corrigid[oa]|corregid[oa]|rectifi[eé]e?|corrig[eé]e?|annule et remplace|berichtigt\w*|korrigiert\w*|ersetzt)\b/i,
    'amended',
  ],
  [/\b(final|definitiv[oe]|d[eé]finitif|endg[uü]ltig\w*|endbericht)\b/i, 'final'],
];
