/** Hands a file to the browser to save. */
export function saveFile(file: { name: string; media_type: string; content: string }): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([file.content], { type: file.media_type }))
  link.download = file.name
  link.click()
  URL.revokeObjectURL(link.href)
}
