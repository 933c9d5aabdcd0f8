/** The few things of the language's surroundings that pure code needs, wherever it runs. */
declare class TextDecoder {
  constructor(label?: string, options?: { fatal?: boolean })
  decode(bytes?: Uint8Array): string
}
