/** The page of two sets beside each other; the sets are named by their editions. */
export function comparePath(first?: string, second?: string): string {
  const query = new URLSearchParams({ ...(first ? { first } : {}), ...(second ? { second } : {}) }).toString();
  return `/limits/compare${query ? `?${query}` : ''}`;
}
