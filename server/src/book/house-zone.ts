import type { Store } from '../store/index.ts';

/** The time zone of the house's work: that of the last round, without one that of a lab; null while there is neither. */
export async function houseZone(store: Store): Promise<string | null> {
  const [round] = await store.read<{ overview: string }[]>('SELECT overview FROM rounds ORDER BY date DESC, code DESC LIMIT 1');
  if (round) return (JSON.parse(round.overview) as { zone: string }).zone;
  const [lab] = await store.read<{ data: string }[]>("SELECT data FROM things WHERE register = 'labs' ORDER BY name LIMIT 1");
  return lab ? (JSON.parse(lab.data) as { zone: string }).zone : null;
}
