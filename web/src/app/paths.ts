/** Every address that has a page. The server answers 404 to any other. */
export const paths = [
  '/',
  '/rounds',
  '/rounds/new',
  '/points',
  '/points/new',
  '/bench',
  '/rounds/:round',
  '/rounds/:round/at/:visit/level',
  '/rounds/:round/at/:visit/purge',
  '/rounds/:round/at/:visit/tap',
  '/rounds/:round/at/:visit/tap/:procedure',
  '/rounds/:round/at/:visit/fill',
  '/rounds/:round/custody',
  '/rounds/:round/report',
  '/rounds/:round/verdict',
  '/rounds/:round/book',
] as const;
