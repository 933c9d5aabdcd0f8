import { setResponseHeader, type H3Event } from 'h3'

/** A PDF to be looked at in the browser; its name is there when it is kept. */
export function sendPdf(event: H3Event, name: string, pdf: Buffer): Buffer {
  setResponseHeader(event, 'content-type', 'application/pdf')
  setResponseHeader(event, 'content-disposition', `inline; filename="${name}"`)
  return pdf
}
