import { useMe } from '../session/session.ts';
import { KitPage } from './KitPage.tsx';
import { KitPanel } from './KitPanel.tsx';

/** The kit of a round: for the household what is to be done, for us where it is. */
export function KitPlace() {
  return useMe().role === 'householder' ? <KitPage /> : <KitPanel />;
}
