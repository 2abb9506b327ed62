/* What the core uses beyond the language itself: present in browsers, workers and Node alike. */
declare class TextDecoder {
  constructor(label?: string, options?: { fatal?: boolean; ignoreBOM?: boolean });
  decode(input: Uint8Array): string;
}
declare function atob(text: string): string;
