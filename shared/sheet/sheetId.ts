/** Ids of sheets: what a path and a file name can carry. */
export const SHEET_ID = /^[a-z0-9][a-z0-9-]{0,59}$/

/** An id that a path and a file name can carry, from a model's name. */
export function sheetIdOf(model: string): string {
  const plain = model
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60)
  return plain === '' ? 'sheet' : plain
}
