import { useEffect, useRef } from 'react';

const product = 'Fonte';

/** Keeps the window's title at what the page says of itself: its first heading. */
export function usePageTitle() {
  const main = useRef<HTMLElement>(null);
  useEffect(() => {
    const page = main.current;
    if (!page) return;
    const name = () => {
      const heading = page.querySelector('h1')?.textContent?.trim();
      const title = heading ? `${heading} – ${product}` : product;
      if (document.title !== title) document.title = title;
    };
    name();
    const watching = new MutationObserver(name);
    watching.observe(page, { childList: true, subtree: true, characterData: true });
    return () => watching.disconnect();
  }, []);
  return main;
}
