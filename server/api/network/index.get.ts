import { renderSVG } from 'uqr'
import type { WayIn } from '#shared/network'
import { apiHandler } from '../../utils/api'

/** How another device gets in, with the first address as a picture that its camera reads. */
export default apiHandler(async (): Promise<WayIn> => {
  const { OTHERS_ADDRESSES = '', TLS_FINGERPRINT, TLS_HOST, BEHIND_PROXY } = process.env
  const addresses = OTHERS_ADDRESSES.split(' ').filter(Boolean)
  const unencrypted = BEHIND_PROXY ? 'proxy' : 'this-machine'
  return {
    reach: TLS_HOST ? 'encrypted' : unencrypted,
    addresses,
    qrSvg: addresses[0] ? renderSVG(addresses[0], { border: 2 }) : null,
    fingerprint: TLS_FINGERPRINT ?? null,
  }
})
