import type { ParameterId } from '../../../parameters/index.ts';
import { fold } from '../../cells/fold.ts';

/** Groups of substances that labs report as one number, by what their members are called together. */
const groups: readonly { names: readonly string[]; sum: ParameterId; total?: ParameterId }[] = [
  {
    names: [
      'trihalomethanes',
      'THM',
      'THMs',
      'trihalometanos',
      'trihalométhanes',
      'Trihalogenmethane',
      'trihalomethanes THM',
      'trihalométhanes THM',
    ],
    sum: 'trihalomethanes',
  },
  {
    names: [
      'haloacetic acids',
      'HAA',
      'HAAs',
      'ácidos haloacéticos',
      'acides haloacétiques',
      'Halogenessigsäuren',
      'haloacetic acids HAA',
      'ácidos haloacéticos HAA',
    ],
    sum: 'haloaceticAcids',
  },
  {
    names: ['pesticides', 'pesticidas', 'plaguicidas', 'Pestizide', 'Pflanzenschutzmittel'],
    sum: 'pesticidesSum',
  },
  {
    names: [
      'PAH',
      'PAHs',
      'HAP',
      'PAK',
      'polycyclic aromatic hydrocarbons',
      'hidrocarbonetos aromáticos policíclicos',
      'hidrocarburos aromáticos policíclicos',
      'hydrocarbures aromatiques polycycliques',
    ],
    sum: 'polycyclicSum',
  },
  { names: ['PFAS'], sum: 'pfasSum20', total: 'pfasTotal' },
  { names: ['xylenes', 'xilenos', 'xylènes', 'Xylole'], sum: 'xylenes' },
];

const words: Readonly<Record<string, 'sum' | 'total' | 'link'>> = Object.fromEntries([
  ...['sum', 'soma', 'suma', 'somme', 'summe'].map((word) => [word, 'sum']),
  ...['total', 'totals', 'totais', 'totales', 'totaux', 'gesamt', 'insgesamt'].map((word) => [word, 'total']),
  ...['of', 'the', 'de', 'des', 'du', 'dos', 'das', 'los', 'las', 'der', 'les', 'all'].map((word) => [word, 'link']),
]);

const byName = new Map(groups.flatMap((group) => group.names.map((name) => [fold(name), group] as const)));

/** The sum that a name means which says so in words, in any order: `Total de plaguicidas`, `PFAS, Summe der`; null for no such name. */
export function sumCalled(name: string): ParameterId | null {
  const said = new Set<string>();
  const rest = name
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => {
      const means = words[fold(word)];
      if (means) said.add(means);
      return !means;
    })
    .join(' ');
  const group = byName.get(fold(rest));
  if (!group || !(said.has('sum') || said.has('total'))) return null;
  return said.has('total') && !said.has('sum') && group.total ? group.total : group.sum;
}
