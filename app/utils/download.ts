/** Gives a text to be kept as a file. */
export function download(name: string, text: string, type: string): void {
  const link = document.createElement('a')
  const url = URL.createObjectURL(new Blob([text], { type }))
  link.href = url
  link.download = name
  link.click()
  URL.revokeObjectURL(url)
}
