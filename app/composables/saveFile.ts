/** Offers what is at an address as a file to keep. */
export function saveAddress(name: string, address: string) {
  const link = document.createElement('a')
  link.href = address
  link.download = name
  link.click()
}

/** Offers a text as a file to keep. */
export function saveFile(name: string, text: string, type: string) {
  const url = URL.createObjectURL(new Blob([text], { type }))
  saveAddress(name, url)
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}
