/** A title as a file name: letters and digits of any script, with hyphens between. */
export const fileName = (title: string, ending: string): string => {
  const plain = title.replace(/[^\p{L}\p{N}]+/gu, "-").replace(/^-+|-+$/g, "");
  return `${plain || "wide-porch"}.${ending}`;
};

/** Hands a file to the browser's own way of saving. */
export function saveFile(content: Blob, name: string): void {
  const address = URL.createObjectURL(content);
  const link = document.createElement("a");
  link.href = address;
  link.download = name;
  link.click();
  // The browser reads it a moment later.
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}
