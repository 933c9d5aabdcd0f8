/** Hands something to the browser to be saved. */
export function saveFile(data: Blob, name: string): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(data)
  link.download = name
  link.click()
  URL.revokeObjectURL(link.href)
}
