/** Hands a file to the reader, its name in small letters without spaces. */
export function saveFile(blob: Blob, name: string): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(blob)
  link.download = name.toLowerCase().replaceAll(' ', '-')
  link.click()
  setTimeout(() => URL.revokeObjectURL(link.href), 1000)
}
