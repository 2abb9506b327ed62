import { describe, expect, it } from 'vitest';
import { parameter, parameterIds, type ParameterId } from '../parameters/index.ts';
import { parameterCalled } from './cells/names.ts';
import { fold } from './cells/fold.ts';
import { spellingsOf } from './tables/spellings.ts';

/*
 * The names of Directive (EU) 2020/2184, Annex I, Parts A, B and C, in the order of its tables, as the Official Journal prints them in each
 * language (from memory), typed here and not taken from the tables of names.
 */
const annex: readonly ParameterId[] = [
  ...(['enterococci', 'ecoli'] as const),
  ...(['acrylamide', 'antimony', 'arsenic', 'benzene', 'benzoAPyrene', 'bisphenolA', 'boron', 'bromate', 'cadmium'] as const),
  ...(['chlorate', 'chlorite', 'chromium', 'copper', 'cyanide', 'dichloroethane12', 'epichlorohydrin', 'fluoride'] as const),
  ...(['haloaceticAcids', 'lead', 'mercury', 'microcystin', 'nickel', 'nitrate', 'nitrite', 'pesticidesSum', 'pfasTotal'] as const),
  ...(['pfasSum20', 'polycyclicSum', 'selenium', 'chloroethenes', 'trihalomethanes', 'uranium', 'vinylChloride'] as const),
  ...(['aluminium', 'ammonium', 'chloride', 'clostridium', 'colour', 'conductivity', 'ph', 'iron', 'manganese', 'odour'] as const),
  ...(['oxidisability', 'sulfate', 'sodium', 'taste', 'plateCount22', 'coliforms', 'organicCarbon', 'turbidity'] as const),
];
const printed: Record<string, string> = {
  en: `Intestinal enterococci; Escherichia coli (E. coli); Acrylamide; Antimony; Arsenic; Benzene; Benzo(a)pyrene; Bisphenol A; Boron; Bromate;
    Cadmium; Chlorate; Chlorite; Chromium; Copper; Cyanide; 1,2-dichloroethane; Epichlorohydrin; Fluoride; Haloacetic acids (HAAs); Lead;
    Mercury; Microcystin-LR; Nickel; Nitrate; Nitrite; Pesticides Total; PFAS Total; Sum of PFAS; Polycyclic aromatic hydrocarbons; Selenium;
    Tetrachloroethene and Trichloroethene; Trihalomethanes Total; Uranium; Vinyl chloride; Aluminium; Ammonium; Chloride; Clostridium
    perfringens including spores; Colour; Conductivity; pH; Iron; Manganese; Odour; Oxidisability; Sulphate; Sodium; Taste; Colony count 22°;
    Coliform bacteria; Total organic carbon (TOC); Turbidity`,
  pt: `Enterococos intestinais; Escherichia coli (E. coli); Acrilamida; Antimónio; Arsénio; Benzeno; Benzo(a)pireno; Bisfenol A; Boro; Bromato;
    Cádmio; Clorato; Clorito; Crómio; Cobre; Cianetos; 1,2-dicloroetano; Epicloridrina; Fluoretos; Ácidos haloacéticos (HAA); Chumbo;
    Mercúrio; Microcistina-LR; Níquel; Nitratos; Nitritos; Pesticidas — total; PFAS — total; Soma de PFAS; Hidrocarbonetos aromáticos
    policíclicos; Selénio; Tetracloroeteno e tricloroeteno; Trihalometanos — total; Urânio; Cloreto de vinilo; Alumínio; Amónio; Cloretos;
    Clostridium perfringens, incluindo esporos; Cor; Condutividade; pH; Ferro; Manganês; Cheiro; Oxidabilidade; Sulfatos; Sódio; Sabor;
    Número de colónias a 22 °C; Bactérias coliformes; Carbono orgânico total (COT); Turvação`,
  es: `Enterococos intestinales; Escherichia coli (E. coli); Acrilamida; Antimonio; Arsénico; Benceno; Benzo(a)pireno; Bisfenol A; Boro;
    Bromato; Cadmio; Clorato; Clorito; Cromo; Cobre; Cianuro; 1,2-dicloroetano; Epiclorhidrina; Fluoruro; Ácidos haloacéticos (AHA); Plomo;
    Mercurio; Microcistina-LR; Níquel; Nitrato; Nitrito; Total de plaguicidas; Total de PFAS; Suma de PFAS; Hidrocarburos aromáticos
    policíclicos; Selenio; Tetracloroeteno y tricloroeteno; Total de trihalometanos; Uranio; Cloruro de vinilo; Aluminio; Amonio; Cloruro;
    Clostridium perfringens, incluidas las esporas; Color; Conductividad; pH; Hierro; Manganeso; Olor; Oxidabilidad; Sulfato; Sodio; Sabor;
    Recuento de colonias a 22 °C; Bacterias coliformes; Carbono orgánico total (COT); Turbidez`,
  fr: `Entérocoques intestinaux; Escherichia coli (E. coli); Acrylamide; Antimoine; Arsenic; Benzène; Benzo(a)pyrène; Bisphénol A; Bore;
    Bromate; Cadmium; Chlorate; Chlorite; Chrome; Cuivre; Cyanures; 1,2-dichloroéthane; Épichlorhydrine; Fluorures; Acides haloacétiques
    (AHA); Plomb; Mercure; Microcystine-LR; Nickel; Nitrates; Nitrites; Total des pesticides; Total PFAS; Somme PFAS; Hydrocarbures
    aromatiques polycycliques; Sélénium; Tétrachloroéthylène et trichloroéthylène; Total trihalométhanes (THM); Uranium; Chlorure de vinyle;
    Aluminium; Ammonium; Chlorures; Clostridium perfringens, y compris les spores; Couleur; Conductivité; pH; Fer; Manganèse; Odeur;
    Oxydabilité; Sulfates; Sodium; Saveur; Teneur en colonies à 22 °C; Bactéries coliformes; Carbone organique total (COT); Turbidité`,
  de: `Intestinale Enterokokken; Escherichia coli (E. coli); Acrylamid; Antimon; Arsen; Benzol; Benzo(a)pyren; Bisphenol A; Bor; Bromat;
    Cadmium; Chlorat; Chlorit; Chrom; Kupfer; Cyanid; 1,2-Dichlorethan; Epichlorhydrin; Fluorid; Halogenessigsäuren (HAA); Blei; Quecksilber;
    Microcystin-LR; Nickel; Nitrat; Nitrit; Pestizide insgesamt; PFAS gesamt; Summe der PFAS; Polyzyklische aromatische Kohlenwasserstoffe;
    Selen; Tetrachlorethen und Trichlorethen; Trihalogenmethane insgesamt; Uran; Vinylchlorid; Aluminium; Ammonium; Chlorid; Clostridium
    perfringens, einschließlich Sporen; Farbe; Leitfähigkeit; pH; Eisen; Mangan; Geruch; Oxidierbarkeit; Sulfat; Natrium; Geschmack;
    Koloniezahl bei 22 °C; Coliforme Bakterien; Gesamter organisch gebundener Kohlenstoff (TOC); Trübung`,
};

describe.each(Object.entries(printed))('the parameters of the Directive in %s', (_, names) => {
  it('are all known by the names that the Official Journal prints', () => {
    const called = names.split(';').map((name) => name.replace(/\s+/g, ' ').trim());
    expect(called.length).toBe(annex.length);
    expect(called.map((name) => `${name} = ${parameterCalled(name) ?? '?'}`)).toEqual(
      called.map((name, place) => `${name} = ${annex[place]}`),
    );
  });
});

describe('what parameters are called', () => {
  it('is one thing each: no spelling belongs to two', () => {
    const owners = new Map<string, Set<ParameterId>>();
    for (const id of parameterIds)
      for (const spelling of spellingsOf(id)) {
        expect(fold(spelling), `${id}: ${spelling}`).not.toBe('');
        owners.set(fold(spelling), (owners.get(fold(spelling)) ?? new Set()).add(id));
      }
    expect([...owners].filter(([, ids]) => ids.size > 1).map(([spelling, ids]) => `${spelling}: ${[...ids].join(', ')}`)).toEqual([]);
  });

  it('includes its own name, its symbol and its registry number', () => {
    for (const id of parameterIds) {
      const { name, symbol, cas } = parameter(id);
      for (const one of [name, symbol, cas]) if (one !== undefined) expect(parameterCalled(one), one).toBe(id);
    }
  });

  it('is never another form of the same element or another sum', () => {
    const apart = [
      ['Phosphorus, dissolved', null],
      ['Total phosphorus', 'totalPhosphorus'],
      ['Orthophosphate as P', 'orthophosphate'],
      ['Phosphate, total', null],
      ['Nitrate, dissolved', 'nitrate'],
      // Chemical oxygen demand in English, dissolved organic carbon in French, Spanish and Portuguese.
      ['COD', null],
      // A threshold odour number, or total oxidised nitrogen.
      ['TON', null],
      ['Silicate', null],
      ['Chromium', 'chromium'],
      ['Chromium, hexavalent', 'chromium6'],
      ['Cyanide, free', 'freeCyanide'],
      ['Organic carbon, dissolved', 'dissolvedOrganicCarbon'],
      ['Total nitrogen', 'totalNitrogen'],
      ['Nitrogen', null],
      ['Legionella pneumophila', 'legionellaPneumophila'],
      ['Chlorite', 'chlorite'],
      ['Chlorine dioxide', 'chlorineDioxide'],
    ] as const;
    expect(apart.map(([name]) => parameterCalled(name))).toEqual(apart.map(([, id]) => id));
  });
});
