import pdfmake from 'pdfmake'
import type { TDocumentDefinitions } from 'pdfmake/interfaces'
import { pdfFonts } from './fonts'

let prepared = false

/** Renders a document with the embedded fonts; nothing is fetched. */
export async function renderPdf(document: TDocumentDefinitions): Promise<Buffer> {
  if (!prepared) {
    pdfmake.addFonts(pdfFonts())
    pdfmake.setUrlAccessPolicy(() => false)
    prepared = true
  }
  return pdfmake.createPdf(document).getBuffer()
}
