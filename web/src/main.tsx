import 'virtual:drawn-styles.css';
import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import './theme/global.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Root } from './app/Root.tsx';
import { installLater } from './app/version.ts';
import { bringBack } from './units/drafts.ts';

await bringBack();
createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <Root />
  </StrictMode>,
);
installLater();
