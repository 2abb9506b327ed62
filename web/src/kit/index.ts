export { KitPage } from './KitPage.tsx';
export { KitPanel } from './KitPanel.tsx';
