import { readUpload } from '../../services/readUpload'
import { importSheet } from '../../services/sheetFiles'
import { apiHandler } from '../../utils/api'

/** A sheet with the photos of both sides of its board, and many revisions. */
const MAX_BYTES = 32 * 1024 * 1024

export default apiHandler(async event => importSheet(await readUpload(event.node.req, MAX_BYTES)))
