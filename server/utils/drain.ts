import type { IncomingMessage } from 'node:http'

/** A sender that is this far beyond every limit is cut off. */
export const PATIENCE_BYTES = 256 * 1024 * 1024

/**
 * Reads a refused body to its end and throws it away. A browser that is still sending when the answer comes
 * and the line closes shows no answer at all: the words of the refusal would be lost.
 */
export async function drain(request: IncomingMessage): Promise<void> {
  let bytes = 0
  for await (const chunk of request as AsyncIterable<Buffer>) {
    bytes += chunk.length
    if (bytes > PATIENCE_BYTES) return
  }
}
