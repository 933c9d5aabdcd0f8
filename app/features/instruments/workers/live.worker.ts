import { openLiveSource } from '../logic/liveSource'
import { shareLive } from '../logic/sharedLive'

/** One line to the instruments for all pages of this browser. */
const join = shareLive(openLiveSource)
const scope = self as unknown as { onconnect: (event: MessageEvent) => void }
scope.onconnect = event => {
  const [port] = event.ports
  const leave = join(port!)
  // The one word that a page says is that it goes.
  port!.onmessage = leave
}
