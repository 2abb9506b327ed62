/** Hands a file to the person, under a name. */
export function save(content: Blob | string, name: string, type = 'text/plain'): void {
  const address = URL.createObjectURL(typeof content === 'string' ? new Blob([content], { type }) : content);
  Object.assign(document.createElement('a'), { href: address, download: name }).click();
  // Some browsers begin to read it only now.
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}
