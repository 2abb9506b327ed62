import { rowsOfKind } from './row.ts';

const product = rowsOfKind('by-product', [0, 1e6]);
const inUg = (decimals: number) => ({ unit: 'ug/L', decimals, usualAtLab: [0.01, 5000] }) as const;

/** What disinfection leaves: trihalomethanes, haloacetic acids, oxyhalides. */
export const byProducts = {
  chloroform: product('Chloroform', 'CHCl₃', '67-66-3', inUg(1)),
  bromodichloromethane: product('Bromodichloromethane', null, '75-27-4', inUg(1)),
  dibromochloromethane: product('Dibromochloromethane', null, '124-48-1', inUg(1)),
  bromoform: product('Bromoform', 'CHBr₃', '75-25-2', inUg(1)),
  trihalomethanes: product('Trihalomethanes, sum of 4', 'TTHM', null, inUg(1)),
  monochloroaceticAcid: product('Monochloroacetic acid', 'MCAA', '79-11-8', inUg(1)),
  dichloroaceticAcid: product('Dichloroacetic acid', 'DCAA', '79-43-6', inUg(1)),
  trichloroaceticAcid: product('Trichloroacetic acid', 'TCAA', '76-03-9', inUg(1)),
  monobromoaceticAcid: product('Monobromoacetic acid', 'MBAA', '79-08-3', inUg(1)),
  dibromoaceticAcid: product('Dibromoacetic acid', 'DBAA', '631-64-1', inUg(1)),
  bromochloroaceticAcid: product('Bromochloroacetic acid', 'BCAA', '5589-96-8', inUg(1)),
  haloaceticAcids: product('Haloacetic acids, sum of 5', 'HAA5', null, inUg(1)),
  bromate: product('Bromate', 'BrO₃', '15541-45-4', inUg(1)),
  chlorate: product('Chlorate', 'ClO₃', '14866-68-3', inUg(0)),
  chlorite: product('Chlorite', null, '14998-27-7', inUg(0)),
  nitrosodimethylamine: product('N-Nitrosodimethylamine', 'NDMA', '62-75-9', { unit: 'ug/L', decimals: 4 }),
  formaldehyde: product('Formaldehyde', null, '50-00-0', inUg(0)),
  cyanogenChloride: product('Cyanogen chloride', null, '506-77-4', inUg(1)),
};
