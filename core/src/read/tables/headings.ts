/**
 * What labs write over their columns, in the languages the product meets, folded to lower-case letters and digits.
 * Collected from common usage (common practice). A heading is matched whole first, then by its beginning.
 */
export const roles = [
  'sample', 'parameter', 'result', 'qualifier', 'unit', 'reportingLimit', 'detectionLimit', 'limit', 'method', 'collected', 'analysed',
] as const;
export type Role = (typeof roles)[number];

export const roleNames: Record<Role, string> = {
  sample: 'Sample', parameter: 'What was measured', result: 'Result', qualifier: 'Flag', unit: 'Unit', reportingLimit: 'Reporting limit',
  detectionLimit: 'Detection limit', limit: 'Limit value', method: 'Method', collected: 'Collected', analysed: 'Analysed',
};

export const headings: Record<Role, readonly string[]> = {
  sample: ['sample', 'sampleid', 'clientsampleid', 'sampleno', 'bottle', 'label', 'amostra', 'referenciaamostra', 'codigoamostra', 'frasco', 'muestra', 'echantillon', 'probe', 'probennummer', 'campione'],
  parameter: ['parameter', 'analyte', 'determinand', 'test', 'component', 'parametro', 'ensaio', 'determinacao', 'analito', 'parametre', 'messgrosse', 'analyse'],
  result: ['result', 'value', 'concentration', 'finding', 'resultado', 'valor', 'valorobtido', 'resultat', 'valeur', 'ergebnis', 'messwert', 'risultato'],
  qualifier: ['qualifier', 'flag', 'qual', 'remark', 'remarks', 'note', 'obs', 'observacoes', 'bemerkung', 'remarque'],
  unit: ['unit', 'units', 'uom', 'unidade', 'un', 'unid', 'unidad', 'unite', 'einheit', 'unita'],
  reportingLimit: ['rl', 'reportinglimit', 'loq', 'pql', 'lor', 'quantificationlimit', 'limitofquantification', 'limitofreporting', 'lq', 'limitequantificacao', 'limitedequantificacao', 'limitedequantification', 'bestimmungsgrenze', 'bg'],
  detectionLimit: ['mdl', 'lod', 'dl', 'detectionlimit', 'limitofdetection', 'ld', 'limitedeteccao', 'limitededeteccao', 'limitededetection', 'nachweisgrenze', 'ng'],
  limit: ['limit', 'mcl', 'guideline', 'standard', 'limitvalue', 'parametricvalue', 'vp', 'valorparametrico', 'valorlimite', 'limitequalite', 'grenzwert', 'gw', 'maximum'],
  method: ['method', 'metodo', 'methode', 'procedure', 'verfahren'],
  collected: ['collected', 'sampled', 'sampledate', 'samplingdate', 'datecollected', 'datesampled', 'colheita', 'datacolheita', 'datadecolheita', 'prelevement', 'probenahme', 'probenahmedatum'],
  analysed: ['analysed', 'analyzed', 'analysisdate', 'dateanalyzed', 'completed', 'concluido', 'dataanalise', 'dataensaio', 'dateanalyse', 'analysedatum'],
};
