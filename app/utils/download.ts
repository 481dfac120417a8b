/** Gives something to be kept as a file. */
function give(name: string, blob: Blob): void {
  const link = document.createElement('a')
  const url = URL.createObjectURL(blob)
  link.href = url
  link.download = name
  link.click()
  URL.revokeObjectURL(url)
}
export const download = (name: string, text: string, type: string): void => give(name, new Blob([text], { type }))
export const downloadBytes = (name: string, bytes: Uint8Array, type: string): void =>
  give(name, new Blob([bytes as BlobPart], { type }))
