import { readFile } from 'node:fs/promises'
import { setResponseHeaders } from 'h3'
import { t } from '#shared/i18n'
import { ApiError } from '../../utils/apiError'
import { apiHandler } from '../../utils/api'

/** What a device has to trust, once; its key never leaves the machine. */
export default apiHandler(async event => {
  const path = process.env.TLS_AUTHORITY
  if (!path) throw new ApiError(404, 'unknown-item', t('server.noAuthority'))
  setResponseHeaders(event, {
    'content-type': 'application/x-x509-ca-cert',
    'content-disposition': 'attachment; filename="diapason-workshop.crt"',
  })
  return readFile(path)
})
