/** Hands a file to the browser to keep where the person wants it. */
export function saveFile(name: string, mediaType: string, content: BlobPart): void {
  const address = URL.createObjectURL(new Blob([content], { type: mediaType }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  // The browser has taken hold of it once the click was dispatched; some do so a moment later.
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}
