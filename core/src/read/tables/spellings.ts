import type { ParameterId } from '../../parameters/index.ts';
import type { UnitId } from '../../units/index.ts';

/**
 * How labs spell parameters, folded to lower-case letters and digits without accents. `basis` says that the name itself
 * tells how the result is expressed. Common usage in English, Portuguese, Spanish, French and German.
 */
export const parameterSpellings: Partial<Record<ParameterId, readonly string[]>> = {
  temperature: ['temperature', 'watertemperature', 'temperatura', 'temperaturadaagua', 'wassertemperatur'],
  ph: ['ph', 'phlab', 'phvalue', 'phat25c', 'phwert'],
  conductivity: ['conductivity', 'electricalconductivity', 'ec', 'ec25', 'conductivityat25c', 'specificconductance', 'condutividade', 'condutividadea25c', 'condutividadeeletrica', 'condutividade25c', 'conductividad', 'conductivite', 'leitfahigkeit'],
  turbidity: ['turbidity', 'turvacao', 'turbidez', 'turbidite', 'trubung'],
  coliforms: ['totalcoliforms', 'coliforms', 'coliformbacteria', 'bacteriascoliformes', 'coliformestotais', 'bacteriascoliformestotais', 'coliformestotales', 'coliformestotaux', 'coliformebakterien'],
  ecoli: ['ecoli', 'escherichiacoli'],
  calcium: ['calcium', 'ca', 'calciumca', 'calcio', 'kalzium'],
  magnesium: ['magnesium', 'mg', 'magnesio'],
  sodium: ['sodium', 'na', 'sodiumna', 'sodio', 'natrium'],
  potassium: ['potassium', 'k', 'potassio', 'potasio', 'kalium'],
  chloride: ['chloride', 'cl', 'cloreto', 'cloretos', 'cloruro', 'chlorure', 'chlorid'],
  sulfate: ['sulfate', 'sulphate', 'so4', 'sulfato', 'sulfatos', 'sulfat'],
  alkalinity: ['alkalinity', 'totalalkalinity', 'alcalinidade', 'alcalinidadetotal', 'alcalinidad', 'alcalinite'],
  fluoride: ['fluoride', 'f', 'fluoreto', 'fluoretos', 'fluoruro', 'fluorure', 'fluorid'],
  nitrate: ['nitrate', 'nitrates', 'no3', 'nitraten', 'no3n', 'nno3', 'nitrateasn', 'nitratean', 'nitrato', 'nitratos', 'nitratno3', 'nitrateno3', 'nitratesno3', 'nitratosno3', 'nitrat'],
  nitrite: ['nitrite', 'nitrites', 'no2', 'no2n', 'nno2', 'nitriteasn', 'nitrito', 'nitritos', 'nitriteno2', 'nitritosno2', 'nitrit'],
  ammonium: ['ammonium', 'ammonia', 'nh4', 'nh4n', 'nnh4', 'ammoniaasn', 'ammoniumasn', 'amonio', 'azotoamoniacal', 'amoniaco', 'amonionh4', 'ammoniumnh4'],
  arsenic: ['arsenic', 'as', 'arsenio', 'arsenico', 'arsen'],
  boron: ['boron', 'b', 'boro', 'bore', 'bor'],
  cadmium: ['cadmium', 'cd', 'cadmio'],
  chromium: ['chromium', 'cr', 'totalchromium', 'cromio', 'cromo', 'chrome', 'chrom'],
  copper: ['copper', 'cu', 'cobre', 'cuivre', 'kupfer'],
  iron: ['iron', 'fe', 'ferro', 'hierro', 'fer', 'eisen'],
  lead: ['lead', 'pb', 'chumbo', 'plomo', 'plomb', 'blei'],
  manganese: ['manganese', 'mn', 'manganes', 'manganeso', 'mangan'],
  aluminium: ['aluminium', 'aluminum', 'al', 'aluminio'],
  nickel: ['nickel', 'ni', 'niquel'],
  antimony: ['antimony', 'sb', 'antimonio', 'antimoine', 'antimon'],
  selenium: ['selenium', 'se', 'selenio', 'selen'],
  uranium: ['uranium', 'u', 'uranio', 'uran'],
};

/** How labs spell units, folded to lower case without spaces, accents or superscripts; µ and μ both become u. */
export const unitSpellings: Record<string, UnitId> = {
  'mg/l': 'mg/L', 'mgl': 'mg/L', 'mgl-1': 'mg/L', 'mg.l-1': 'mg/L', 'ppm': 'ppm', 'g/l': 'g/L',
  'ug/l': 'ug/L', 'ugl': 'ug/L', 'mcg/l': 'ug/L', 'ppb': 'ppb', 'ng/l': 'ng/L', 'ppt': 'ppt',
  'us/cm': 'uS/cm', 'umhos/cm': 'uS/cm', 'ms/cm': 'mS/cm', 'ms/m': 'mS/m',
  'ntu': 'NTU', 'unt': 'NTU', 'fnu': 'FNU', 'utn': 'NTU',
  'ph': 'pH', 'phunits': 'pH', 'su': 'pH', 'escaladesorensen': 'pH', 'unidadesph': 'pH', 'unidadesdeph': 'pH',
  'c': 'degC', 'degc': 'degC', '°c': 'degC', '°f': 'degF', 'degf': 'degF',
  'cfu/100ml': 'per100mL', 'ufc/100ml': 'per100mL', 'mpn/100ml': 'per100mL', 'nmp/100ml': 'per100mL', 'kbe/100ml': 'per100mL', 'n/100ml': 'per100mL', '/100ml': 'per100mL',
  'cfu/ml': 'permL', 'ufc/ml': 'permL', 'cfu/l': 'perL', 'ufc/l': 'perL',
  'mgcaco3/l': 'mg/L CaCO3', 'mg/lcaco3': 'mg/L CaCO3', 'mg/lascaco3': 'mg/L CaCO3', 'gpg': 'gpg', '°dh': 'dH', '°f h': 'fH',
};
