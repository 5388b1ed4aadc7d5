/** A file that the page made, given to the browser to keep. */
const KEPT_MS = 60_000

export function giveFile(file: Blob, name: string): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(file)
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(link.href), KEPT_MS)
}
