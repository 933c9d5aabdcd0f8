import { openLiveSource } from '../logic/liveSource'
import { shareLive } from '../logic/sharedLive'

/** One line to the instruments for all pages of this browser. */
const join = shareLive(openLiveSource)
const scope = self as unknown as { onconnect: (event: MessageEvent) => void }
scope.onconnect = event => {
  const [port] = event.ports
  const { read, leave } = join(port!)
  port!.onmessage = ({ data }: MessageEvent<'read' | 'bye'>) => (data === 'read' ? read() : leave())
}
