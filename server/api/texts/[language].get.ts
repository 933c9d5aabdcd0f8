import { createHash } from 'node:crypto'
import { getRouterParam, handleCacheHeaders, setResponseHeader } from 'h3'
import { LANGUAGES, isLanguage } from '#shared/i18n'
import { textsForBrowser } from '#shared/i18n/everyLanguage'
import { apiHandler } from '../../utils/api'

const TEXTS = new Map(
  LANGUAGES.map(language => {
    const json = JSON.stringify(textsForBrowser(language))
    return [
      language,
      { json, etag: `"${createHash('sha256').update(json).digest('base64url').slice(0, 16)}"` },
    ]
  }),
)

/** All messages of a language; a browser that has them is told so. */
export default apiHandler(async event => {
  const asked = getRouterParam(event, 'language')
  const { json, etag } = TEXTS.get(isLanguage(asked) ? asked : 'en')!
  if (handleCacheHeaders(event, { etag, cacheControls: ['no-cache'], maxAge: 0 })) return ''
  setResponseHeader(event, 'content-type', 'application/json')
  return json
})
